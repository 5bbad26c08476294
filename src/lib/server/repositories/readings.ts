import type { Knex } from 'knex';
import type { ReadingBody } from '#core/record/kinds';
import type { SeenReading } from '#core/water/seenText';
import { elevationOf, type Hung } from '#core/water/gauge';
import type { Reading } from '#core/water/series';
import { hungOn, momentKey, type PackedReadings, type ReadingsByGauge } from '#lib/season/packed';
import { prepared } from '../database';
import { upsert, type Owner } from '../record/upsert';

export const putReading = (trx: Knex, { gauge, set, ...reading }: ReadingBody, { crew, entry }: Owner) =>
  upsert(trx, 'reading', { ...reading, gauge_id: gauge, set_id: set, entry_id: entry }, crew);

export const removeReading = (trx: Knex, id: string, { crew }: Owner) => trx('reading').where({ id, crew_id: crew }).delete();

type Board = Hung & { id: string };

interface Row {
  gauge_id: string;
  at: Date;
  level: number;
  bound: Reading['bound'];
  by: string | null;
}

/**
 * Readings of gauges as elevations (where its zero lay then is added here) since a time, and the last exact one before it, in the
 * order of time; of two in one minute the one entered later comes last.
 *
 * @param named from when on each is told with who read it
 */
export async function recentReadings(
  db: Knex,
  boards: readonly Board[],
  since: Date,
  until: Date,
  named: Date = since,
): Promise<ReadingsByGauge> {
  const [first] = boards;
  return first ? hungOn(boards, await packedReadings(db, { gauges: boards.map((g) => g.id) }, { since, until, named })) : {};
}

/** Readings as the database packs them, of gauges or of all gauges of a crew: what can be asked before it is known where they hang. */
export async function packedReadings(
  db: Knex,
  of: { gauges: string[] } | { crew: string },
  { since, until, named }: { since: Date; until: Date; named: Date },
): Promise<PackedReadings> {
  const [from, own] = 'crew' in of ? ['(select id from gauge where crew_id = :own)', of.crew] : ['unnest(:own::uuid[])', of.gauges];
  const query = db.raw<{ rows: PackedReadings }>(
    `select g.id as gauge_id, json_agg(json_build_array(floor(date_part('epoch', r.at) * 1000), r.level, r.bound, e.by, floor(date_part('epoch', r.since) * 1000), r.doubt) order by r.at, e.seq, r.entry_id) as packed
     from ${from} as g (id)
     cross join lateral (
       (select at, level, bound, entry_id, null::timestamptz as since, null::double precision as doubt from (
          (select at, level, bound, entry_id from reading where gauge_id = g.id and at < :since and bound = 'exact' order by at desc limit 1)
          union all
          (select p.at, p.level, 'exact', l.entry_id from logged_point p join logged l on l.id = p.logged_id where p.gauge_id = g.id and p.at < :since order by p.at desc limit 1)
        ) newest order by at desc limit 1)
       union all
       (select at, level, bound, entry_id, since, doubt from reading where gauge_id = g.id and at between :since and :until)
       union all
       (select p.at, p.level, 'exact', l.entry_id, null, null from logged_point p join logged l on l.id = p.logged_id where p.gauge_id = g.id and p.at between :since and :until)
     ) r
     -- one entry looked up a reading: a plain join would read the whole book of many seasons
     left join lateral (select seq, by from entry where id = r.entry_id and r.at >= :named limit 1) e on true
     group by g.id`,
    { own, since, until, named },
  );
  return (await prepared(query, `recent readings of ${from}`)).rows;
}

/** For each wanted moment of a gauge the last exact reading until then and the first one after. */
export async function readingsAround(
  db: Knex,
  boards: readonly Board[],
  wanted: readonly { gauge: string; at: Date }[],
): Promise<Map<string, Reading[]>> {
  const found = new Map<string, Reading[]>();
  if (wanted.length === 0) return found;
  const side = (table: string, order: 'desc' | 'asc', entry: string): string =>
    `(select ${table}.at, ${table}.level, ${entry} as entry_id from ${table} where ${table}.gauge_id = w.gauge_id
      and ${table}.at ${order === 'desc' ? '<=' : '>'} w.at ${table === 'reading' ? `and bound = 'exact'` : ''} order by ${table}.at ${order}, entry_id ${order} limit 1)`;
  const logged = '(select l.entry_id from logged l where l.id = logged_id)';
  const query = db.raw<{ rows: (Omit<Row, 'bound'> & { wanted: Date })[] }>(
    `select w.gauge_id, w.at as wanted, r.at, r.level, e.by
     from unnest(:gauges::uuid[], :times::timestamptz[]) as w (gauge_id, at)
     cross join lateral (${side('reading', 'desc', 'reading.entry_id')} union all ${side('reading', 'asc', 'reading.entry_id')}
       union all ${side('logged_point', 'desc', logged)} union all ${side('logged_point', 'asc', logged)}) r
     join entry e on e.id = r.entry_id
     order by r.at, e.seq`,
    { gauges: wanted.map((w) => w.gauge), times: wanted.map((w) => w.at) },
  );
  const { rows } = await prepared(query, 'readings around');
  const hung = new Map(boards.map((g) => [g.id, g]));
  for (const { gauge_id, wanted: moment, at, level, by } of rows) {
    const key = momentKey(gauge_id, moment);
    const reading: Reading = { at, level: elevationOf(hung.get(gauge_id), level, at.getTime()), bound: 'exact', by };
    found.set(key, [...(found.get(key) ?? []), reading]);
  }
  return found;
}

/** Every reading of gauges since a time, for exposure. */
export const allReadings = (db: Knex, boards: readonly Board[], since = new Date(0)): Promise<ReadingsByGauge> =>
  recentReadings(db, boards, since, new Date(8.64e15));

/** What was seen at a gauge besides its level: clarity and high-water marks, as the gauge shows them, the last fifty in the order of time; of two in one minute the one entered later comes last. */
export async function seenAt(db: Knex, crew: string, gauge: string): Promise<SeenReading[]> {
  const newest: SeenReading[] = await db('reading as r')
    .join('entry as e', 'e.id', 'r.entry_id')
    .select('r.at', 'r.level', 'r.bound', 'r.clarity', 'r.since', 'r.doubt')
    .where({ 'r.crew_id': crew, 'r.gauge_id': gauge })
    .where((query) => query.where('r.bound', 'crest').orWhereNot('r.clarity', 'not looked'))
    .orderBy([
      { column: 'r.at', order: 'desc' },
      { column: 'e.seq', order: 'desc' },
    ])
    .limit(50);
  return newest.reverse();
}
