import { calibrate } from '#core/counting/calibration';
import { areaAt, pondCourse, type PondModel } from '#core/water/balance';
import { Worker } from 'node:worker_threads';
import { breakFlow } from '#core/water/outflow';
import { pondForecast } from '#core/water/pondForecast';
import { planLogger, thinned } from '#core/water/logger';
import { trackAt, trackOf } from '#core/water/track';
import { bestShift } from '#core/water/outlook';
import { chromium } from '@playwright/test';
import { sectionScene } from '#core/scene/section';
import { CATALOGUE } from '#core/sets/catalogue';
import { layOut, statesOf, usualDevices, type SetView } from '#core/sets/standing';
import type { Station } from '#core/stations/placed';
import { connect } from '#server/database';
import { NOW, startProgram } from '../tests/support/server';
import { fieldLine, outbox } from './field';
import { dayOrder } from './dayOrder';
import { designs, redraw, seasons } from './designs';
import { plainFrame } from '#core/units/frame';
import { tenfold } from './tenfold';
import { Solver } from '../tests/support/odex.js';

/** Prints the budgets as ratios and sizes; asserts nothing. Build first. */
const median = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;
const say = (what: string, is: string, budget = ''): void => console.log(`${what.padEnd(58)} ${is.padStart(22)}   ${budget}`);

function viewsOf(count: number): SetView[] {
  const id = '00000000-0000-7000-8000-000000000000';
  return Array.from({ length: count }, (_, n): SetView => {
    const type = CATALOGUE[n % CATALOGUE.length];
    if (!type) throw new Error('an empty catalogue');
    const station: Station = {
      id,
      water: id,
      number: 1,
      name: 'run',
      kind: 'run',
      surface: 'pond',
      along: n,
      lat: null,
      lon: null,
      bed: { depth: 0.8, level: 1, at: NOW },
      sounded: null,
      crest: null,
      parent: null,
      measures: [],
      across: null,
      lies: [],
      photo: null,
      note: '',
    };
    const then = { pond: 1, tail: 0.2 };
    const laid = {
      numbers: {},
      choices: {},
      then,
      place: { kind: 'run' as const, surface: 'pond' as const, bed: 0.2 },
      devices: usualDevices(type),
    };
    const layout = layOut(type, laid, 'us');
    return {
      id: `${id}${n}`,
      number: n,
      name: `set ${n}`,
      type: type.id,
      typeName: type.name,
      species: 'beaver',
      state: 'live',
      opens: null,
      leftBecause: '',
      anchor: '',
      station,
      then,
      follows: null,
      iceFactor: 1,
      layout,
      devices: [],
      every: { kind: 'elapsed', hours: 24 },
      deadline: null,
      missed: null,
      lastLook: null,
    };
  });
}

function moveLevel(): void {
  const views = viewsOf(500);
  const stations = views.map((v) => v.station);
  const times = { states: [] as number[], scene: [] as number[] };
  for (let i = 0; i < 60; i += 1) {
    const levels = { known: { pond: 1 - i * 0.005, tail: 0.2 }, age: { pond: 0, tail: 0 }, atMost: {} };
    const start = performance.now();
    for (const view of views) statesOf(view, levels, plainFrame('us'));
    const middle = performance.now();
    sectionScene({
      water: { profile: [], kind: 'pond' },
      stations,
      views,
      levels,
      earlier: { level: 1, when: 'yesterday' },
      size: { width: 1280, height: 500 },
      frame: plainFrame('us'),
    });
    times.states.push(middle - start);
    times.scene.push(performance.now() - middle);
  }
  say('moving the level for 500 sets, states', `${(median(times.states) / 16).toFixed(2)} of a frame`, 'budget 1 frame (16 ms)');
  say(
    'the same, section laid out anew as well',
    `${(median(times.scene.map((t, i) => t + (times.states[i] ?? 0))) / 16).toFixed(2)} of a frame`,
  );
}

async function firstLoad(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage();
  const client = await page.context().newCDPSession(page);
  await client.send('Network.enable');
  const scripts = new Set<string>();
  let bytes = 0;
  client.on('Network.responseReceived', ({ requestId, response }) => {
    if (response.url.endsWith('.js')) scripts.add(requestId);
  });
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await page.goto(`${base}/morning`);
  await page.waitForLoadState('networkidle');
  await browser.close();
  say('JavaScript of the first load of Morning, compressed', `${(bytes / 1000).toFixed(0)} kB`, 'budget 150 kB');
}

/** Median server time of a page in ms, after a warm-up. */
async function pageTime(address: string): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 45; i += 1) {
    const start = performance.now();
    await (await fetch(address)).text();
    if (i >= 15) times.push(performance.now() - start);
  }
  return median(times);
}

/** The course of a pond with one break by the package odex, read off every 15 minutes. */
function byOdex({ area, inflow, tail, breaks: [own] }: PondModel): number[] {
  const levels: number[] = [];
  const solver = new Solver(1);
  solver.denseOutput = true;
  solver.absoluteTolerance = 1e-9;
  solver.relativeTolerance = 0;
  const flow = (level: number): number => (own ? breakFlow(own.shape, level - own.sill, tail - own.sill, own.cd) : 0);
  const rate = (_: number, [level = 0]: number[]): number[] => [(inflow - flow(level)) / areaAt(area, level)];
  let next = 900;
  solver.solve(rate, 0, [0.4], 48 * 3600, (_, from, to, __, dense) => {
    for (; dense && next > from && next <= to; next += 900) levels.push(dense(0, next));
  });
  return levels;
}

/** A pond over 48 h, and what it says of 60 sets with the search for the best change: budgets 5 ms and 100 ms. */
function forecast(): void {
  const model: PondModel = {
    area: [{ level: 0, area: 4000 }],
    inflow: 0.005,
    seepage: 0,
    tail: -1,
    breaks: [{ shape: { kind: 'trapezoid', width: 0.3, side: 0.5 }, sill: 0, from: 0, to: Infinity, cd: 1 }],
    pipes: [],
  };
  const time = (work: () => unknown): number => {
    const times = Array.from({ length: 20 }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    });
    return median(times);
  };
  const run = () => pondCourse(model, 0.4, 48);
  say('course of one pond, 48 h', `${(time(run) / 5).toFixed(2)} of its budget`, 'budget 5 ms');
  say(
    'its forecast with the band of every doubt',
    `${(time(() => pondForecast(model, 0.4, 48)) / 5).toFixed(2)} of its budget`,
    'budget 5 ms',
  );
  say(
    'that course against the package odex, both with dense output',
    `${(time(run) / time(() => byOdex(model))).toFixed(2)} of its time`,
    'wanted 0.5',
  );
  const courses = { low: run(), middle: run(), high: run() };
  const line = () => {
    for (let n = 0; n < 60; n += 1)
      bestShift(courses, { min: 0.1 + n * 0.004, max: 0.2 + n * 0.004 }, { from: 0, to: 24 * 3600, room: null });
  };
  say('best change of 60 sets over 24 h', `${(time(line) / 100).toFixed(2)} of its budget`, 'budget 100 ms');
}

/** Median time of the page's own SQL alone, one statement after the other, as PostgreSQL's log of statements gave them. */
async function sqlTime(
  url: string,
  load: () => Promise<unknown>,
  statements: { sql: string; bindings: readonly unknown[] }[],
): Promise<number> {
  await load();
  const db = connect(url);
  const times: number[] = [];
  for (let i = 0; i < 30; i += 1) {
    const start = performance.now();
    for (const { sql, bindings } of statements) await db.raw(sql.replace(/\$\d+/g, '?'), [...bindings] as string[]);
    if (i >= 10) times.push(performance.now() - start);
  }
  await db.destroy();
  return median(times);
}

/** The slider over the section of 60 sets: levels of a time, states and drawing anew. */
function slider(): void {
  const model: PondModel = {
    area: [{ level: 0, area: 4000 }],
    inflow: 0.005,
    seepage: 0,
    tail: -1,
    breaks: [{ shape: { kind: 'rectangle', width: 0.3 }, sill: 0, from: 0, to: Infinity, cd: 1 }],
    pipes: [],
  };
  const track = trackOf(pondForecast(model, 1, 72), 0);
  const views = viewsOf(60);
  const stations = views.map((v) => v.station);
  const times = Array.from({ length: 60 }, (_, i) => {
    const start = performance.now();
    const at = i * 3_600_000;
    const levels = { known: { pond: trackAt(track, at).middle, tail: 0.2 }, age: { pond: 0, tail: 0 }, atMost: {} };
    for (const view of views) statesOf(view, levels, plainFrame('us'));
    sectionScene({
      water: { profile: [], kind: 'pond' },
      stations,
      views,
      levels,
      earlier: { level: 1, when: 'yesterday' },
      ahead: { ...trackAt(track, at), called: '03:10' },
      size: { width: 1280, height: 500 },
      zoom: 4,
      frame: plainFrame('us'),
    });
    return performance.now() - start;
  });
  say('slider over a section of 60 sets, a step', `${(median(times) / 16).toFixed(2)} of a frame`, 'budget 1 frame (16 ms)');
}

/** A year at 15 minutes: the file's rows decided and thinned, and thinned again for a drawing. */
function year(): void {
  const rows = Array.from({ length: 35_040 }, (_, n) => ({
    time: new Date(Date.UTC(2025, 10, 25) + n * 900_000).toISOString(),
    'level (cm)': (60 + 9 * Math.sin(n / 400) + 3 * Math.sin(n / 17)).toFixed(1),
  }));
  const times = Array.from({ length: 9 }, () => {
    const start = performance.now();
    const { points } = planLogger(rows, { zone: 'America/Chicago', hours: 12 }, 'cm', Date.UTC(2027, 0, 1));
    thinned(points, 0.0003);
    return performance.now() - start;
  });
  say(
    'a year at 15 minutes read and made ready to be drawn',
    `${(median(times) / 300).toFixed(2)} of its budget`,
    'budget 300 ms with the drawing',
  );
}

/** Eight ponds and sixty sets' answers in a worker thread of its own, its start not counted. */
async function lineInWorker(): Promise<void> {
  // a worker thread does not inherit the loader of TypeScript: it is registered there first
  const file = new URL('./line.ts', import.meta.url).href;
  const worker = new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(file)}); })`, {
    eval: true,
  });
  const once = (): Promise<number> => new Promise((done) => (worker.once('message', done), worker.postMessage('go')));
  const times: number[] = [];
  for (let i = 0; i < 12; i += 1) times.push(await once());
  await worker.terminate();
  say('all forecasts of a line of 60 sets, in a worker', `${(median(times.slice(3)) / 100).toFixed(2)} of its budget`, 'budget 100 ms');
}

moveLevel();
dayOrder(say);
designs(say);
seasons(say);
forecast();
slider();
year();
await lineInWorker();
const program = await startProgram({ demo: true });
process.env.DATABASE_URL = program.url;
await firstLoad(program.base);
await redraw(program.base, say);
await fieldLine(program.base, say);
const { db, inCrew } = await import('#server/database');
const { loadSeason } = await import('#server/season');
const { people, whoIs } = await import('#server/repositories/places');
const { whoOf } = await import('#lib/season/who');
const owner = connect(program.url);
const crew = (await owner('crew').first('id')).id as string;
const water = (await owner('water').where({ name: 'Header Pond' }).first('id')).id as string;

for (const size of ['the demo', 'ten times the demo']) {
  if (size !== 'the demo') await tenfold(owner);
  const statements: { sql: string; bindings: readonly unknown[] }[] = [];
  const listen = ({ sql, bindings }: { sql: string; bindings: readonly unknown[] }): void => void statements.push({ sql, bindings });
  const asCrew = async (): Promise<void> => {
    db().on('query', listen);
    const found = await whoIs(db(), undefined);
    if (found) {
      await people(db(), found.crew);
      await loadSeason({
        who: whoOf(found.crew, found.person),
        now: new Date(NOW),
        isPicked: true,
        isNear: true,
        role: 'owner',
        device: null,
      });
    }
    db().removeListener('query', listen);
  };
  const load = (): Promise<void> => inCrew({ crew, role: 'owner' }, asCrew);
  const sql = await sqlTime(program.url, load, statements);
  for (const [name, path] of [
    ['Morning', '/morning'],
    ['a water', `/waters/${water}`],
  ] as const) {
    const time = await pageTime(program.base + path);
    say(
      `server time of ${name}, ${size}`,
      `${(time / sql).toFixed(1)} × its bare SQL`,
      `median ${time.toFixed(0)} ms, its SQL ${sql.toFixed(0)} ms`,
    );
  }
  if (size !== 'the demo') {
    const time = await pageTime(`${program.base}/book`);
    say(`server time of the Book, ${size}`, `${(time / sql).toFixed(1)} × Morning's SQL`, `median ${time.toFixed(0)} ms`);
  }
}
for (const { said, held, right, of } of calibrate(2000, 1).ranges)
  say(
    `odds of who is left, said at ${Math.round(said * 100)}%`,
    `right ${Math.round((right / of) * 1000) / 10}%`,
    `they hold ${Math.round(held * 1000) / 10}%, of ${of} drawn colonies`,
  );
const gauge = (await owner('gauge').where({ water_id: water, surface: 'pond' }).first('id')).id as string;
await outbox(program.base, gauge, say);
await db().destroy();
await owner.destroy();
await program.end();
