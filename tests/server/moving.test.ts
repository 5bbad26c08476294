import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { replay, TRUTH } from '#server/record/replay';
import { packed } from '#core/water/logger';
import { inches } from '#core/units/factors';
import { NOW, startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

let program: Program;
let waters: Record<string, string>;
let gauges: Record<string, string>;
let stations: Record<string, string>;
const { post, get, rows, saved, refused, uuid } = webOf(() => program);

before(async () => {
  program = await startProgram({ demo: true });
  const ids = async (table: string, name: string): Promise<Record<string, string>> =>
    Object.fromEntries((await rows(table)).map((r) => [String(r[name]), String(r.id)]));
  [waters, gauges, stations] = await Promise.all([ids('water', 'name'), ids('gauge', 'name'), ids('station', 'number')]);
});
after(() => program.end());

const water = (name: string): string => `/waters/${waters[name]}`;
const HOUR = 3_600_000;
const points = (count: number, from = Date.parse(NOW) - 40 * 24 * HOUR) =>
  Array.from({ length: count }, (_, n) => ({ at: from + n * HOUR, level: 0.4 + 0.1 * Math.sin(n / 7) }));

describe('the demo', () => {
  it('has a drawdown, a flood and a freeze-up within five weeks, and its forecasts beside what came', async () => {
    const readings = await rows('reading', { gauge_id: gauges['board at the outlet gate'] });
    const exact = readings.filter((r) => r.bound === 'exact').sort((a, b) => Number(a.at) - Number(b.at));
    const [first, before_, last] = [exact[0], exact.at(-2), exact.at(-1)];
    assert.ok((Number(last?.at) - Number(first?.at)) / 86_400_000 >= 34);
    assert.ok(Number(before_?.level) - Number(last?.level) > inches(8), 'the pond was drawn down');
    const race = (await rows('reading', { gauge_id: gauges['board at the head gate'] })).map((r) => Number(r.level));
    assert.ok(Math.max(...race) - Math.min(...race) > inches(8), 'the race flooded');
    assert.equal((await rows('ice', { seen: 'froze over' })).length, 2);
    assert.ok((await rows('forecast')).length > 60);
  });
  it('its forecasts are held against what came: bias, and the share inside the band against the promised 80 %', async () => {
    const page = await get('/book/forecasts');
    const [, inside = '0', of = '1'] = /(\d+) of (\d+) readings came into the forecast range, \d+%; 80% were promised/.exec(page) ?? [];
    const share = Number(inside) / Number(of);
    assert.ok(Number(of) > 100 && share > 0.7 && share < 0.9, `${inside} of ${of}`);
    assert.match(page, /In the mean it was .* too (high|low)|neither too high nor too low/);
  });
  it('every new table replays from its entries alone', async () => {
    const db = connect(program.url);
    const moving = ['weather', 'ice', 'logged', 'logged_point', 'forecast', 'opening', 'gauge', 'water'] as const;
    assert.ok(moving.every((t) => TRUTH.includes(t)));
    const all = () => Promise.all(moving.map((t) => db(t).select().orderByRaw('1, 2, 3, 4')));
    const before_ = await all();
    await replay(db);
    assert.deepEqual(await all(), before_);
    await db.destroy();
  });
});

describe('a logger', () => {
  const page = (): string => `${water('Upper Reservoir')}/levels`;
  const form = (text: string) => ({ form: uuid(), points: text, rows: '300', name: 'upper.csv' });
  it('is taken whole, once, and its levels are read with the others', async () => {
    const typed = form(packed(points(300)));
    saved(await post(`${page()}?/logger`, typed), /taken=300/);
    saved(await post(`${page()}?/logger`, typed), /taken=300/);
    const logged = await rows('logged', { name: 'upper.csv' });
    assert.equal(logged.length, 1);
    assert.equal((await rows('logged_point', { logged_id: logged[0]?.id })).length, 300);
    assert.match(await get(`${page()}?days=100`), /upper\.csv: 300 rows/);
  });
  for (const [what, text, say] of [
    ['nothing', '', /Choose a table of time and level first/],
    ['what is no packed stretch', 'rows', /Choose a table of time and level first/],
    ['a stretch of the future', packed(points(3, Date.parse(NOW) + HOUR)), /lie in the future: look at its clock and zone/],
    ['levels beyond any gauge', '0;0 990000', /Choose a table of time and level first/],
  ] as const)
    it(`${what}: refused in words, and nothing half taken`, async () => {
      const there = (await rows('logged_point')).length;
      refused(await post(`${page()}?/logger`, form(text)), 400, say);
      assert.equal((await rows('logged_point')).length, there);
    });
  it('is withdrawn whole', async () => {
    const [logged] = await rows('logged', { name: 'upper.csv' });
    saved(await post(`/book/${String(logged?.entry_id)}?/withdraw`, { entry: uuid(), reason: 'wrong pond' }), /./);
    assert.equal((await rows('logged', { name: 'upper.csv' })).length, 0);
    assert.equal((await rows('logged_point', { logged_id: logged?.id })).length, 0);
  });
});

describe('a gauge that was moved', () => {
  it('what it showed stays as it was read, and what was read since stands by the move elsewhere', async () => {
    const gauge = gauges['notched post'];
    const shown = await rows('reading', { gauge_id: gauge });
    const path = `${water('Lower Bog Ditch')}/levels`;
    const level = async () => /Gauge (\S+ in)/.exec(await get(`${water('Lower Bog Ditch')}`))?.[1];
    const before = await level();
    saved(await post(`${path}?/moved`, { form: uuid(), moved: '2026-11-23T12:00', before: '22 in', after: '20 in' }), /moved=1$/);
    const [row] = await rows('gauge', { id: gauge });
    assert.ok(Math.abs(Number(row?.zero) - inches(2)) < 1e-9);
    assert.equal((row?.earlier as unknown[]).length, 1);
    assert.deepEqual(await rows('reading', { gauge_id: gauge }), shown);
    assert.equal(await level(), before, 'the gauge still shows what it shows');
    assert.match(await get(path), /The gauge was moved: Nov 23/);
  });
  it('refuses what was not said', async () => {
    const path = `${water('Lower Bog Ditch')}/levels?/moved`;
    refused(
      await post(path, { form: uuid(), moved: '2026-11-23T12:00', before: '', after: '' }),
      400,
      /Type what it showed before/,
      /Type what it showed after/,
    );
    refused(
      await post(path, { form: uuid(), moved: '2026-12-23T12:00', before: '1 in', after: '2 in' }),
      400,
      /cannot have been moved in the future/,
    );
  });
});

describe('a reading', () => {
  it('keeps the forecast that begins with it, to be held against what comes', async () => {
    const there = (await rows('forecast', { gauge_id: gauges['board at the spillway'] })).length;
    saved(await post(`${water('Upper Reservoir')}?/reading`, { entry: uuid(), id: uuid(), level: '24 in' }), /read=1/);
    assert.equal((await rows('forecast', { gauge_id: gauges['board at the spillway'] })).length, there + 1);
  });
  it('of the simulated gauge says that it is simulated', async () => {
    const path = `${water('Settling Ponds')}/levels`;
    saved(await post(`${path}?/simulated`, { sim: uuid() }), /read=1/);
    assert.match(await get(path), /simulated/);
  });
});

describe('ice', () => {
  const form = (over: Record<string, string> = {}) => ({
    entry: uuid(),
    id: uuid(),
    seen: 'measured',
    thickness: '5 in',
    station: '',
    white: 'no',
    snow: '',
    at: '2026-11-25T05:00',
    note: '',
    ...over,
  });
  const page = (): string => `${water('Moss Slough')}/ice`;
  it('a measurement corrects the course from then on', async () => {
    saved(await post(page(), form()), /saved=1/);
    assert.match(await get(page()), /<p class="answer[^"]*">5 in over the open water/);
  });
  it('ice of 3 m, no thickness and the future are refused at their fields, and what was typed stays', async () => {
    refused(
      await post(page(), form({ thickness: '3 m', note: 'by the pile' })),
      400,
      /between 0 and 1\.5 m \(59 in\) thick: measure again/,
      'by the pile',
    );
    refused(await post(page(), form({ thickness: '' })), 400, /Type the thickness as the tape shows it/);
    refused(await post(page(), form({ at: '2026-11-26T05:00' })), 400, /cannot lie in the future/);
  });
  it('gives no figure for a sheet that may hang hollow, and never calls any safe', async () => {
    saved(await post(`${water('Moss Slough')}?/reading`, { entry: uuid(), id: uuid(), level: '12 in' }), /read=1/);
    const hollow = await get(page());
    assert.match(hollow, /The water fell 7 in since it froze over: the sheet may hang hollow/);
    assert.doesNotMatch(hollow, /standing still/);
    assert.doesNotMatch(hollow.replace(/No ice is safe/g, ''), /is safe|safe ice/);
  });
  it('open water ends the sheet', async () => {
    saved(await post(page(), form({ seen: 'open water', thickness: '' })), /saved=1/);
    assert.match(await get(page()), /No ice was seen here this season/);
  });
});

describe('weather', () => {
  const hours = (cells: string[]) =>
    JSON.stringify(cells.map((t, n) => ({ time: `2026-09-01T0${n}:00`, temperature: t, 'rain (in)': '0.2' })));
  it('a table is taken once, its hours known after', async () => {
    saved(
      await post('/waters/weather?/file', { form: uuid(), rows: hours(['12', '13']), station: 'orchard.csv' }),
      /taken=2&here=0&refused=0/,
    );
    refused(await post('/waters/weather?/file', { form: uuid(), rows: hours(['12', '13']), station: 'x' }), 400, /in the record already/);
  });
  it('what is none is refused in words', async () => {
    refused(await post('/waters/weather?/file', { form: uuid(), rows: '[]', station: 'x' }), 400, /no rows/);
    refused(await post('/waters/weather?/file', { form: uuid(), rows: 'no', station: 'x' }), 400, /Choose a table of hours first/);
    refused(await post('/waters/weather?/file', { form: uuid(), rows: '[{"time":"1"}]', station: 'x' }), 400, /column “temperature”/);
  });
  it('of two tables taken in one minute the later one stands last', async () => {
    const rowsOf = (day: number) => JSON.stringify([{ time: `2026-08-0${day}T01:00`, temperature: '10' }]);
    for (const [n, station] of ['first.csv', 'second.csv', 'third.csv'].entries())
      saved(await post('/waters/weather?/file', { form: uuid(), rows: rowsOf(n + 1), station }), /taken=1/);
    assert.match(await get('/waters/weather'), /third\.csv, told Nov 25/);
  });
  it('the simulated station is read, and says what it is', async () => {
    saved(await post('/waters/weather?/simulated', { sim: uuid() }), /taken=\d+/);
    const page = await get('/waters/weather');
    assert.match(page, /simulated mast, told Nov 25/);
    assert.match(page, /Upwind bank/);
  });
});

describe('what fills and drains a pond', () => {
  const page = (): string => `${water('Settling Ponds')}/fills`;
  it('is kept and read back', async () => {
    saved(
      await post(`${page()}?/save`, {
        entry: uuid(),
        rise: '1/4 in',
        seep: '',
        catchment: '2',
        runoff: '15',
        spill: '',
        ice: 'lake',
        'pipe0.sill': '12 in',
        'pipe0.diameter': '6 in',
        'pipe0.plugged': '50',
        'area0.level': '20 in',
        'area0.area': '9000',
      }),
      /saved=1/,
    );
    const [row] = await rows('water', { id: waters['Settling Ponds'] });
    assert.ok(Math.abs(Number(row?.catchment) - 2 * 4046.8564224) < 1e-6);
    assert.match(await get(page()), /value="6 in"/);
  });
  it('an area of zero, a share over a hundred and half a pipe are refused at their fields', async () => {
    refused(
      await post(`${page()}?/save`, { entry: uuid(), runoff: '140', 'pipe0.sill': '12 in', 'area0.level': '20 in', 'area0.area': '0' }),
      400,
      /between 0 and 100%/,
      /Type how wide it is/,
      /area of a pond is above 0/,
    );
  });
});

describe('the designer', () => {
  const page = (query: string): Promise<string> => get(`${water('Header Pond')}/break?${query}`);
  it('begins from the breaks of a set type', async () => {
    assert.match(await page('of=dam-break-channel'), /2 breaks alike, each a V 10 in wide at a depth|2 breaks alike, each a V/);
    assert.match(await page('of=dam-break-shoulder'), /For the report: Break 8 in wide/);
  });
  it('answers for the sets, for the safe level, and for breaks that others open later', async () => {
    assert.match(await page('want=sets'), /every set that works now still works in/);
    assert.match(
      await page('want=safe&by=2026-11-27T12:00'),
      /down to the safe level in [^.]*\. To be down at 30 in: at least|down to the safe level in [^.]*\. Without a break it is down at 30 in/,
    );
    assert.match(await page('openAt=2026-11-25T20:00'), /Opened 8:00 pm/);
    assert.match(await page('mended=at&mendedAt=2026-11-25T12:00'), /if beaver plug it about 12:00 pm/);
  });
  for (const [query, say] of [
    ['sill=-10 ft', /over 10 ft deep: type the level of its lowest point/],
    ['count=9', /Between one and six breaks alike/],
    ['area=0', /area of the pond is above 0/],
    ['mended=at', /Say when it is plugged/],
    ['openAt=2026-12-25T20:00', /forecast reaches three days/],
    ['want=level', /Type the level that is wanted/],
  ] as const)
    it(`${query}: a sentence at the field`, async () => assert.match(await page(query), say));
});

describe('the book', () => {
  it('says how deep a set stood when it caught, and from when to when it was outside its band', async () => {
    const page = await get('/book/water');
    assert.match(page, /20 inlet point[\s\S]*Nov 2[45] \d+:\d\d [ap]m to Nov 25 5:10 am, under its working range/);
    assert.match(page, /beaver<\/a>: (top of the jaws|pan|lowest point of the loop) [^<]* under the water, gauge/);
  });
});

describe('morning', () => {
  it('puts what is idle apart, and warns of the rain of the night', async () => {
    const page = await get('/morning');
    assert.match(page, /href="\?show=idle"[^]*?<b[^>]*>5<\/b> not working/);
    assert.match(page, /Rain tonight/);
    const idle = await get('/morning?show=idle');
    assert.match(idle, /Fix these first/);
    assert.deepEqual(
      [/<b[^>]*>27 patrol channel/.test(idle), /<b[^>]*>12 east lodge run/.test(idle)],
      [true, false],
      'a count filters the list',
    );
  });
  it('a rise that is expected cuts places off before their check: they are listed, to be pulled before dark', async () => {
    const flood = Array.from({ length: 8 }, (_, n) => ({
      time: `2026-11-25T${String(6 + n).padStart(2, '0')}:00`,
      temperature: '4',
      'rain (in)': '0.6',
    }));
    saved(await post('/waters/weather?/file', { form: uuid(), rows: JSON.stringify(flood), station: 'flood.csv' }), /taken=8/);
    const page = await get('/morning?show=cutOff');
    assert.match(page, /Too deep to wade by the check\. Pull before dark, or lose the way to them/);
    assert.match(page, /4[25]<!--[^>]*--> <!--[^>]*-->[a-z ]+|4[25] [a-z ]+/);
    assert.match(page, /too deep to wade by the check/);
  });
  it('the map names the thinner places', async () => {
    saved(
      await post(`${water('Upper Reservoir')}/ice`, {
        entry: uuid(),
        id: uuid(),
        seen: 'measured',
        thickness: '3 in',
        station: stations['62'] ?? '',
        white: 'no',
        snow: '',
        at: '2026-11-25T05:00',
        note: '',
      }),
      /saved=1/,
    );
    assert.match(await get('/waters'), /Thin ice: .* may be all/);
  });
});
