import type { Knex } from 'knex';
import type { ReadingBody } from '#core/record/kinds';
import type { SeenReading } from '#core/water/seenText';
import type { Reading } from '#core/water/series';
import { upsert, type Owner } from '../record/upsert';

export const putReading = (trx: Knex, { gauge, set, ...reading }: ReadingBody, { crew, entry }: Owner) =>
  upsert(trx, 'reading', { ...reading, gauge_id: gauge, set_id: set, entry_id: entry }, crew);

export const removeReading = (trx: Knex, id: string, { crew }: Owner) => trx('reading').where({ id, crew_id: crew }).delete();

export type ReadingsByGauge = Record<string, Reading[]>;

interface Row {
  gauge_id: string;
  at: Date;
  level: number;
  bound: Reading['bound'];
}

function byGauge(rows: Row[]): ReadingsByGauge {
  const found: ReadingsByGauge = {};
  for (const { gauge_id, at, level, bound } of rows) (found[gauge_id] ??= []).push({ at, level, bound });
  return found;
}

/** The last exact reading of every gauge, and all readings from `since` to `until`, in the order of time; of two in one minute the one entered later comes last. */
export async function recentReadings(db: Knex, crew: string, since: Date, until: Date): Promise<ReadingsByGauge> {
  const { rows } = await db.raw<{ rows: Row[] }>(
    `select g.id as gauge_id, r.at, r.level, r.bound
     from gauge g
     cross join lateral (
       (select at, level, bound, entry_id from (
          (select at, level, bound, entry_id from reading where gauge_id = g.id and at <= :until and bound = 'exact' order by at desc limit 1)
          union all
          (select p.at, p.level, 'exact', l.entry_id from logged_point p join logged l on l.id = p.logged_id where p.gauge_id = g.id and p.at <= :until order by p.at desc limit 1)
        ) newest order by at desc limit 1)
       union
       (select at, level, bound, entry_id from reading where gauge_id = g.id and at between :since and :until)
       union
       (select p.at, p.level, 'exact', l.entry_id from logged_point p join logged l on l.id = p.logged_id where p.gauge_id = g.id and p.at between :since and :until)
     ) r
     join entry e on e.id = r.entry_id
     where g.crew_id = :crew
     order by g.id, r.at, e.seq`,
    { since, until, crew },
  );
  return byGauge(rows);
}

/** Every reading of the crew's gauges since a time, for exposure. */
export async function allReadings(db: Knex, crew: string, since = new Date(0)): Promise<ReadingsByGauge> {
  const { rows } = await db.raw<{ rows: Row[] }>(
    `select r.gauge_id, r.at, r.level, r.bound from (
       select gauge_id, at, level, bound, entry_id from reading where crew_id = :crew and at >= :since
       union all
       select p.gauge_id, p.at, p.level, 'exact', l.entry_id from logged_point p join logged l on l.id = p.logged_id where p.crew_id = :crew and p.at >= :since
     ) r
     join entry e on e.id = r.entry_id
     order by r.at, e.seq`,
    { crew, since },
  );
  return byGauge(rows);
}

/** What was seen at a gauge besides its level: clarity and crests, of the last year. */
export const seenAt = (db: Knex, crew: string, gauge: string): Promise<SeenReading[]> =>
  db('reading')
    .select('at', 'level', 'bound', 'clarity', 'since')
    .where({ crew_id: crew, gauge_id: gauge })
    .where((query) => query.where('bound', 'crest').orWhereNot('clarity', 'not looked'))
    .orderBy('at', 'desc')
    .limit(50);

/** Readings of a gauge that were taken after a time, each with the entry that last wrote it. */
export async function readingsAfter(db: Knex, crew: string, gauge: string, at: Date): Promise<(ReadingBody & { entry: string })[]> {
  const rows: (Omit<ReadingBody, 'gauge' | 'at' | 'since' | 'set'> & {
    at: Date;
    since: Date | null;
    set_id: string | null;
    entry_id: string;
  })[] = await db('reading')
    .select('id', 'at', 'level', 'bound', 'source', 'since', 'clarity', 'set_id', 'note', 'entry_id')
    .where({ crew_id: crew, gauge_id: gauge })
    .where('at', '>', at)
    .orderBy('at');
  return rows.map(({ at: when, since, set_id, entry_id, ...own }) => ({
    ...own,
    gauge,
    at: when.toISOString(),
    since: since && since.toISOString(),
    set: set_id,
    entry: entry_id,
  }));
}
