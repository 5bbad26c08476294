import assert from 'node:assert/strict';
import { createHash } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import { after, before, describe, it } from 'node:test';
import type { Knex } from 'knex';
import { v7 } from 'uuid';
import { migrate } from '../../db/migrate';
import { inches } from '#core/units/factors';
import type { Body } from '#core/record/kinds';
import { connect } from '#server/database';
import { digests, replay } from '#server/record/replay';
import { bodyOf } from '#core/record/written';
import { record } from '#server/record/write';
import { entryOf } from '#server/repositories/entries';
import { gauges, stations, waters } from '#server/repositories/places';
import { recentReadings } from '#server/repositories/readings';
import { openings, stationLevels } from '#server/repositories/scouting';
import { sets } from '#server/repositories/sets';
import { databaseIn, startCluster, type Cluster } from '../support/cluster';

/** A record as the first version wrote it: elevations in the datum of the water, and a copy of the level beside everything that was measured under it. */
const crew = v7();
const AT = '2026-11-20T12:00:00.000Z';
const ids = Object.fromEntries(
  [
    'person',
    'site',
    'water',
    'gauge',
    'station',
    'reading',
    'line',
    'device',
    'set',
    'setting',
    'stay',
    'depth',
    'opening',
    'forecast',
    'planned',
  ].map((n) => [n, v7()]),
) as Record<string, string>;
/** where the zero of its gauge lay: 10 in over the datum */
const ZERO = inches(10);

const landed: [kind: string, body: Record<string, unknown>][] = [
  ['crew', { id: crew, name: 'Old crew', halfLives: {} }],
  ['person', { id: ids.person, name: 'Ann', system: 'us', measures: {}, minutes: {} }],
  ['site', { id: ids.site, name: 'Site', lat: 45, lon: -90, owner: '', access: '', endangered: '', users: '' }],
  [
    'water',
    {
      id: ids.water,
      site: ids.site,
      name: 'Old Pond',
      kind: 'pond',
      profile: [],
      safe: { level: inches(40), what: 'road' },
      rise: null,
      catchment: null,
      runoff: null,
      seep: null,
      spill: null,
      areas: [{ level: inches(42), area: 4000 }],
      pipes: [],
      ice: null,
      note: '',
    },
  ],
  ['gauge', { id: ids.gauge, water: ids.water, name: 'board', surface: 'pond', zero: ZERO, earlier: [] }],
  [
    'reading',
    {
      id: ids.reading,
      gauge: ids.gauge,
      at: AT,
      level: inches(45),
      bound: 'exact',
      source: 'gauge',
      since: null,
      clarity: 'not looked',
      set: null,
      note: '',
    },
  ],
  [
    'station',
    {
      id: ids.station,
      water: ids.water,
      number: 1,
      name: 'run',
      kind: 'run',
      surface: 'pond',
      along: 3,
      lat: null,
      lon: null,
      parent: null,
      bed: { depth: inches(20), level: inches(45), at: AT },
      crest: inches(60),
      measures: [{ what: 'depth', value: inches(20), level: inches(45), at: AT }],
      across: null,
      note: '',
    },
  ],
  ['stationLevel', { id: ids.depth, station: ids.station, at: '2026-11-01T12:00:00.000Z', depth: inches(18), level: inches(43), note: '' }],
  ['line', { id: ids.line, name: 'Line', season: '1', zone: 'UTC', lat: 45, lon: -90, rule: { kind: 'elapsed', hours: 24 }, rulebook: '' }],
  ['device', { id: ids.device, tag: 'A-1', class: 'bodyGrip', size: '330', condition: 'good', note: '' }],
  [
    'set',
    {
      id: ids.set,
      line: ids.line,
      number: 1,
      name: 'run',
      type: 'lodge-run',
      species: 'beaver',
      station: ids.station,
      state: 'live',
      opens: null,
      settings: [
        { id: ids.setting, at: '2026-11-20T13:00:00.000Z', numbers: { topUnder: inches(3) }, choices: {}, pond: inches(45), tail: null },
      ],
      stays: [{ id: ids.stay, position: 'outer', device: ids.device, from: '2026-11-20T13:00:00.000Z', to: null }],
      armed: { at: '2026-11-20T13:00:00.000Z', answers: [] },
      anchor: 'root',
      hole: '',
      photoLeft: null,
      photoFound: null,
      by: ids.person,
      leftBecause: '',
      note: '',
    },
  ],
  [
    'set',
    {
      id: ids.planned,
      line: ids.line,
      number: 2,
      name: 'post',
      type: 'dangling-bait',
      species: 'beaver',
      station: ids.station,
      state: 'planned',
      opens: null,
      settings: [{ id: v7(), at: '2026-11-01T12:00:00.000Z', numbers: {}, choices: {}, pond: inches(43), tail: null }],
      stays: [],
      armed: null,
      anchor: '',
      hole: '',
      photoLeft: null,
      photoFound: null,
      by: null,
      leftBecause: '',
      note: '',
    },
  ],
  [
    'opening',
    {
      id: ids.opening,
      water: ids.water,
      shape: 'V',
      width: inches(12),
      sill: inches(38),
      opened: AT,
      mended: null,
      by: 'us',
      count: 1,
      expect: 'not mended',
      widens: false,
      note: '',
    },
  ],
  [
    'forecast',
    {
      id: ids.forecast,
      gauge: ids.gauge,
      made: AT,
      points: [0, 1].map((n) => ({ at: Date.parse(AT) + n, low: 1, middle: 1.1, high: 1.2 })),
      note: '',
    },
  ],
];

let cluster: Cluster;
let db: Knex;
const migrations = { directory: fileURLToPath(new URL('../../db/migrations', import.meta.url)), loadExtensions: ['.ts'] };
/** the steps that the first version had that anybody kept a record with */
const FIRST = 8;

async function writeLanded(to: Knex): Promise<void> {
  for (const [kind, body] of landed) {
    const text = JSON.stringify(body);
    await to('entry').insert({
      ...{ id: v7(), crew_id: crew, kind, subject: String(body.id), occurred_at: AT, recorded_at: AT, by: null, corrects: null },
      ...{ withdrawn: false, reason: '', body: text, body_hash: createHash('sha256').update(text).digest('hex') },
    });
  }
}

before(async () => {
  cluster = startCluster();
  db = connect(await cluster.database());
  for (let done = 0; done < FIRST; done += 1) await db.migrate.up(migrations);
  await writeLanded(db);
  await migrate(db);
});
after(async () => {
  await db.destroy();
  cluster.remove();
});
const near = (a: number | null | undefined, b: number) => assert.ok(Math.abs((a ?? NaN) - b) < 1e-9, `${a} is not ${b}`);
const only = <T>(list: T[]): T => {
  assert.equal(list.length, 1);
  return list[0] as T;
};

describe('a record that landed at any step', () => {
  it('is brought to today’s shape, and says the same whichever step it landed at', async () => {
    const grown = await databaseIn(cluster.folder, 'template1', 'grown');
    const own = connect(grown);
    const [, ahead] = (await own.migrate.list(migrations)) as [unknown[], unknown[]];
    for (let done = 0; done < FIRST; done += 1) await own.migrate.up(migrations);
    await writeLanded(own);
    await own.destroy();
    const said = new Set<string>();
    for (let step = FIRST; step <= ahead.length; step += 1) {
      const copy = connect(await databaseIn(cluster.folder, 'grown', `grown_${step}`));
      await migrate(copy);
      said.add(JSON.stringify(Object.entries(await digests(copy))));
      await copy.destroy();
      const next = connect(grown);
      await next.migrate.up(migrations);
      await next.destroy();
    }
    assert.equal(said.size, 1);
    assert.ok(ahead.length > 30);
  });
});

describe('a record that landed before', () => {
  it('comes along: its tables are written anew, its entries are as they were', async () => {
    const entries: { body: Record<string, unknown>; version: number }[] = await db('entry').orderBy('seq');
    assert.deepEqual(
      entries.map((e) => e.body),
      landed.map(([, body]) => body),
    );
    assert.ok(entries.every((e) => e.version === 1));
  });
  it('a reading is what the gauge showed, and stands where it stood', async () => {
    near(Number((await db('reading').first('level')).level), inches(35));
    const all = await recentReadings(db, await gauges(db, crew), new Date('2026-11-01'), new Date('2026-12-01'));
    near(all[ids.gauge ?? '']?.[0]?.level, inches(45));
  });
  it('a depth and a setting lose their copies of a level, and keep what was noted for where no reading tells', async () => {
    const station = only(await stations(db, crew));
    near(station.bed?.noted, inches(35));
    near(station.crest?.height, inches(50));
    assert.ok(station.measures.every((m) => !('level' in m)));
    near(only(await stationLevels(db, crew)).noted, inches(33));
    const [live, planned] = await sets(db, crew, {});
    near(live?.settings[0]?.noted?.pond, inches(35));
    assert.equal(planned?.type, 'post-bait');
  });
  it('levels of a water and of its break hang on its gauge', async () => {
    const water = only(await waters(db, crew));
    near(water.safe?.level, inches(30));
    near(water.areas[0]?.level, inches(32));
    const opening = only(await openings(db, crew));
    near(opening.states[0]?.sill, inches(28));
    near(opening.states[0]?.width, inches(12));
  });
  it('the book shows an old entry in today’s words', async () => {
    const { id } = await db('entry').where({ kind: 'reading' }).first('id');
    near(((await entryOf(db, crew, id))?.body as { level: number }).level, inches(35));
  });
  it('an old entry can be corrected, and the correction stands in today’s shape', async () => {
    const { id } = await db('entry').where({ kind: 'reading' }).first('id');
    const old = await entryOf(db, crew, id);
    const body = { ...(old?.body as Body<'reading'>), level: inches(36) };
    await record(db, { id: v7(), crew, kind: 'reading', occurredAt: new Date(AT), by: null, body, corrects: id, reason: 'misread' });
    near(Number((await db('reading').first('level')).level), inches(36));
  });
  it('a set of a type whose range was narrowed since can be pulled', async () => {
    const [live] = await sets(db, crew, {});
    assert.ok(live);
    const stays = live.stays.map((s) => ({ ...s, to: '2026-11-25T12:00:00.000Z' }));
    const far = { ...bodyOf(live), settings: live.settings.map((s) => ({ ...s, numbers: { topUnder: 9 } })) };
    await assert.rejects(record(db, { id: v7(), crew, kind: 'set', occurredAt: new Date(AT), by: null, opened: live.entry, body: far }));
    await db.raw(`update setting set numbers = '{"topUnder": 9}' where id = ?`, [ids.setting ?? '']);
    await record(db, {
      id: v7(),
      crew,
      kind: 'set',
      occurredAt: new Date(AT),
      by: null,
      opened: live.entry,
      body: { ...bodyOf(live), state: 'pulled', stays },
    });
    assert.equal((await sets(db, crew, {})).find((s) => s.id === ids.set)?.state, 'pulled');
  });
  it('and a replay gives the same tables', async () => {
    const before = await digests(db);
    await replay(db);
    assert.deepEqual(await digests(db), before);
  });
});
