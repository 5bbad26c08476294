import type { Knex } from 'knex';
import type { ForecastBody, Ice, LoggedBody, ToldRise, WeatherBody } from '#core/record/kinds';
import { elevationOf, type Hung } from '#core/water/gauge';
import type { WeatherStretch } from '#core/weather/hours';
import { upsert, type Owner } from '../record/upsert';
import type { Written } from '#core/record/written';
import { answer, type Asked } from './asked';

type Board = Hung & { id: string };

export const putWeather = (trx: Knex, weather: WeatherBody, { crew, entry }: Owner) =>
  upsert(trx, 'weather', { ...weather, entry_id: entry }, crew);
export const putIce = (trx: Knex, { water, station, ...own }: Ice, { crew, entry }: Owner) =>
  upsert(trx, 'ice', { ...own, water_id: water, station_id: station, entry_id: entry }, crew);
export const putForecast = (trx: Knex, { gauge, ...own }: ForecastBody, { crew, entry }: Owner) =>
  upsert(trx, 'forecast', { ...own, gauge_id: gauge, entry_id: entry }, crew);

export const putTold = (trx: Knex, { gauge, ...own }: ToldRise, { crew, entry }: Owner) =>
  upsert(trx, 'told_rise', { ...own, gauge_id: gauge, entry_id: entry }, crew);

/** Writes a logger's stretch with its points; what the body no longer lists is taken out. */
export async function putLogged(trx: Knex, { gauge, points, ...own }: LoggedBody, { crew, entry }: Owner): Promise<void> {
  await upsert(trx, 'logged', { ...own, gauge_id: gauge, entry_id: entry }, crew);
  await trx('logged_point').where({ crew_id: crew, logged_id: own.id }).delete();
  await trx.raw(
    `insert into logged_point (logged_id, gauge_id, crew_id, at, level)
     select ?, ?, ?, to_timestamp(p.at / 1000), p.level from unnest(?::double precision[], ?::double precision[]) as p (at, level)`,
    [own.id, gauge, crew, points.map((p) => p.at), points.map((p) => p.level)],
  );
}

type Told = WeatherStretch & { source: string; station: string };
/** Weather by the crew and the entry that told it. An entry is never changed, so its hours are read from the database once. */
const TOLD = new Map<string, Told>();
const MOST_TOLD = 4000;

/** Weather told since a time, oldest first. */
export async function weatherSince(db: Knex, crew: string, since: Date): Promise<Told[]> {
  // two tellings of one minute stand in the order in which they were written
  const key = (entry: string): string => `${crew} ${entry}`;
  const listed: { entry_id: string }[] = await db('weather')
    .join('entry', { 'entry.id': 'weather.entry_id', 'entry.crew_id': 'weather.crew_id' })
    .select('weather.entry_id')
    .where({ 'weather.crew_id': crew })
    .where('weather.made', '>=', since)
    .orderBy(['weather.made', 'entry.seq']);
  if (TOLD.size > MOST_TOLD) TOLD.clear();
  const missing = listed.map((row) => row.entry_id).filter((entry) => !TOLD.has(key(entry)));
  if (missing.length > 0) {
    const rows: (Omit<Told, 'made'> & { made: Date; entry_id: string })[] = await db('weather')
      .select('entry_id', 'made', 'hours', 'source', 'station')
      .where({ crew_id: crew })
      .whereIn('entry_id', missing);
    for (const { entry_id, made, ...own } of rows) TOLD.set(key(entry_id), { ...own, made: made.getTime() });
  }
  return listed.flatMap(({ entry_id }) => TOLD.get(key(entry_id)) ?? []);
}

type IceRow = Omit<Ice, 'water' | 'station' | 'at'> & { water_id: string; station_id: string | null; at: Date; entry_id: string };

/** Ice of the crew's waters, oldest first; of one when `water` is given. */
export const askIce = (db: Knex, crew: string, water?: string): Asked<IceRow, Written<Ice>[]> => ({
  query: db('ice')
    .select('id', 'water_id', 'station_id', 'at', 'seen', 'thickness', 'white', 'snow', 'by', 'note', 'entry_id')
    .where({ crew_id: crew, ...(water ? { water_id: water } : {}) })
    .orderBy('at'),
  times: ['at'],
  read: (rows) =>
    rows.map(({ water_id, station_id, at, entry_id, ...own }) => ({
      ...own,
      water: water_id,
      station: station_id,
      at: at.toISOString(),
      entry: entry_id,
    })),
});
export const iceSeen = (db: Knex, crew: string, water?: string) => answer(db, askIce(db, crew, water));

type ToldRow = Omit<ToldRise, 'gauge' | 'at' | 'until'> & { gauge_id: string; at: Date; until: Date; entry_id: string };

/** Rises that somebody told within three days and until now, oldest first. */
export const askTold = (db: Knex, crew: string, now: Date): Asked<ToldRow, Written<ToldRise>[]> => ({
  query: db('told_rise')
    .select('id', 'gauge_id', 'at', 'until', 'rise', 'doubt', 'who', 'note', 'entry_id')
    .where({ crew_id: crew })
    .where('at', '<=', now)
    .where('until', '>=', new Date(now.getTime() - 3 * 86_400_000))
    .orderBy('at'),
  times: ['at', 'until'],
  read: (rows) =>
    rows.map(({ gauge_id, at, until, entry_id, ...own }) => ({
      ...own,
      gauge: gauge_id,
      at: at.toISOString(),
      until: until.toISOString(),
      entry: entry_id,
    })),
});

export interface Kept extends Omit<ForecastBody, 'made'> {
  made: Date;
}

/** What was forecast for gauges since a time, as elevations, oldest first. */
export async function forecastsSince(db: Knex, crew: string, boards: readonly Board[], since: Date): Promise<Kept[]> {
  const rows: (Omit<Kept, 'gauge'> & { gauge_id: string })[] = await db('forecast')
    .select('id', 'gauge_id', 'made', 'points', 'note')
    .where({ crew_id: crew })
    .where('made', '>=', since)
    .orderBy('made');
  return rows.map(({ gauge_id, points, ...own }) => {
    const board = boards.find((g) => g.id === gauge_id);
    const up = (level: number, at: number): number => elevationOf(board, level, at);
    return {
      ...own,
      gauge: gauge_id,
      points: points.map(({ at, low, middle, high }) => ({ at, low: up(low, at), middle: up(middle, at), high: up(high, at) })),
    };
  });
}

/** Loggers read into a gauge, newest first. */
export const loggers = (
  db: Knex,
  crew: string,
  gauge: string,
): Promise<{ id: string; name: string; from: Date; to: Date; rows: number; entry_id: string }[]> =>
  db('logged').select('id', 'name', 'from', 'to', 'rows', 'entry_id').where({ crew_id: crew, gauge_id: gauge }).orderBy('from', 'desc');

/** Every level of a gauge since a time, read or logged, as an elevation, in the order of time. */
export async function levelsSince(
  db: Knex,
  crew: string,
  gauge: Board,
  since: Date,
): Promise<{ at: Date; level: number; source: string }[]> {
  const { rows } = await db.raw<{ rows: { at: Date; level: number; source: string }[] }>(
    `select at, level, source from reading where crew_id = :crew and gauge_id = :gauge and bound = 'exact' and at >= :since
     union all
     select at, level, 'logger' from logged_point where crew_id = :crew and gauge_id = :gauge and at >= :since
     order by at`,
    { crew, gauge: gauge.id, since },
  );
  return rows.map((row) => ({ ...row, level: elevationOf(gauge, row.level, row.at.getTime()) }));
}
