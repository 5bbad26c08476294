import type { Knex } from 'knex';
import type { Line, Setting, Stay, TrapSet } from '#core/record/kinds';
import { upsert, type Owner } from '../record/upsert';
import type { Written } from '#core/record/written';
import { answer, together, type Asked } from './asked';

export const putLine = (trx: Knex, line: Line, { crew, entry }: Owner) => upsert(trx, 'line', { ...line, entry_id: entry }, crew);

/** Writes a set with its settings and stays. What the body no longer lists is taken out; the database refuses to lose a stay that was checked. */
export async function putSet(trx: Knex, body: TrapSet, { crew, entry }: Owner): Promise<void> {
  const { line, station, settings, stays, leftBecause, photoLeft, photoFound, ...set } = body;
  const row = {
    ...set,
    line_id: line,
    station_id: station,
    left_because: leftBecause,
    photo_left: photoLeft,
    photo_found: photoFound,
    entry_id: entry,
  };
  await upsert(trx, 'trap_set', row, crew);
  await trx('setting')
    .where({ crew_id: crew, set_id: set.id })
    .whereNotIn(
      'id',
      settings.map((s) => s.id),
    )
    .delete();
  await trx('stay')
    .where({ crew_id: crew, set_id: set.id })
    .whereNotIn(
      'id',
      stays.map((s) => s.id),
    )
    .delete();
  for (const setting of settings) await upsert(trx, 'setting', { ...setting, lures: setting.lures ?? null, set_id: set.id }, crew);
  for (const { device, from, to, ...stay } of stays) {
    await upsert(trx, 'stay', { ...stay, set_id: set.id, device_id: device, live_from: from, live_to: to ?? 'infinity' }, crew);
  }
}

const BEGUN = '(select min(seq) from entry where entry.crew_id = line.crew_id and entry.subject = line.id) desc nulls last';

/** Every season of the crew, the newest first. */
const linesOf = (db: Knex, crew: string) =>
  db('line')
    .select('id', 'name', 'season', 'zone', 'lat', 'lon', 'rule', 'rulebook', 'book', 'schools', 'entry_id as entry')
    .where({ crew_id: crew })
    .orderByRaw(BEGUN);

export const lines = (db: Knex, crew: string): Promise<Written<Line>[]> => linesOf(db, crew);

/** The season that is under way: the line of the crew that was begun last. */
export const askCurrentLine = (db: Knex, crew: string): Asked<Written<Line>, Written<Line> | undefined> => ({
  query: linesOf(db, crew).limit(1),
  read: ([line]) => line,
});

export const currentLine = (db: Knex, crew: string): Promise<Written<Line> | undefined> => answer(db, askCurrentLine(db, crew));

/** Its id, to be asked for inside of another statement. */
export const currentLineId = (db: Knex, crew: string): Knex.Raw =>
  db.raw(`(select line.id from line where line.crew_id = ? order by ${BEGUN} limit 1)`, [crew]);

interface SetRow extends Omit<TrapSet, 'line' | 'station' | 'settings' | 'stays' | 'leftBecause' | 'photoLeft' | 'photoFound'> {
  entry_id: string;
  photo_left: string | null;
  photo_found: string | null;
  line_id: string;
  station_id: string;
  left_because: string;
}
type SettingRow = Omit<Setting, 'at' | 'noted' | 'lures'> & {
  set_id: string;
  at: Date;
  noted: Setting['noted'] | null;
  lures: Setting['lures'] | null;
};
interface StayRow {
  id: string;
  set_id: string;
  position: string;
  device_id: string;
  live_from: Date;
  live_to: Date | null;
}

const SET = [
  'id',
  'line_id',
  'number',
  'name',
  'type',
  'species',
  'station_id',
  'state',
  'reserved',
  'opens',
  'armed',
  'anchor',
  'hole',
  'photo_left',
  'photo_found',
  'by',
  'took',
  'left_because',
  'overruled',
  'situation',
  'attested',
  'exemption',
  'judged',
  'note',
  'entry_id',
];

interface SetFilter {
  line?: string | Knex.Raw;
  ids?: string[];
  states?: TrapSet['state'][];
  water?: string;
  station?: string;
}

/** What is asked for sets: their rows, their settings and their stays. */
export function askSets(db: Knex, crew: string, filter: SetFilter) {
  const narrow = (columns: string[]) => {
    const query = db('trap_set').select(columns).where('crew_id', crew);
    if (filter.line) query.where('line_id', filter.line);
    if (filter.ids) query.whereIn('id', filter.ids);
    if (filter.states) query.whereIn('state', filter.states);
    if (filter.station) query.where('station_id', filter.station);
    if (filter.water) query.whereIn('station_id', db('station').select('id').where('water_id', filter.water));
    return query;
  };
  const rows: Asked<SetRow, SetRow[]> = { query: narrow(SET).orderBy('number'), read: (found) => found };
  const settings: Asked<SettingRow, SettingRow[]> = {
    query: db('setting')
      .select('id', 'set_id', 'at', 'numbers', 'choices', 'lures', 'noted')
      .whereIn('set_id', narrow(['id']))
      .orderBy('at'),
    times: ['at'],
    read: (found) => found,
  };
  const stays: Asked<StayRow, StayRow[]> = {
    query: db('stay')
      .select('id', 'set_id', 'position', 'device_id', 'live_from', 'live_to')
      .whereIn('set_id', narrow(['id']))
      .orderBy(['live_from', 'position']),
    times: ['live_from', 'live_to'],
    read: (found) => found,
  };
  return { rows, settings, stays };
}

/** Sets with their settings and stays in the order of their numbers. */
export const sets = async (db: Knex, crew: string, filter: SetFilter): Promise<Written<TrapSet>[]> =>
  setsOf(await together(db, askSets(db, crew, filter)));

/** Sets put together from what was asked for them. */
export function setsOf({ rows, settings, stays }: { rows: SetRow[]; settings: SettingRow[]; stays: StayRow[] }): Written<TrapSet>[] {
  const [ownSettings, ownStays] = [bySet(settings), bySet(stays)];
  return rows.map(({ line_id, station_id, left_because, photo_left, photo_found, entry_id, ...set }) => ({
    ...set,
    entry: entry_id,
    photoLeft: photo_left,
    photoFound: photo_found,
    line: line_id,
    station: station_id,
    leftBecause: left_because,
    settings: (ownSettings.get(set.id) ?? []).map(({ set_id: _, at, noted, lures, ...s }) => ({
      ...s,
      at: at.toISOString(),
      ...(noted ? { noted } : {}),
      ...(lures ? { lures } : {}),
    })),
    stays: (ownStays.get(set.id) ?? []).map(stayOf),
  }));
}

function bySet<R extends { set_id: string }>(rows: readonly R[]): Map<string, R[]> {
  const found = new Map<string, R[]>();
  for (const row of rows) {
    const own = found.get(row.set_id);
    if (own) own.push(row);
    else found.set(row.set_id, [row]);
  }
  return found;
}

const stayOf = ({ id, position, device_id, live_from, live_to }: StayRow): Stay => ({
  id,
  position,
  device: device_id,
  from: live_from.toISOString(),
  to: live_to && live_to.toISOString(),
});

/** One set, or undefined when the crew has no such set. */
export const setOf = async (db: Knex, crew: string, id: string): Promise<Written<TrapSet> | undefined> =>
  (await sets(db, crew, { ids: [id] }))[0];

/** The numbers that the sets of a line carry, pulled ones with them. */
export const setNumbers = async (db: Knex, line: string): Promise<number[]> =>
  (await db('trap_set').where({ line_id: line }).pluck('number')).map(Number);
