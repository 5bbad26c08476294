import type { Knex } from 'knex';
import type { Did, SeenAtSet } from '#core/counting/atSet';
import type { Body, CameraRoll, Earlier, Ground, Intent, StationLevel, Survey } from '#core/record/kinds';
import { upsert, type Owner } from '../record/upsert';
import type { Written } from '#core/record/written';
import { answer, type Asked } from './asked';

export const putStationLevel = (trx: Knex, { station, ...own }: StationLevel, { crew, entry }: Owner) =>
  upsert(trx, 'station_level', { ...own, station_id: station, entry_id: entry }, crew);
export const putGround = (trx: Knex, { site, water, ...own }: Ground, { crew, entry }: Owner) =>
  upsert(trx, 'ground', { ...own, site_id: site, water_id: water, entry_id: entry }, crew);
export const putEarlier = (trx: Knex, { water, station, ...own }: Earlier, { crew, entry }: Owner) =>
  upsert(trx, 'earlier', { ...own, water_id: water, station_id: station, entry_id: entry }, crew);
export const putSurvey = (trx: Knex, { water, station, ...own }: Survey, { crew, entry }: Owner) =>
  upsert(trx, 'survey', { ...own, water_id: water, station_id: station, entry_id: entry }, crew);
export const putIntent = (trx: Knex, { line, station, ...own }: Intent, { crew, entry }: Owner) =>
  upsert(trx, 'intent', { ...own, line_id: line, station_id: station, entry_id: entry }, crew);

export const putOpening = (trx: Knex, { water, set, ...own }: Body<'opening'>, { crew, entry }: Owner) =>
  upsert(trx, 'opening', { ...own, water_id: water, set_id: set, entry_id: entry }, crew);

/** Writes a camera's stretch with its events; what the body no longer lists is taken out. */
export async function putCamera(trx: Knex, { station, set, from, to, events, ...own }: CameraRoll, { crew, entry }: Owner): Promise<void> {
  await upsert(trx, 'camera', { ...own, station_id: station, set_id: set, watched_from: from, watched_to: to, entry_id: entry }, crew);
  await trx('camera_event').where({ crew_id: crew, camera_id: own.id }).delete();
  const rows = events.map((event, nth) => ({ ...event, crew_id: crew, camera_id: own.id, nth }));
  for (let i = 0; i < rows.length; i += 500) await trx('camera_event').insert(rows.slice(i, i + 500));
}

/** Takes a thing of that table out of the truth. */
export const remover =
  (
    table:
      | 'station_level'
      | 'ground'
      | 'earlier'
      | 'survey'
      | 'camera'
      | 'intent'
      | 'opening'
      | 'weather'
      | 'ice'
      | 'logged'
      | 'forecast'
      | 'told_rise'
      | 'stock_move'
      | 'kit'
      | 'duty'
      | 'interview'
      | 'reply'
      | 'left_word'
      | 'day_share'
      | 'colony',
  ) =>
  (trx: Knex, id: string, { crew }: Owner) =>
    trx(table).where({ id, crew_id: crew }).delete();

type Row<T, Links extends string> = Omit<T, Links> & { entry_id: string };

type LevelRow = Row<StationLevel, 'station' | 'at' | 'noted'> & { station_id: string; at: Date; noted: number | null };

/** Own depths of stations, oldest first; of one when `station` is given. */
export const askStationLevels = (db: Knex, crew: string, station?: string): Asked<LevelRow, Written<StationLevel>[]> => ({
  query: db('station_level')
    .select('id', 'station_id', 'at', 'depth', 'noted', 'note', 'entry_id')
    .where({ crew_id: crew, ...(station ? { station_id: station } : {}) })
    .orderBy('at'),
  times: ['at'],
  read: (rows) =>
    rows.map(({ station_id, at, noted, entry_id, ...own }) => ({
      ...own,
      ...(noted === null ? {} : { noted }),
      station: station_id,
      at: at.toISOString(),
      entry: entry_id,
    })),
});
export const stationLevels = (db: Knex, crew: string, station?: string) => answer(db, askStationLevels(db, crew, station));

/** The user's ground on the map. */
export const askGrounds = (
  db: Knex,
  crew: string,
): Asked<Row<Ground, 'site' | 'water'> & { site_id: string; water_id: string | null }, Written<Ground>[]> => ({
  query: db('ground')
    .select('id', 'site_id', 'water_id', 'kind', 'name', 'shape', 'properties', 'note', 'entry_id')
    .where({ crew_id: crew })
    .orderBy(['kind', 'name']),
  read: (rows) => rows.map(({ site_id, water_id, entry_id, ...own }) => ({ ...own, site: site_id, water: water_id, entry: entry_id })),
});
export const grounds = (db: Knex, crew: string) => answer(db, askGrounds(db, crew));

type EarlierRow = Row<Earlier, 'water' | 'station'> & { water_id: string; station_id: string | null };

/** What others did on the crew's waters. */
export const askEarlier = (db: Knex, crew: string): Asked<EarlierRow, Written<Earlier>[]> => ({
  query: db('earlier')
    .select(
      'id',
      'water_id',
      'station_id',
      'who',
      'season',
      'used',
      'devices',
      'survivors',
      'species',
      'caught',
      'nights',
      'note',
      'entry_id',
    )
    .where({ crew_id: crew })
    .orderBy('season', 'desc'),
  read: (rows) =>
    rows.map(({ water_id, station_id, entry_id, ...own }) => ({ ...own, water: water_id, station: station_id, entry: entry_id })),
});

/** Guided readings of a crew, of one water or the one of that id, newest first. */
export async function surveys(db: Knex, crew: string, filter: { water?: string; id?: string }): Promise<Written<Survey>[]> {
  const rows: (Row<Survey, 'water' | 'station' | 'at'> & { water_id: string; station_id: string | null; at: Date })[] = await db('survey')
    .select('id', 'water_id', 'station_id', 'at', 'found', 'note', 'entry_id')
    .where({ crew_id: crew, ...(filter.water ? { water_id: filter.water } : {}), ...(filter.id ? { id: filter.id } : {}) })
    .orderBy('at', 'desc');
  return rows.map(({ water_id, station_id, at, entry_id, ...own }) => ({
    ...own,
    water: water_id,
    station: station_id,
    at: at.toISOString(),
    entry: entry_id,
  }));
}

export interface Watched extends Omit<CameraRoll, 'events'> {
  entry: string;
  events: (Omit<CameraRoll['events'][number], 'at'> & { at: Date })[];
}

type LateRow = { station_id: string; set_id: string | null; at: Date; species: string; did: Did };

/** What cameras saw since a time, by station. */
export const askSeenLate = (db: Knex, crew: string, since: Date): Asked<LateRow, Record<string, SeenAtSet[]>> => ({
  query: db('camera_event')
    .join('camera', 'camera.id', 'camera_event.camera_id')
    .select('camera.station_id', 'camera.set_id', 'camera_event.at', 'camera_event.species', 'camera_event.did')
    .where('camera.crew_id', crew)
    .where('camera.watched_to', '>=', since)
    .where('camera_event.at', '>=', since)
    .orderBy('camera_event.at'),
  times: ['at'],
  read: (rows) => {
    const of: Record<string, SeenAtSet[]> = {};
    for (const { station_id, set_id: set, ...event } of rows) (of[station_id] ??= []).push({ ...event, set });
    return of;
  },
});

/** Stretches of watching that end after a time, with their events in the order of time. */
export async function cameraRolls(db: Knex, crew: string, filter: { water?: string; station?: string; since?: Date }): Promise<Watched[]> {
  const query = db('camera')
    .select('id', 'station_id', 'set_id', 'camera', 'watched_from', 'watched_to', 'source', 'note', 'entry_id')
    .where('crew_id', crew)
    .orderBy('watched_from');
  if (filter.station) query.where('station_id', filter.station);
  if (filter.water) query.whereIn('station_id', db('station').select('id').where({ water_id: filter.water }));
  if (filter.since) query.where('watched_to', '>=', filter.since);
  const rows: (Omit<CameraRoll, 'station' | 'set' | 'from' | 'to' | 'events'> & {
    station_id: string;
    set_id: string | null;
    watched_from: Date;
    watched_to: Date;
    entry_id: string;
  })[] = await query;
  const events: (Watched['events'][number] & { camera_id: string })[] = await db('camera_event')
    .select('camera_id', 'at', 'species', 'count', 'size', 'did')
    .whereIn(
      'camera_id',
      rows.map((r) => r.id),
    )
    .orderBy('at');
  const of = new Map<string, Watched['events']>();
  for (const { camera_id, ...event } of events) {
    const own = of.get(camera_id);
    if (own) own.push(event);
    else of.set(camera_id, [event]);
  }
  return rows.map(({ station_id, set_id, watched_from, watched_to, entry_id, ...own }) => ({
    ...own,
    station: station_id,
    set: set_id,
    from: watched_from.toISOString(),
    to: watched_to.toISOString(),
    entry: entry_id,
    events: of.get(own.id) ?? [],
  }));
}

/** What is intended at places: of one line, or of all years at one of them. */
export async function intents(db: Knex, crew: string, { line, station }: { line?: string; station?: string }): Promise<Written<Intent>[]> {
  const rows: (Row<Intent, 'line' | 'station'> & { line_id: string; station_id: string })[] = await db('intent')
    .select('id', 'line_id', 'station_id', 'doing', 'type', 'opens', 'because', 'entry_id')
    .where({ crew_id: crew, ...(line ? { line_id: line } : {}), ...(station ? { station_id: station } : {}) });
  return rows.map(({ line_id, station_id, entry_id, ...own }) => ({ ...own, line: line_id, station: station_id, entry: entry_id }));
}

type OpeningRow = Row<Body<'opening'>, 'water' | 'opened' | 'mended' | 'set'> & {
  water_id: string;
  opened: Date;
  mended: Date | null;
  set_id: string | null;
};

/** Breaks of the crew's dams, newest first; of one water when `water` is given. */
export const askOpenings = (db: Knex, crew: string, water?: string): Asked<OpeningRow, Written<Body<'opening'>>[]> => ({
  query: db('opening')
    .select('id', 'water_id', 'shape', 'states', 'opened', 'mended', 'by', 'set_id', 'count', 'expect', 'widens', 'note', 'entry_id')
    .where({ crew_id: crew, ...(water ? { water_id: water } : {}) })
    .orderBy('opened', 'desc'),
  times: ['opened', 'mended'],
  read: (rows) =>
    rows.map(({ water_id, set_id, opened, mended, entry_id, ...own }) => ({
      ...own,
      water: water_id,
      set: set_id,
      opened: opened.toISOString(),
      mended: mended && mended.toISOString(),
      entry: entry_id,
    })),
});
export const openings = (db: Knex, crew: string, water?: string) => answer(db, askOpenings(db, crew, water));
