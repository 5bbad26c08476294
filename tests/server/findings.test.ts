import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { replayBeside } from '#server/record/beside';
import { formsOf } from '../support/forms';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** What a user once met and should not meet again, each by the number under which it is known, on the record of the demo. */
let program: Program;
let waters: Record<string, string>;
let stations: Record<string, string>;
let sets: Record<string, string>;
let tags: Record<string, string>;
const { post, get, rows, saved, refused, uuid } = webOf(() => program);

before(async () => {
  program = await startProgram({ demo: true });
  const ids = async (table: string, name: string): Promise<Record<string, string>> =>
    Object.fromEntries((await rows(table)).map((r) => [String(r[name]), String(r.id)]));
  [waters, stations, sets, tags] = await Promise.all([
    ids('water', 'name'),
    ids('station', 'number'),
    ids('trap_set', 'number'),
    ids('device', 'tag'),
  ]);
});
after(() => program.end());

const water = (name: string): string => `/waters/${waters[name]}`;
/** A page as it is read: its words without its markup. */
const words = async (path: string): Promise<string> =>
  (await get(path))
    .replace(/<(script|style)\b.*?<\/\1>/gs, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replaceAll('&amp;', '&')
    .replace(/\s+/g, ' ');
const says = (page: string, what: RegExp): void =>
  assert.ok(what.test(page), `no ${what.source} in ${page.slice(page.indexOf('Zaprud'), 600)}`);
const saysNot = (page: string, what: RegExp): void => assert.ok(!what.test(page), `${what.exec(page)?.[0]} is in it`);
const place = async (on: string, number: string, kind: string, over: Record<string, string> = {}): Promise<string> => {
  const form = { entry: uuid(), id: uuid(), number, name: `the ${kind}`, kind, along: '300 ft', depth: '', crest: '', note: '', ...over };
  saved(await post(`${water(on)}?/station`, form), /waters/);
  return `${water(on)}/${form.id}`;
};

describe('a stream on which a dam is recorded', () => {
  it('gets its breaks and a gauge below the dam, and no other stream does (F120, F122)', async () => {
    saysNot(await words(water('Spill Creek')), /Breaks|Add a gauge below the dam/);
    await place('Spill Creek', '190', 'dam', { crest: '20 in' });
    says(await words(water('Spill Creek')), /Breaks.*Add a gauge below the dam/);
    saved(await post(`${water('Spill Creek')}?/below`, { below: uuid(), shows: '4 in', drop: '14 in' }), /below=1/);
    const page = await words(water('Spill Creek'));
    saysNot(page, /Add a gauge below the dam/);
    says(page, /below the dam 4 in/);
  });
  it('forecasts an open break as a band, and says which two numbers it lacks (F122)', async () => {
    const form = { entry: uuid(), id: uuid(), opened: '2026-11-25T05:15', openWidth: '14 in', openSill: '4 in', openShape: 'rectangle' };
    saved(await post(`${water('Spill Creek')}/break?/open`, form), /saved=1/);
    says(await words(water('Spill Creek')), /the area of the pond and its rise in a day are not known/);
  });
});

describe('a place that was counted', () => {
  it('tells how many of its passages have no set (F63)', async () => {
    const bridge = await place('Spill Creek', '191', 'bridge');
    saved(await post(`${bridge}/measure`, { entry: uuid(), 'm.passages': '4', profile: '', parent: '' }), /measured=1/);
    says(await words(bridge), /4 passages, none has a set\./);
  });
});

describe('a new set at the bench', () => {
  it('says what the sign of its place says against it (F61)', async () => {
    says(await words(`/bench/new?station=${stations['36']}&type=lodge-run`), /Likely not in use\. For: .* Against: /);
    const bare = await place('Sallow Outfall', '192', 'run', { depth: '12 in' });
    says(await words(`/bench/new?station=${bare.split('/').at(-1)}&type=lodge-run`), /No sign recorded\. Scout before you set\./);
    saysNot(await words(`/bench/new?station=${stations['12']}&type=lodge-run`), /Likely not in use|No sign recorded/);
  });
});

describe('a planned set', () => {
  it('tells on its water why it was left (F65)', async () => {
    const [own] = await rows('trap_set', { id: sets['36'] });
    assert.equal(own?.state, 'planned');
    const page = await get(`/bench/${sets['36']}`);
    const field = (name: string): string => new RegExp(`name="${name}"[^>]*value="([^"]*)"`).exec(page)?.[1] ?? '';
    const form = { entry: uuid(), id: sets['36'] ?? '', number: '36', name: 'old bank den', state: 'planned', species: 'beaver' };
    const kept = { at: '2026-11-25T05:20', opened: field('opened'), leftBecause: 'dogs run here', 'd.outer': '', 'd.inner': '' };
    saved(await post(`/bench/${sets['36']}?/save`, { ...form, ...kept }), /saved/);
    says(await words(water('Header Pond')), /36 old bank den , planned, left: dogs run here/);
  });
});

describe('a snare that caught', () => {
  it('gives its swivel back where none was kept by count, and its lock to one kind alone (F77)', async () => {
    const id = uuid();
    const other = { id, entry: uuid(), name: 'cam locks', kind: 'lock', unit: 'pieces', amount: '5', low: '', cost: '', note: '' };
    saved(await post('/shed?/stock', other), /shed/);
    const [swivels] = await rows('stock', { kind: 'swivel' });
    const had = async (kind: string): Promise<number> => {
      const of = new Set((await rows('stock', { kind })).map((s) => s.id));
      return (await rows('stock_move')).filter((m) => of.has(m.stock_id) && m.why === 'salvaged').length;
    };
    assert.ok(swivels);
    const before_ = await had('lock');
    saved(await post('/shed?/salvage', { entry: uuid(), device: tags['K-51'] ?? '', lock: 'yes', swivel: 'yes' }), /shed/);
    assert.equal(await had('lock'), before_ + 1);
    assert.equal(await had('swivel'), 1);
    const [device] = await rows('device', { id: tags['K-51'] });
    assert.equal(device?.condition, 'broken');
  });
});

describe('the gear list', () => {
  it('is of today: what is due takes tools, bait and lure, what opens later and what is planned is not ticked (F155, F156)', async () => {
    const page = await get('/bench/carry');
    const ticked = (number: string): boolean => new RegExp(`value="${sets[number]}"[^>]*checked`).test(page);
    assert.ok(ticked('12') && ticked('20'));
    assert.ok(!ticked('36') && !ticked('17'));
    says(await words('/bench/carry'), /Due today tools, bait and lure.*12 east lodge run/);
    says(await words('/bench/carry'), /17 ice rack opens Dec 5/);
    const plan = await get('/bench/carry?of=plan');
    assert.ok(new RegExp(`value="${sets['36']}"[^>]*checked`).test(plan) && !new RegExp(`value="${sets['12']}"[^>]*checked`).test(plan));
    const one = await words(`/bench/carry?set=${sets['17']}`);
    says(one, /For 1 set/);
    saysNot(one, /Missing from the shed: body-grip/);
  });
});

describe('the first page', () => {
  it('makes no second crew while one works (F161)', async () => {
    const crews = (await rows('crew')).length;
    const form = { entry: uuid(), person: 'Nobody', water: 'Nowhere', system: 'us', zone: 'UTC', rule: 'hours', hours: '24' };
    saved(await post('/begin', form), /\/waters$/);
    assert.equal((await rows('crew')).length, crews);
  });
  it('and the people say plainly that nobody signs in (F161)', async () =>
    says(await words('/people'), /Nobody signs in on this machine: whoever opens it works as your crew/));
});

describe('a link that carries nonsense', () => {
  const broken = [
    '/book?from=2026-13-45',
    '/book?set=------------------------------------',
    '/bench/------------------------------------',
    '/morning?saved=------------------------------------',
    '/waters/plan?ask=%00',
  ];
  for (const path of broken)
    it(`${path} is answered with a page, never with a fault (F138, F206)`, async () => {
      const answer = await fetch(program.base + path);
      assert.ok(answer.status < 500, String(answer.status));
      assert.doesNotMatch(await answer.text(), /Something went wrong/);
    });
});

describe('a form that carries nonsense', () => {
  const reading = () => ({ entry: uuid(), id: uuid(), level: '31 in', at: '2026-11-25T05:20', bound: 'exact', surface: 'pond' });
  it('a sign that cannot be kept is refused at its field, with the rest as it was typed (F138, F206)', async () => {
    const form = {
      entry: uuid(),
      id: uuid(),
      number: '194',
      name: 'bad\0name',
      kind: 'run',
      along: '11 ft',
      depth: '',
      crest: '',
      note: '',
    };
    refused(await post(`${water('Sallow Outfall')}?/station`, form), 400, 'cannot be kept', 'value="11 ft"');
  });
  for (const [what, path, over] of [
    ['a reading', () => `${water('Moss Slough')}?/reading`, { entry: 'x', id: 'y' }],
    ['a told rise', () => `${water('Moss Slough')}?/told`, { told: '7', rise: '2 in', doubt: '', until: '2026-11-25T09:00', who: 'radio' }],
    ['a simulated reading', () => `${water('Moss Slough')}/levels?/simulated`, { sim: 'none' }],
    ['a series', () => '/bench/series', { form: '--' }],
    ['an event of a camera', () => `${water('Moss Slough')}/count?/simulated`, { sim: '1', station: '2' }],
  ] as const)
    it(`${what} without its own number is answered in words (F206)`, async () => {
      const answer = await post(path(), { ...reading(), ...over });
      assert.ok(answer.status < 500, `${answer.status} ${answer.text.slice(0, 300)}`);
      assert.doesNotMatch(answer.text, /Something went wrong/);
    });
});

describe('a check', () => {
  it('of any foothold has an empty bed to tap, and a missing trap is drawn where it can lie (F134)', async () => {
    for (const number of ['20', '74']) says(await words(`/check/${sets[number]}`), /Empty bed/);
    says(await words(`/check/${sets['12']}`), /Knocked, down/);
    says(await words(`/check/${sets['74']}?outcome=missing`), /where it can lie|Look/i);
  });
  it('is not opened by the link of a planned set (F131)', async () => {
    saysNot(await get(water('Header Pond')), new RegExp(`/check/${sets['36']}`));
    says(await get(water('Header Pond')), new RegExp(`/check/${sets['12']}`));
  });
  it('of a catch names a two-year-old as one, with its bites (F65)', async () => {
    says(await words('/colonies'), /two-year-old/);
    says(await words('/colonies'), /fresh bite marks/);
  });
});

describe('a type in the catalogue', () => {
  it('lists the locations that it suits (F142)', async () => {
    says(await words('/bench/catalogue/castor-foothold'), /24 south mound/);
  });
});

describe('a reading without a level', () => {
  it('and a depth of a body word are refused only for what they are (F135)', async () => {
    const form = { entry: uuid(), id: uuid(), number: '193', name: 'x', kind: 'run', along: '10 ft', crest: '', note: '' };
    refused(await post(`${water('Sallow Outfall')}?/station`, { ...form, depth: 'elbow-ish' }), 400, /depth/i);
    saved(await post(`${water('Sallow Outfall')}?/station`, { ...form, depth: 'shin' }), /waters/);
  });
});

describe('whoever reaches the address', () => {
  it('works as somebody of this crew only, and no cookie keeps what was made up (F207)', async () => {
    refused(await post('/people?/pick', { person: 'x'.repeat(50_000), back: '' }), 400, /Nobody of this crew is called so/);
    const [wren] = await rows('person', { name: 'Wren Ostby' });
    const answer = await post('/people?/add', { entry: uuid(), id: String(wren?.id), newName: 'Somebody else' });
    assert.equal(answer.status, 409);
    assert.equal((await rows('person', { id: wren?.id }))[0]?.name, 'Wren Ostby');
  });
  it('says how long a form is before it is sent (F209)', async () => {
    const body = new ReadableStream({ start: (c) => (c.enqueue(new TextEncoder().encode('theme=auto')), c.close()) });
    const answer = await fetch(`${program.base}/people?/light`, {
      method: 'POST',
      body,
      duplex: 'half',
      headers: { origin: program.base },
    } as RequestInit);
    assert.equal(answer.status, 411);
  });
});

describe('a page', () => {
  it('is framed by nobody, loads nothing from elsewhere and is kept by no shared cache (F210)', async () => {
    const { headers } = await fetch(`${program.base}/morning`);
    assert.match(headers.get('content-security-policy') ?? '', /default-src 'self'.*frame-ancestors 'none'/);
    assert.deepEqual(
      ['x-content-type-options', 'x-frame-options', 'referrer-policy', 'cache-control'].map((name) => headers.get(name)),
      ['nosniff', 'DENY', 'same-origin', 'private, no-cache'],
    );
    assert.match(headers.get('permissions-policy') ?? '', /geolocation=\(self\)/);
  });
  it('asks for the direction of a sign beside its count (F140)', async () => {
    const page = await get(`${water('Header Pond')}/${stations['12']}`);
    assert.ok(page.indexOf('name="direction"') < page.indexOf('Found at another time'));
  });
});

describe('what was noted is asked back where it matters', () => {
  it('the words of the rulebook stand at a set (F59)', async () => {
    says(await words(`/bench/${sets['12']}`), /Otter were here before the closure/);
  });
  it('a type chosen out of its months says so (F98)', async () => {
    says(await words(`/bench/new?station=${stations['24']}&type=castor-foothold`), /Mostly made .*\(rule of thumb\)/);
  });
  it('age, fate and life say nothing until somebody chooses (F72)', async () => {
    const page = await get(`/check/${sets['15']}?outcome=catch`);
    for (const [name, begins] of [
      ['age', 'unknown'],
      ['fate', 'not said'],
    ]) {
      const options = new RegExp(`<select[^>]*name="[^"]*${name}"[^>]*>(.*?)</select>`, 's').exec(page)?.[1] ?? '';
      assert.match(options, new RegExp(`<option value="${begins}"[^>]* selected|^\\W*<option value="${begins}"`), name);
    }
  });
  it('whether a catch lived is asked, never taken for granted', async () => {
    const path = `/check/${sets['15']}?outcome=catch`;
    assert.doesNotMatch(await get(path), /<input[^>]*type="radio"[^>]*\.alive"[^>]* checked/);
    const [own] = formsOf(await get(path), path).filter((f) => f.action.includes('/save'));
    const stay = own?.fields.map(([name]) => name).find((name) => name.endsWith('.outcome')) ?? '';
    const form = { entry: uuid(), id: uuid(), [stay]: 'catch', change: 'as it was' };
    refused(await post(`/check/${sets['15']}?/save`, form), 400, 'Say whether it lived when you came.');
  });
  it('bait that is gone without a shot has its own answer at a check (F60)', async () => {
    says(await words(`/check/${sets['51']}?outcome=other`), /Bait taken/);
  });
  it('a plugged culvert is taken for one that nobody enters (F57)', async () => {
    const culvert = await place('Spill Creek', '194', 'culvert', { depth: '14 in' });
    const sign = { entry: uuid(), id: uuid(), kind: 'plugged', species: 'beaver', freshness: 'hours' };
    saved(await post(`${culvert}?/sign`, sign), /noted/);
    says(await words(culvert), /plugged with mud or sticks/);
    says(await words(culvert), /Likely not in use|Not in use|nobody/i);
  });
  it('a river is a kind of water (F163)', async () => {
    says(await get('/waters'), /<option value="river"/);
  });
});

describe('a remark that somebody knows better than', () => {
  it('stays with its set and its reason, is told no more, and a replay knows it', async () => {
    const path = `/bench/${sets['36']}`;
    says(await words(path), /Before you walk away.*Its sign/);
    const [own] = formsOf(await get(path), path).filter((f) => f.action.endsWith('?/save'));
    const fields = {
      ...Object.fromEntries(own?.fields ?? []),
      state: 'planned',
      species: 'beaver',
      'k.notInUse': 'they come back every year',
    };
    saved(await post(`${path}?/save`, fields), /saved=1/);
    assert.deepEqual((await rows('trap_set', { id: sets['36'] }))[0]?.overruled, { notInUse: 'they come back every year' });
    says(await words(path), /Its sign you know better/);
    const db = connect(program.url);
    const { differing } = await replayBeside(db, (searchPath) => connect(program.url, searchPath));
    await db.destroy();
    assert.deepEqual(differing, []);
  });
});

describe('what is entered where it is looked for', () => {
  it('several animals found together are noted together, each a sign of its own', async () => {
    const path = `${water('Header Pond')}/${stations['35']}`;
    const form = {
      entry: uuid(),
      id: uuid(),
      kind: 'tracksMud',
      species: 'mink',
      freshness: 'hours',
      count: '1',
      species2: 'otter',
      count2: '2',
    };
    refused(await post(`${path}?/sign`, { ...form, count2: 'a few' }), 400, /“a few” is not a number/);
    saved(await post(`${path}?/sign`, form), /noted=1/);
    saved(await post(`${path}?/sign`, form), /noted=1/);
    const noted = (await rows('sign', { station_id: stations['35'], kind: 'tracksMud' })).map((s) => `${s.count} ${s.species}`).sort();
    assert.deepEqual(
      noted.filter((s) => /mink|otter/.test(s)),
      ['1 mink', '2 otter'],
    );
  });
  it('what a remake took of a jar is booked with the check, once, and comes back with its undo', async () => {
    const set = sets['24'] ?? '';
    const [lure] = await rows('stock', { name: 'castor lure' });
    const had = async (): Promise<string> => /castor lure.*?(\d+) portions/.exec(await words('/shed'))?.[1] ?? '';
    const before = Number(await had());
    const path = `/check/${set}?outcome=untouched`;
    const [own] = formsOf(await get(path), path).filter((f) => f.action.endsWith('?/save') || f.action.includes('/save'));
    const stay = own?.fields.map(([name]) => name).find((name) => name.endsWith('.outcome')) ?? '';
    const entry = uuid();
    const form = { entry, id: uuid(), [stay]: 'untouched', change: 'as it was', usedStock: String(lure?.id), usedAmount: '2' };
    refused(await post(`/check/${set}?/save`, { ...form, usedAmount: 'some' }), 400, /How much is a number of portions/);
    saved(await post(`/check/${set}?/save`, form), /saved=/);
    saved(await post(`/check/${set}?/save`, form), /saved=/);
    assert.equal(Number(await had()), before - 2);
    saved(await post('/morning?/undo', { entry }), /morning/);
    assert.equal(Number(await had()), before);
  });
});
