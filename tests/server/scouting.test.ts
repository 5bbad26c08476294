import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { readStamp } from '#core/formats/exchange';
import { record } from '#server/record/write';
import { replay, TRUTH } from '#server/record/replay';
import { csvRows } from '../../src/lib/exchange/csv';
import { startProgram, type Program } from '../support/server';
import { picture } from '../support/picture';
import { webOf } from '../support/web';

let program: Program;
let waters: Record<string, string>;
let stations: Record<string, string>;
let sites: Record<string, string>;
const { post, postFile, get, rows, saved, refused, uuid } = webOf(() => program);

before(async () => {
  program = await startProgram({ demo: true });
  const ids = async (table: string, name: string): Promise<Record<string, string>> =>
    Object.fromEntries((await rows(table)).map((r) => [String(r[name]), String(r.id)]));
  [waters, stations, sites] = await Promise.all([ids('water', 'name'), ids('station', 'number'), ids('site', 'name')]);
});
after(() => program.end());

const water = (name: string): string => `/waters/${waters[name]}`;
const place = (name: string, number: number): string => `${water(name)}/${stations[number]}`;

describe('the map', () => {
  const form = (over: Record<string, string> = {}) => ({
    ground: uuid(),
    groundEntry: uuid(),
    site: sites['Kettle Row cranberry works'] ?? '',
    subject: '',
    form: 'line',
    groundKind: 'road',
    groundName: 'new track',
    points: '45.512, -90.487\n45.513, -90.487',
    ...over,
  });
  it('a typed line is saved once, and said with its length', async () => {
    const typed = form();
    saved(await post('/waters?/ground', typed), /drawn=1/);
    saved(await post('/waters?/ground', typed), /drawn=1/);
    assert.equal((await rows('ground', { name: 'new track' })).length, 1);
    assert.match(await get('/waters'), /2 places, 365 ft long, bearing 0° \(north\)/);
  });
  for (const [what, over, say] of [
    ['places that are none', { points: 'by the willow' }, /“by the willow”, is not a latitude/],
    ['a line of one place', { points: '45.5, -90.4' }, /two places at least/],
    ['no name', { groundName: '' }, /Name is needed/],
    ['a kind that is none', { groundKind: 'moon' }, /Kind is one of/],
  ] as const)
    it(`${what}: refused in words, and what was typed stays`, async () => {
      const typed = form(over);
      const answer = await post('/waters?/ground', typed);
      refused(answer, 400, say);
      assert.ok(answer.text.includes(typed.points.split('\n')[0] ?? ''));
    });
  it('a station is moved to another place', async () => {
    saved(await post('/waters?/ground', form({ subject: stations['60'] ?? '', points: '45.5137, -90.4887' })), /drawn=1/);
    const [row] = await rows('station', { number: 60 });
    assert.deepEqual([row?.lat, row?.lon], [45.5137, -90.4887]);
  });
  it('a station outside the permitted ground is flagged, by the place it is moved to', async () => {
    assert.match(await get('/waters'), /75 below the lane lies outside the boundary of permission/);
    saved(await post('/waters?/ground', form({ subject: stations['75'] ?? '', points: '45.5115, -90.4865' })), /drawn=1/);
    assert.doesNotMatch(await get('/waters'), /75 below the lane lies outside/);
  });
  it('a new station on a stream lies on its line, as far along as was said', async () => {
    const id = uuid();
    saved(
      await post(`${water('Spill Creek')}?/station`, {
        entry: uuid(),
        id,
        number: '301',
        name: 'half way',
        kind: 'point',
        along: '450 ft',
        depth: '',
        crest: '',
        note: '',
      }),
      /waters/,
    );
    const [row] = await rows('station', { id });
    assert.ok(Number(row?.lat) < 45.512 && Number(row?.lon) > -90.487);
  });
});

describe('files', () => {
  const things = async (): Promise<unknown[]> => {
    const { features } = JSON.parse(await get('/waters/export/zaprud.geojson')) as {
      features: { geometry: unknown; properties: { name: string; zaprud: string } }[];
    };
    return features.map((f) => ({ ...readStamp(f.properties.zaprud), name: f.properties.name, shape: f.geometry }));
  };
  const take = async (list: unknown[], over: Record<string, string> = {}) =>
    post('/waters/exchange', {
      form: uuid(),
      things: JSON.stringify(list),
      site: sites['Kettle Row cranberry works'] ?? '',
      water: waters['Spill Creek'] ?? '',
      points: 'stations',
      ...over,
    });

  it('every format is written, and the table can be read', async () => {
    for (const file of ['zaprud.gpx', 'zaprud.kml', 'zaprud.geojson', 'zaprud.csv']) {
      const answer = await fetch(`${program.base}/waters/export/${file}`);
      assert.equal(answer.status, 200);
      assert.match(answer.headers.get('content-disposition') ?? '', new RegExp(file));
    }
    const { rows: table } = csvRows(await get('/waters/export/zaprud.csv'));
    assert.ok(table.filter((r) => r.record === 'station').length >= 45);
    assert.equal((await fetch(`${program.base}/waters/export/zaprud.exe`)).status, 404);
  });
  it('all that was written is known again: nothing is new', async () =>
    refused(await take(await things()), 400, /Nothing in that file is new/));
  it('taken out of the record and read back, a piece of ground is the same with every property', async () => {
    const all = await things();
    const [before] = await rows('ground', { name: 'Long dam' });
    assert.ok(before);
    const db = connect(program.url);
    const crew = String(before.crew_id);
    await record(db, { id: uuid(), crew, withdraws: String(before.entry_id), by: null, reason: '' });
    await db.destroy();
    saved(await take(all), /taken=1&/);
    const [after] = await rows('ground', { name: 'Long dam' });
    assert.deepEqual({ ...after, entry_id: null }, { ...before, entry_id: null });
  });
  it('of a file with one broken thing the others are taken, and sent twice they are taken once', async () => {
    const form = uuid();
    const list = [
      { record: null, id: null, name: 'spot one', shape: { type: 'Point', coordinates: [-90.4866, 45.5113] }, properties: {} },
      { record: null, id: null, name: 'broken', shape: { type: 'Point', coordinates: [0, 99] }, properties: {} },
    ];
    saved(await take(list, { form }), /taken=1&here=0&refused=1/);
    refused(await take(list, { form }), 400, /Nothing in that file is new/);
    assert.equal((await rows('station', { name: 'spot one' })).length, 1);
  });
  it('nothing is half taken: one that the record refuses keeps out all', async () => {
    const point = (name: string) => ({
      record: null,
      id: null,
      name,
      shape: { type: 'Point', coordinates: [-90.48, 45.5] },
      properties: {},
    });
    const before = (await rows('station')).length;
    const far = { ...point('far'), record: 'station', id: uuid(), properties: { kind: 'run', number: 990, surface: 'pond', along: 0 } };
    const answer = await take([far, point('good')], { site: uuid() });
    refused(answer, 400, /Choose the site/);
    assert.equal((await rows('station')).length, before);
  });
  for (const [what, text] of [
    ['no JSON', '<gpx>'],
    ['no list', '{"a":1}'],
    ['an empty list', '[]'],
  ] as const)
    it(`${what} is refused in words`, async () =>
      refused(
        await post('/waters/exchange', { form: uuid(), things: text, site: sites['Kettle Row cranberry works'] ?? '' }),
        400,
        /Choose a file first/,
      ));
});

describe('a station', () => {
  it('is measured in any form, with today’s level, and a slip is refused beside its field', async () => {
    const path = `${place('Header Pond', 12)}/measure`;
    refused(
      await post(path, { entry: uuid(), 'm.depth': 'abc', 'm.bearing': '95', profile: '', parent: '' }),
      400,
      /“abc” is not a length/,
    );
    refused(await post(path, { entry: uuid(), profile: '6 ft 14', parent: '' }), 400, /not a distance and a depth/);
    saved(
      await post(path, {
        entry: uuid(),
        'm.depth': 'knee',
        'm.pushIn': '3 in',
        profile: '1 ft, 4 in\n3 ft, 20 in',
        parent: stations['13'] ?? '',
      }),
      /measured=1/,
    );
    const page = await get(place('Header Pond', 12));
    assert.match(page, /belongs to <a[^>]*>13 lodge/);
    assert.match(page, /20½ in[\s\S]*32½ in/, 'the measure, and the level then');
    assert.match(page, /Bed across:<\/b> 12 in: 4 in, 36 in: 20 in/);
  });
  it('cannot belong to itself', async () =>
    refused(
      await post(`${place('Header Pond', 12)}/measure`, { entry: uuid(), profile: '', parent: stations['12'] ?? '' }),
      409,
      /cannot belong to itself/,
    ));
  it('on a stream tells its depth as uncertain until two readings, then by its own relation', async () => {
    assert.match(await get(place('Spill Creek', 74)), /likely .* One reading here/);
    saved(
      await post(`${place('Spill Creek', 74)}?/depth`, { entry: uuid(), id: uuid(), depth: '9 in', level: '14 in', depthAt: '' }),
      /read=1/,
    );
    assert.match(await get(place('Spill Creek', 74)), /by 2 readings here: it moves 0\.\d in for every inch/);
  });
  it('a depth without a number is refused', async () =>
    refused(await post(`${place('Spill Creek', 74)}?/depth`, { entry: uuid(), id: uuid(), depth: '', level: '' }), 400, /Type the depth/));
  it('says where it cannot be stood', async () => assert.match(await get(place('Moss Slough', 80)), /Stay out: you sink/));
  it('a crest from debris is kept apart: it moves no level', async () => {
    const path = water('Spill Creek');
    refused(
      await post(`${path}?/reading`, { entry: uuid(), id: uuid(), level: '30 in', at: '', bound: 'crest', since: '' }),
      400,
      /between two dates/,
    );
    saved(
      await post(`${path}?/reading`, {
        entry: uuid(),
        id: uuid(),
        level: '30 in',
        at: '',
        bound: 'crest',
        since: '2026-11-20T08:00',
        clarity: 'clear',
      }),
      /read=1/,
    );
    const page = await get(path);
    assert.match(page, /High-water mark 30 in/);
    assert.match(page, /Clear: channels show/);
    assert.doesNotMatch(page, /now 30 in/);
  });
  it('a crest that was measured over the water of now says so, with its doubt (F33)', async () => {
    const path = water('Spill Creek');
    const form = { at: '', bound: 'over', since: '2026-11-20T08:00', clarity: 'not looked', markDoubt: '2 in' };
    saved(await post(`${path}?/reading`, { ...form, entry: uuid(), id: uuid(), level: '14 in' }), /read=1/);
    const [, now = ''] = /now ([\d½¼¾]+) in/.exec(await get(path)) ?? [];
    const inNumber = Number(now.replace(/[½¼¾]/, '')) + ({ '½': 0.5, '¼': 0.25, '¾': 0.75 }[now.at(-1) ?? ''] ?? 0);
    const [, mark = ''] = /High-water mark ([\d½¼¾]+) in, give or take 2 in/.exec(await get(path)) ?? [];
    const asNumber = Number(mark.replace(/[½¼¾]/, '')) + ({ '½': 0.5, '¼': 0.25, '¾': 0.75 }[mark.at(-1) ?? ''] ?? 0);
    assert.equal(asNumber, inNumber + 14);
    assert.match(await get('/book?kind=reading'), /14 in above the water of \d+:\d\d [ap]m/);
  });
  it('a sign keeps its photo and where it was taken, once; another kind of file is refused', async () => {
    const path = `${place('Header Pond', 15)}?/sign`;
    const jpeg = new Blob([new Uint8Array(await picture())], { type: 'image/jpeg' });
    const form = { entry: uuid(), id: uuid(), kind: 'wetSlide', species: 'beaver', freshness: 'hours', lat: '45.5121', lon: '-90.4869' };
    refused(
      await postFile(path, { ...form, entry: uuid(), id: uuid() }, 'photo', new Blob(['<svg onload=alert(1)>'])),
      400,
      /not a photo Zaprud knows/,
    );
    saved(await postFile(path, form, 'photo', jpeg), /noted=1/);
    saved(await postFile(path, form, 'photo', jpeg), /noted=1/);
    const [row] = await rows('sign', { id: form.id });
    assert.deepEqual([row?.lat, row?.lon], [45.5121, -90.4869]);
    assert.equal((await rows('photo')).length, 1);
    const photo = await fetch(`${program.base}/photo/${String(row?.photo_id)}`);
    assert.equal(photo.headers.get('content-type'), 'image/jpeg');
    assert.equal((await photo.arrayBuffer()).byteLength, jpeg.size);
    assert.equal((await fetch(`${program.base}/photo/${uuid()}`)).status, 404);
  });
  it('own half-lives weigh every station anew; an absurd one is refused', async () => {
    const use = async (): Promise<string> => /use score (\d+)\/10; sign loses/.exec(await get(place('Header Pond', 17)))?.[1] ?? '';
    const before = await use();
    refused(await post('/waters/sign', { entry: uuid(), 'h.greenPile': '900' }), 400, /between 0.05 and 365 days/);
    saved(await post('/waters/sign', { entry: uuid(), 'h.greenPile': '0.5' }), /saved=1/);
    assert.ok(Number(await use()) < Number(before));
    saved(await post('/waters/sign', { entry: uuid(), 'h.greenPile': '20' }), /saved=1/);
    assert.equal(await use(), before);
  });
});

describe('guided readings, ledger, counting, plan', () => {
  it('a dam without a gap, a brook without a mark and a hole without its bearing are refused', async () => {
    const read = `${water('Header Pond')}/read`;
    refused(await post(`${read}/crossing`, { entry: uuid(), id: uuid() }), 400, /Tick a gap/);
    refused(await post(`${read}/brook`, { entry: uuid(), id: uuid(), '0.mark': '' }), 400, /one mark at least/);
    refused(await post(`${read}/brook`, { entry: uuid(), id: uuid(), '0.mark': 'bend', '0.along': '' }), 400, /How far along the creek/);
    refused(
      await post(`${read}/lodge`, { entry: uuid(), id: uuid(), station: stations['13'] ?? '', '0.felt': 'sticks', '0.distance': '7 ft' }),
      400,
      /bearing from the peak/,
    );
  });
  it('a brook of many marks is ranked, and a mark becomes a station on the stream’s line', async () => {
    const id = uuid();
    const marks = Object.fromEntries(
      Array.from({ length: 12 }, (_, i) => [
        [`${i}.mark`, i % 2 ? 'undercut' : 'bend'],
        [`${i}.along`, `${40 + i * 160} ft`],
        [`${i}.depth`, '5 in'],
      ]).flat() as [string, string][],
    );
    saved(await post(`${water('Spill Creek')}/read/brook`, { entry: uuid(), id, ...marks }), new RegExp(id));
    const page = await get(`${water('Spill Creek')}/read/${id}`);
    assert.equal(page.match(/>yes</g)?.length, 5, 'three to five are chosen');
    const answer = await post(`${water('Spill Creek')}/read/${id}?/station`, { entry: uuid(), nth: '2' });
    saved(answer, /waters/);
    const [made] = await rows('station', { name: 'undercut 2' });
    assert.ok(made && (made.bed as { depth: number }).depth > 0.12 && made.lat !== null);
  });
  it('winter signs of a lodge count for its station', async () => {
    const before = (await rows('sign', { station_id: stations['61'] })).length;
    const form = {
      entry: uuid(),
      id: uuid(),
      station: stations['61'] ?? '',
      seen: ['weeds', 'drySticks'],
      ledge: '',
      pile: '',
      radius: '',
    };
    saved(await post(`${water('Upper Reservoir')}/read/lodge`, form), new RegExp(form.id));
    assert.equal((await rows('sign', { station_id: stations['61'] })).length, before + 2);
  });
  it('the ledger takes what others did, and a level to reach that every reading is held against', async () => {
    const path = `${water('Moss Slough')}/ledger`;
    refused(
      await post(`${path}?/earlier`, { entry: uuid(), id: uuid(), who: '', season: 'last winter', used: 'snares', species: 'beaver' }),
      400,
      /Who is needed/,
    );
    saved(
      await post(`${path}?/earlier`, {
        entry: uuid(),
        id: uuid(),
        who: 'a neighbour',
        season: 'last winter',
        used: 'snares',
        species: 'beaver',
        caught: '2',
        nights: '',
        note: 'shy since',
      }),
      /saved=1/,
    );
    refused(await post(`${path}?/safe`, { safeEntry: uuid(), what: 'cellar', level: 'low' }), 400, /“low” is not a length/);
    saved(await post(`${path}?/safe`, { safeEntry: uuid(), what: 'cellar', level: '10 in' }), /saved=1/);
    assert.match(
      await get(water('Moss Slough')),
      /cellar: \d+¾? ?in still to go, down to 10 in|cellar: [\d¼½¾]+ in still to go, down to 10 in/,
    );
  });
  it('a catch is sign at its place, and is counted against the range of who is left', async () => {
    const own = (await rows('station', { water_id: waters['Header Pond'] })).map((p) => p.id);
    const [line] = await rows('line', { season: '3' });
    const sets = (await rows('trap_set', { line_id: line?.id })).filter((t) => own.includes(t.station_id)).map((t) => t.id);
    const visits = (await rows('check_visit')).filter((v) => sets.includes(v.set_id)).map((v) => v.id);
    const devices = (await rows('check_device')).filter((d) => visits.includes(d.visit_id)).map((d) => d.id);
    const caughtAt = (await rows('catch')).filter((c) => c.species === 'beaver' && devices.includes(c.check_id)).length;
    assert.ok(caughtAt > 0);
    assert.match(await get(place('Header Pond', 20)), /For: [^.]*catch/);
    const [family] = await rows('colony', { name: 'Header families' });
    assert.match(await get(`/colonies/${String(family?.id)}`), new RegExp(`${caughtAt} caught here since \\w+ \\d+: taken off`));
  });
  it('a copy of a set goes to no place that cannot be waded, and names it', async () => {
    const [set] = await rows('trap_set', { number: 12 });
    assert.match(await get(`/bench/series?like=${String(set?.id)}`), /13 lodge: Too deep to wade/);
  });
  it('what a place gave stands by season with its limits', async () => {
    const page = await get(`${water('Header Pond')}/ledger`);
    assert.match(page, /Season 2: 3 in [\d.]+( to [\d.]+)? working nights/);
    assert.match(page, /Season 3: /);
  });
  it('camera events come in once, and a bad table is refused', async () => {
    const path = `${water('Header Pond')}/count`;
    const table = JSON.stringify([
      { time: '2026-11-23 18:10', camera: 'C9', species: 'beaver', count: '7', 'size class': 'large' },
      { time: 'dusk', camera: 'C9', species: 'beaver', count: '1', 'size class': 'large' },
    ]);
    refused(await post(`${path}?/file`, { form: uuid(), station: stations['12'] ?? '', rows: 'nonsense' }), 400, /Choose a table/);
    saved(await post(`${path}?/file`, { form: uuid(), station: stations['12'] ?? '', rows: table }), /taken=1&here=0&refused=1/);
    refused(await post(`${path}?/file`, { form: uuid(), station: stations['12'] ?? '', rows: table }), 400, /in the record already/);
    assert.match(await get(path), /Most at once 7/);
  });
  it('one camera event is typed by hand, once, by the same rules', async () => {
    const path = `${water('Header Pond')}/count`;
    const event = {
      eventStation: stations['12'] ?? '',
      eventAt: '2026-11-22T19:05',
      eventSpecies: 'beaver',
      eventSize: 'small',
      eventDid: 'went round',
    };
    const typed = (over: Record<string, string>) => post(`${path}?/typed`, { typedForm: uuid(), ...event, ...over });
    refused(await typed({ eventCount: '' }), 400, /Say how many were in the picture at once/);
    refused(await typed({ eventCount: '99' }), 400, /not a count from 1 to 40/);
    refused(await typed({ eventCount: '2', eventAt: '2031-11-22T19:05' }), 400, /cannot lie in the future/);
    saved(await typed({ eventCount: '2' }), /taken=1/);
    refused(await typed({ eventCount: '2' }), 400, /in the record already/);
    const [roll] = await rows('camera', { source: 'typed' });
    assert.deepEqual([roll?.station_id, roll?.set_id], [stations['12'], null]);
    // where several sets stand at a place, the camera looks at one of them
    const [before] = await rows('trap_set', { station_id: stations['12'], state: 'live' });
    const hung = { eventStation: `${stations['12'] ?? ''} ${String(before?.id)}`, eventAt: '2026-11-22T20:05', eventCount: '1' };
    saved(await typed(hung), /taken=1/);
    assert.equal((await rows('camera', { set_id: before?.id })).length, 1);
    const elsewhere = `${stations['13'] ?? ''} ${String(before?.id)}`;
    refused(await typed({ ...hung, eventStation: elsewhere, eventAt: '2026-11-22T21:05' }), 400, /Choose where the camera hung/);
    refused(await typed({ ...hung, eventStation: '', eventAt: '2026-11-22T21:05' }), 400, /Choose where the camera hung/);
  });
  it('a lodge that looks live and is not, and one that looks dead and is live', async () => {
    assert.match(await get(place('Upper Reservoir', 61)), /Likely not in use/);
    const [upper] = await rows('colony', { name: 'Upper lodge' });
    assert.match(await get(`/colonies/${String(upper?.id)}`), /look for a second lodge/);
    assert.match(await get(place('Moss Slough', 80)), /In use|Perhaps in use/);
    assert.match(await get(`${water('Moss Slough')}/count`), /No\s+fewer\s+than [2-9]/);
  });
  it('the plan answers 40 minutes and 8 traps, and says why each place is left', async () => {
    const page = await get('/waters/plan?species=beaver&minutes=40&traps=8');
    assert.match(page, /In 40 minutes with 8 traps: set \d/);
    assert.match(page, /A live set stands there: 12 east lodge run/);
    assert.match(page, /Likely not in use \(use score/);
    assert.match(await get('/waters/plan?species=beaver&minutes=-4&traps=abc&wanted=1e9'), /Beaver plan/);
    assert.match(await get('/waters/plan?day=Wed'), /this line’s rule asks a look within 24 h/);
  });
  it('a place is taken once: as a set, in words, or left with its reason', async () => {
    const at = (number: number, over: Record<string, string>) =>
      post('/waters/plan?species=beaver', {
        entry: uuid(),
        station: stations[number] ?? '',
        species: 'beaver',
        type: 'lodge-run',
        doing: 'planned',
        opens: '',
        because: '',
        ...over,
      });
    saved(await at(81, {}), /taken=/);
    const [planned] = await rows('trap_set', { station_id: stations['81'], state: 'planned' });
    assert.equal(planned?.state, 'planned');
    refused(await at(63, { doing: 'left', type: 'Baited bank' }), 400, /Say why it is left unset/);
    saved(await at(63, { doing: 'left', because: 'rest it this week' }), /taken=/);
    refused(await at(63, { doing: 'planned', type: 'Baited bank' }), 409, /intended at that place already/);
    refused(await at(30, { doing: 'prepared', type: 'Break with a trap' }), 400, /needs the date/);
    saved(await at(30, { doing: 'prepared', type: 'Break with a trap', opens: '2026-12-05' }), /taken=/);
    assert.match(await get('/waters/plan'), /Left unset: rest it this week/);
    assert.match(await get('/waters/plan/sheet'), /Section of the water/);
  });
  it('a break is kept once, forecasts the sets of its pond, and ends when it was found mended', async () => {
    const path = `${water('Header Pond')}/break`;
    assert.match(await get('/morning'), /Works until about|Should work until/);
    refused(
      await post(`${path}?/open`, { entry: uuid(), id: uuid(), openWidth: '', openSill: '27 in', opened: '2026-11-25T04:00' }),
      400,
      /how wide it is/,
    );
    refused(
      await post(`${path}?/open`, { entry: uuid(), id: uuid(), openWidth: '9 in', openSill: '27 in', opened: '2026-11-25T23:00' }),
      400,
      /what-if/,
    );
    const form = {
      entry: uuid(),
      id: uuid(),
      openWidth: '9 in',
      openSill: '27 in',
      opened: '2026-11-25T04:00',
      openedBy: 'others',
      note: '',
    };
    saved(await post(`${path}?/open`, form), /saved=1/);
    saved(await post(`${path}?/open`, form), /saved=1/);
    const open = (await rows('opening', { water_id: waters['Header Pond'] })).filter((o) => o.mended === null);
    assert.equal(open.length, 2);
    for (const o of open) saved(await post(`${path}?/mend`, { opening: String(o.id), mendEntry: uuid() }), /closed=1/);
    assert.doesNotMatch(await get('/morning'), /fine until about/);
    assert.equal((await post(`${path}?/mend`, { opening: uuid(), mendEntry: uuid() })).status, 404);
  });
  it('the break designer answers any address with a page', async () => {
    const path = `${water('Header Pond')}/break`;
    for (const [query, say] of [
      ['width=wide', /“wide” is not a length/],
      ['area=-4', /area of the pond is above 0/],
      ['sill=99 in', /bottom of the break stands above the water/],
      ['goal=30 in&by=2026-11-25T16:30', /keep 30 in|stand at 30 in/],
      ['shape=moon&mended=never', /if nobody plugs it/],
    ] as const)
      assert.match(await get(`${path}?${query}`), say, query);
    assert.match(await get(`${water('Spill Creek')}/break`), /area of the pond is not known/);
  });
  it('and after all that a replay of the entries gives the same tables', async () => {
    const db = connect(program.url);
    const truth = async () =>
      Object.fromEntries(
        await Promise.all(TRUTH.map(async (t) => [t, (await db(t).select('*')).map((r: unknown) => JSON.stringify(r)).sort()] as const)),
      );
    const before = await truth();
    await replay(db);
    assert.deepEqual(await truth(), before);
    await db.destroy();
  });
});
