import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { inches } from '#core/units/factors';
import type { Body } from '#core/record/kinds';
import { connect } from '#server/database';
import { record } from '#server/record/write';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** The same fact gives the same answer in every room: each of these once parted company. */
let program: Program;
const named: Record<'stations' | 'sets' | 'tags' | 'waters' | 'gauges', Record<string, string>> = {
  stations: {},
  sets: {},
  tags: {},
  waters: {},
  gauges: {},
};

before(async () => {
  program = await startProgram({ demo: true });
  const db = connect(program.url);
  const ids = async (table: string, name: string): Promise<Record<string, string>> =>
    Object.fromEntries((await db(table).select('id', `${name} as name`)).map((r: { id: string; name: string | number }) => [r.name, r.id]));
  named.stations = await ids('station', 'number');
  named.sets = await ids('trap_set', 'number');
  named.tags = await ids('device', 'tag');
  named.waters = await ids('water', 'name');
  named.gauges = await ids('gauge', 'name');
  await db.destroy();
});
after(() => program.end());

const { post, get, rows, saved, refused, uuid } = webOf(() => program);
const BODY_GRIP = ['hooksOff', 'wiresInside', 'dogFree', 'rightWayUp', 'swingClear'].map((q) => `outer:${q}`);
const bench = (over: Record<string, string | string[]> = {}) => ({
  entry: uuid(),
  id: uuid(),
  number: '170',
  name: 'alder run',
  state: 'live',
  species: 'beaver',
  anchor: 'root',
  at: '2026-11-25T05:20',
  'n.topUnder': '3 in',
  'd.outer': named.tags['K-14'] ?? '',
  arm: BODY_GRIP,
  ...over,
});
const placeAt = (station: string, type: string, over: Record<string, string | string[]>) =>
  post(`/bench/new?station=${named.stations[station]}&type=${type}`, bench(over));
const settingsOf = async (set: string): Promise<{ at: string; numbers: Record<string, number> }[]> =>
  (await rows('setting', { set_id: set }))
    .map((s) => ({ at: (s.at as Date).toISOString(), numbers: s.numbers as Record<string, number> }))
    .sort((a, b) => a.at.localeCompare(b.at));
const staysOf = async (set: string): Promise<string[]> =>
  (await rows('stay', { set_id: set })).filter((s) => s.live_to === null).map((s) => String(s.id));
const checked = async (set: string, outcome: string, over: Record<string, string | string[]> = {}) => {
  const own = Object.fromEntries((await staysOf(set)).map((stay) => [`${stay}.outcome`, outcome]));
  const form = { entry: uuid(), id: uuid(), at: '2026-11-25T05:21', change: 'as it was', ...own, ...over };
  return { form, answer: await post(`/check/${set}?/save`, form) };
};
/** What a page says, without its tags. */
const words = async (path: string): Promise<string> =>
  (await get(path))
    .replace(/<script[\s\S]*?<\/script>/g, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ');
const rowOf = async (path: string, start: RegExp): Promise<string> => {
  const all = (await get(path)).match(/<tr[\s\S]*?<\/tr>/g) ?? [];
  return (all.find((row) => start.test(row.replace(/<[^>]+>/g, ' '))) ?? '').replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ');
};

describe('a level is what was read', () => {
  it('only readings are told as readings: from which to which', async () => {
    assert.match(await words('/morning'), /fell 9¼ in since yesterday 4:45 pm, 41¾ in to 32½ in/);
    const path = `/waters/${named.waters['Sallow Outfall']}`;
    const page = await words(path);
    assert.doesNotMatch(page, /was \d+¾? in/);
  });
  it('a set dated ten days back at a gauge that is read daily writes no reading, and hangs on the readings of that day', async () => {
    const before = await rows('reading', { gauge_id: named.gauges['board at the spillway'] });
    const id = uuid();
    saved(await placeAt('60', 'lodge-run', { id, number: '171', at: '2026-11-15T10:00' }), /bench/);
    assert.deepEqual(await rows('reading', { gauge_id: named.gauges['board at the spillway'] }), before);
    assert.doesNotMatch(await rowOf('/morning', /171/), /no reading|dry/);
  });
  it('where nothing was ever read a live set asks for the level instead of making one up', async () => {
    const water = uuid();
    const form = { entry: uuid(), water, gaugeEntry: uuid(), gauge: uuid(), name: 'Far Pond', kind: 'pond', note: '' };
    const site = (await rows('site'))[0]?.id as string;
    saved(await post('/waters?/water', { ...form, site }), /waters/);
    const station = uuid();
    saved(
      await post(`/waters/${water}?/station`, { entry: uuid(), id: station, number: '300', name: 'far run', kind: 'run', along: '10 ft' }),
      /waters/,
    );
    const set = bench({ number: '172', 'd.outer': named.tags['K-15'] ?? '' });
    refused(await post(`/bench/new?station=${station}&type=lodge-run`, set), 400, /No level was read here by then/, 'value="alder run"');
    assert.equal((await rows('reading', { gauge_id: form.gauge })).length, 0);
    saved(await post(`/bench/new?station=${station}&type=lodge-run`, { ...set, level: '20 in' }), /bench/);
    assert.equal((await rows('reading', { gauge_id: form.gauge })).length, 1);
  });
  it('correcting the reading that a set was measured by moves the set, and no other', async () => {
    const id = uuid();
    saved(await placeAt('92', 'lodge-run', { id, number: '173', level: '14 in', 'd.outer': named.tags['K-16'] ?? '' }), /bench/);
    const works = async (n: RegExp): Promise<string> => /works at ([^;.]*)/i.exec(await rowOf('/morning', n))?.[1] ?? '';
    const others = await rowOf('/morning', /12 east lodge run/);
    const [wrong] = (await rows('reading', { gauge_id: named.gauges['board at the sluice'] })).filter((r) => r.note === 'read at placing');
    const page = async () => words(`/waters/${named.waters['Settling Ponds']}`);
    const before = await page();
    const db = connect(program.url);
    const target = await db('entry')
      .where({ id: wrong?.entry_id as string })
      .first();
    const right = { ...(target.body as Body<'reading'>), level: inches(41) };
    await record(db, {
      id: uuid(),
      crew: target.crew_id as string,
      kind: 'reading',
      occurredAt: target.occurred_at as Date,
      by: null,
      body: right,
      corrects: target.id as string,
      reason: 'figures swapped',
    });
    await db.destroy();
    assert.notEqual(await page(), before);
    assert.match(await page(), /173 alder run/);
    assert.equal(await rowOf('/morning', /12 east lodge run/), others);
    assert.equal(typeof (await works(/173/)), 'string');
    const [setting] = await settingsOf(id);
    assert.ok(Math.abs((setting?.numbers.topUnder ?? 0) - inches(3)) < 1e-9, 'what was seen stays as it was seen');
  });
});

describe('a gauge that was moved', () => {
  it('is told alike in the head of its water, in every row, on the section and at the bench', async () => {
    const water = `/waters/${named.waters['Hatchery Race']}`;
    const band = async (): Promise<string> => /works at ([^;.]*)/i.exec(await rowOf(water, /42 /))?.[1] ?? (await rowOf(water, /42 /));
    const before = await band();
    const head = (page: string): string => /Hatchery Race ([\d¼½¾]+ in)/.exec(page)?.[1] ?? '';
    const shown = head(await words('/morning'));
    saved(await post(`${water}/levels?/moved`, { form: uuid(), moved: '2026-11-20T12:00', before: '26 in', after: '20 in' }), /moved=1/);
    assert.equal(head(await words('/morning')), shown, 'the gauge shows what it shows');
    const row = await rowOf('/morning', /42 willow bend/);
    const now = /now ([\d¼½¾]+ in)/.exec(row)?.[1];
    if (now) assert.equal(now, shown, 'the row speaks of the same gauge as its head');
    assert.notEqual(await band(), before, 'what was set before the move works at other levels of the moved gauge');
  });
});

/** What a set's page at the bench was opened on, and the questions of its arming check. */
const openedPage = async (set: string) => {
  const page = await get(`/bench/${set}`);
  const arm = (page.match(/name="arm" value="([^"]+)"/g) ?? []).map((a) => /value="([^"]+)"/.exec(a)?.[1] ?? '');
  return { opened: /name="opened" value="([^"]+)"/.exec(page)?.[1] ?? '', arm };
};
const pinch = (set: string, opened: string, arm: string[]) => ({
  entry: uuid(),
  id: set,
  opened,
  number: '45',
  name: 'ditch pinch',
  state: 'live',
  species: 'beaver',
  anchor: 'post',
  'd.snare': named.tags['K-52'] ?? '',
  'n.share': '60 %',
  'n.depth': '15 in',
  arm,
});

describe('a change of a set', () => {
  it('dated back keeps its later settings', async () => {
    const set = named.sets['45'] ?? '';
    const before = await settingsOf(set);
    const { opened, arm } = await openedPage(set);
    const form = pinch(set, opened, arm);
    saved(
      await post(`/bench/${set}?/save`, { ...form, at: '2026-11-24T10:00', 'n.loop': '10 in', 'n.share': '60 %', 'n.depth': '15 in' }),
      /saved/,
    );
    const again = (await openedPage(set)).opened;
    saved(
      await post(`/bench/${set}?/save`, {
        ...form,
        entry: uuid(),
        opened: again,
        at: '2026-11-22T10:00',
        'n.loop': '9 in',
        'n.share': '60 %',
        'n.depth': '17 in',
      }),
      /saved/,
    );
    const after = await settingsOf(set);
    assert.equal(after.length, before.length + 2);
    assert.deepEqual(
      after.slice(-2).map((s) => Math.round((s.numbers.loop ?? 0) / inches(1))),
      [9, 10],
    );
  });
  it('from a page opened before another’s change is answered with what changed, and goes on top with one tap', async () => {
    const set = named.sets['45'] ?? '';
    const { opened, arm } = await openedPage(set);
    const form = (over: Record<string, string>) => ({ ...pinch(set, opened, arm), at: '2026-11-25T05:00', 'n.loop': '10 in', ...over });
    saved(await post(`/bench/${set}?/save`, form({ anchor: 'the leaning birch' })), /saved/);
    const late = form({ note: 'ice at the edge' });
    const answer = await post(`/bench/${set}?/save`, late);
    refused(answer, 409, /changed this/, /the leaning birch/, 'ice at the edge', /Save my changes on top/);
    const onto = /name="onto" value="([^"]+)"/.exec(answer.text)?.[1] ?? '';
    saved(await post(`/bench/${set}?/save`, { ...late, onto }), /saved/);
    const [now] = await rows('trap_set', { id: set });
    assert.deepEqual([now?.anchor, now?.note], ['the leaning birch', 'ice at the edge']);
  });
  it('keeps the tag chosen for a planned set, and offers it when the set goes live', async () => {
    const id = uuid();
    saved(await placeAt('64', 'lodge-run', { id, number: '174', state: 'planned', 'd.outer': named.tags['K-15'] ?? '' }), /bench/);
    const tag = named.tags['K-15'] ?? '';
    assert.deepEqual((await rows('trap_set', { id }))[0]?.reserved, { outer: tag });
    assert.match(await get(`/bench/${id}`), new RegExp(`<option value="${tag}"[^>]* selected`));
  });
});

describe('a check', () => {
  it('that also pulled the set is taken back whole', async () => {
    const set = named.sets['31'] ?? '';
    const { form, answer } = await checked(set, 'untouched', { change: 'pulled' });
    saved(answer, /morning\?saved=/);
    assert.equal((await rows('trap_set', { id: set }))[0]?.state, 'pulled');
    saved(await post('/morning?/undo', { entry: form.entry }), /undone/);
    assert.equal((await rows('trap_set', { id: set }))[0]?.state, 'live');
    assert.equal((await staysOf(set)).length, 1);
    assert.equal((await rows('check_visit', { id: form.id })).length, 0);
  });
  it('that found the trap damaged puts its tag out of use', async () => {
    const set = named.sets['41'] ?? '';
    const [stay] = await staysOf(set);
    saved((await checked(set, 'sprung empty', { [`${stay}.flags`]: 'damaged', change: 'pulled' })).answer, /morning/);
    assert.equal((await rows('device', { tag: 'K-34' }))[0]?.condition, 'broken');
  });
  it('does not hang a damaged snare again', async () => {
    const set = named.sets['45'] ?? '';
    const [stay] = await staysOf(set);
    const arm = ['loaded', 'nudged'].map((q) => `snare:${q}`);
    const twisted = { [`${stay}.flags`]: 'cable twisted' };
    refused(
      (await checked(set, 'knocked', { ...twisted, change: 'remade', arm })).answer,
      400,
      /A damaged or twisted snare is not set again/,
    );
    saved((await checked(set, 'knocked', twisted)).answer, /morning/);
    assert.equal((await rows('device', { tag: 'K-52' }))[0]?.condition, 'broken');
  });
  it('one order in every room: the rounds, the check and the water tell the same figure', async () => {
    const order = /Lower the bed [\d¼½¾]+ in/;
    const [rounds, check, water] = await Promise.all([
      rowOf('/morning', /20 inlet point/),
      words(`/check/${named.sets['20'] ?? ''}`),
      words(`/waters/${named.waters['Header Pond']}`),
    ]);
    const said = order.exec(rounds)?.[0] ?? 'none';
    assert.match(said, order);
    assert.ok(check.includes(said), 'the check');
    assert.ok(water.slice(water.indexOf('20 inlet point : dry')).includes(said), 'the water');
  });
  it('says how the set stood when it caught: before the check changed it', async () => {
    const set = named.sets['27'] ?? '';
    const [stay] = await staysOf(set);
    const before = /27 patrol channel[\s\S]*?top of the jaws ([\d¼½¾]+ in) (above|below|over|under)/.exec(await words('/morning'));
    const { answer } = await checked(set, 'catch', {
      [`${stay}.species`]: 'beaver',
      [`${stay}.alive`]: 'no',
      change: 'remade',
      lower: '8 in',
      arm: BODY_GRIP,
    });
    saved(answer, /morning/);
    const row = await rowOf('/book/water', /27 patrol channel/);
    const caught = /Nov 25 5:21 am: beaver : top of the jaws ([\d¼½¾]+ in) (over|under)/.exec(row);
    assert.ok(caught, row);
    assert.equal(caught[2], 'over', 'it was dry: the remake of eight inches came after');
    if (before) assert.equal(caught[1], before[1]);
  });
  it('shows no text that a link carries', async () => {
    const set = named.sets['12'] ?? '';
    assert.doesNotMatch(await get(`/check/${set}?advice=Call+this+number`), /Call this number/);
  });
});

describe('the order of a set’s traps', () => {
  it('is that of its type, whatever order the database gives', async () => {
    const set = named.sets['12'] ?? '';
    const first = await words(`/check/${set}`);
    assert.ok(first.indexOf('K-07') < first.indexOf('K-08'));
    const db = connect(program.url);
    await db.raw(`update stay set live_from = live_from - interval '1 minute' where set_id = ? and position = 'inner'`, [set]);
    const page = await words(`/check/${set}`);
    await db.raw(`update stay set live_from = live_from + interval '1 minute' where set_id = ? and position = 'inner'`, [set]);
    await db.destroy();
    assert.ok(page.indexOf('K-07') < page.indexOf('K-08'), 'outer before inner');
  });
});

describe('a break', () => {
  const water = (): string => named.waters['Moss Slough'] ?? '';
  it('found on a pond of unknown size forecasts a wide band at once, says what it lacks, and takes the two numbers there', async () => {
    const far = (await rows('water', { name: 'Far Pond' }))[0]?.id as string;
    const form = {
      entry: uuid(),
      id: uuid(),
      opened: '2026-11-25T05:20',
      openWidth: '12 in',
      openSill: '10 in',
      openShape: 'rectangle',
      openedBy: 'others',
      expect: 'not mended',
    };
    saved(await post(`/waters/${far}/break?/open`, form), /saved=1/);
    const page = await words(`/waters/${far}`);
    assert.match(page, /the area of the pond and its rise in a day are not known/);
    assert.match(await rowOf('/morning', /172/), /Works until|Likely keeps|not working|too shallow|dry/);
    refused(await post(`/waters/${far}/fills?/pond`, { entry: uuid(), area: 'big', rise: '' }), 400, /area of a pond/);
    saved(await post(`/waters/${far}/fills?/pond`, { entry: uuid(), area: '43,560', rise: '1 in' }), /waters/);
    assert.doesNotMatch(await words(`/waters/${far}`), /are not known/);
    const [kept] = await rows('water', { id: far });
    assert.ok(Math.abs((kept?.areas as { area: number }[])[0]?.area ?? 0 - 4047) > 4000 && Math.abs(Number(kept?.rise) - inches(1)) < 1e-9);
  });
  it('keeps the area that was typed for its what-if', async () => {
    const form = {
      entry: uuid(),
      id: uuid(),
      opened: '2026-11-25T05:00',
      openWidth: '10 in',
      openSill: '8 in',
      area: '20000',
      rise: '½ in',
    };
    saved(await post(`/waters/${water()}/break?/open`, form), /saved=1/);
    const [kept] = await rows('water', { id: water() });
    assert.equal((kept?.areas as unknown[]).length, 1);
  });
  it('found wider is a new state of the same break, and the forecast uses it', async () => {
    const [open] = await rows('opening', { water_id: water() });
    const form = { opening: String(open?.id), changeEntry: uuid(), nowWidth: '30 in', nowSill: '6 in', seenAt: '2026-11-25T05:10' };
    saved(await post(`/waters/${water()}/break?/changed`, form), /saved=1/);
    const all = await rows('opening', { water_id: water() });
    assert.equal(all.length, 1);
    assert.equal((all[0]?.states as unknown[]).length, 2);
    const page = await words(`/waters/${water()}/break`);
    assert.match(page, /30 in wide, bottom at 6 in/);
    assert.match(page, /seen changed 1 time/);
    refused(await post(`/waters/${water()}/break?/changed`, { ...form, changeEntry: uuid(), nowWidth: '' }), 400, /how wide it is now/);
  });
  it('is opened by the set that opens it as it goes live, and not when one says no', async () => {
    const shoulder = (over: Record<string, string | string[]>) => {
      const arm = ['left'].flatMap((side) => ['steady', 'looseJaw', 'panClear', 'levers', 'chain'].map((q) => `${side}:${q}`));
      return { 'd.outer': '', 'd.left': named.tags['K-35'] ?? '', 'n.leftUnder': '7 in', 'c.hold': 'live', arm, ...over };
    };
    const page = await get(`/bench/new?station=${named.stations['65']}&type=dam-break-shoulder&state=live`);
    assert.match(page, /This set opens the dam/);
    assert.match(page, /name="breakOpened" value="yes"[^>]*checked|checked[^>]*name="breakOpened" value="yes"/);
    const arm = (page.match(/name="arm" value="([^"]+)"/g) ?? []).map((a) => /value="([^"]+)"/.exec(a)?.[1] ?? '');
    const wide = { breakOpened: 'yes', breakWide: '8 in', breakBottom: '12 in' };
    const refusedFirst = await placeAt('65', 'dam-break-shoulder', shoulder({ ...wide, breakBottom: '', number: '180' }));
    refused(refusedFirst, 400, /lowest point on the gauge/);
    const asked = (refusedFirst.text.match(/name="arm" value="([^"]+)"/g) ?? []).map((a) => /value="([^"]+)"/.exec(a)?.[1] ?? '');
    const id = uuid();
    saved(await placeAt('65', 'dam-break-shoulder', shoulder({ ...wide, id, number: '180', arm: [...arm, ...asked] })), /bench/);
    const own = (await rows('opening')).filter((o) => o.set_id === id);
    assert.equal(own.length, 1);
    const no = uuid();
    saved(
      await placeAt(
        '65',
        'dam-break-shoulder',
        shoulder({ breakOpened: 'no', id: no, number: '181', 'd.left': named.tags['K-36'] ?? '', arm: [...arm, ...asked] }),
      ),
      /bench/,
    );
    assert.equal((await rows('opening')).filter((o) => o.set_id === no).length, 0);
  });
});

describe('a reading sent again', () => {
  it('after another reading was saved is answered as saved', async () => {
    const path = `/waters/${named.waters['Spill Creek']}?/reading`;
    const first = { entry: uuid(), id: uuid(), level: '9 in', at: '2026-11-25T05:12', surface: 'pond', bound: 'exact' };
    saved(await post(path, first), /read=1/);
    saved(await post(path, { ...first, entry: uuid(), id: uuid(), level: '10 in', at: '2026-11-25T05:15' }), /read=1/);
    saved(await post(path, first), /read=1/);
  });
});

describe('what was left as it was found', () => {
  it('a trap left sprung is shown so on Morning, at its bench and on its water, until it is set again', async () => {
    const set = named.sets['42'] ?? '';
    saved((await checked(set, 'sprung empty')).answer, /morning/);
    assert.match(await rowOf('/morning', /42 willow bend/), /sprung.*Set it again.*Found sprung Nov 25 5:21 am and left so\./);
    assert.match(await words('/morning?show=idle'), /42 willow bend/);
    const water = await words(`/waters/${named.waters['Hatchery Race']}`);
    assert.match(water, /willow bend: sprung/);
    const armed = { arm: BODY_GRIP, change: 'remade', at: '2026-11-25T05:22' };
    saved((await checked(set, 'untouched', armed)).answer, /morning/);
    assert.doesNotMatch(await rowOf('/morning', /42 willow bend/), /sprung/);
  });
  it('what was armed again at the bench since is not', async () => {
    const set = named.sets['33'] ?? '';
    saved((await checked(set, 'knocked')).answer, /morning/);
    assert.match(await rowOf('/morning', /33 crossover/), /knocked down/);
    const trap = ['hooksOff', 'wiresInside', 'dogFree', 'rightWayUp', 'swingClear'].map((q) => `trap:${q}`);
    saved((await checked(set, 'untouched', { change: 'remade', at: '2026-11-25T05:22', arm: trap })).answer, /morning/);
    assert.doesNotMatch(await rowOf('/morning', /33 crossover/), /knocked/);
  });
});

describe('what a place measured', () => {
  it('fills the numbers of every set there, and is not written into them', async () => {
    const [station, water] = [named.stations['42'], named.waters['Hatchery Race']];
    saved(await post(`/waters/${water}/${station}/measure`, { entry: uuid(), 'm.widthBed': '17 in', 'm.depth': '21 in' }), /./);
    const id = uuid();
    const planned = { id, number: '190', state: 'planned', 'd.outer': '', anchor: '', 'n.topUnder': '' };
    saved(await placeAt('42', 'lodge-run', planned), /bench/);
    assert.deepEqual((await settingsOf(id))[0]?.numbers, {});
    assert.match(await words(`/bench/${id}`), /17 in, measured here Nov 25/);
    assert.match(await words(`/bench/new?station=${station}&type=bank-den-run`), /17 in, measured here Nov 25/);
  });
  it('a new set takes from the last of its type how it is built, and nothing of its place', async () => {
    const id = uuid();
    const numbers = { 'n.topUnder': '3 in', 'n.widthBed': '19 in', 'n.depth': '22 in', 'n.frameOverBed': '3 in' };
    saved(
      await placeAt('20', 'lodge-run', { id, number: '191', state: 'planned', 'd.outer': '', anchor: 'old root', ...numbers }),
      /bench/,
    );
    const page = await get(`/bench/new?station=${named.stations['22']}&type=lodge-run&like=${id}`);
    const valueOf = (name: string): string => new RegExp(`name="${name.replace('.', '\\.')}"[^>]*value="([^"]*)"`).exec(page)?.[1] ?? '';
    assert.deepEqual(
      ['n.frameOverBed', 'n.widthBed', 'n.depth', 'anchor'].map((name) => valueOf(name)),
      ['3 in', '', '', ''],
    );
  });
});
