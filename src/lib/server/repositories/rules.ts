import type { Knex } from 'knex';
import type { DeviceClass } from '#core/devices/sizes';
import type { Catch, DutyDone, OwnBook } from '#core/record/kinds';
import type { InForce } from '#core/rules/inForce';
import type { Asked } from './asked';
import { upsert, type Owner } from '../record/upsert';
import type { Written } from '#core/record/written';

/** Rulebooks of the crew, and what was told of catches. */

export const putRulebook = (trx: Knex, book: OwnBook, { crew, entry }: Owner) =>
  upsert(trx, 'rulebook', { ...book, entry_id: entry }, crew);

export const putDuty = (trx: Knex, { catch: caught, ...duty }: DutyDone, { crew, entry }: Owner) =>
  upsert(trx, 'duty', { ...duty, catch_id: caught, entry_id: entry }, crew);

/** The rulebook of the season under way; null where its line has none. */
export const askRulesInForce = (db: Knex, crew: string, line: Knex.Raw): Asked<InForce, InForce | null> => ({
  query: db('rulebook as r')
    .select('r.id', 'r.version', 'r.book', 'r.entry_id as entry')
    .join('line as l', 'l.book', 'r.id')
    .where('l.crew_id', crew)
    .where('l.id', line),
  read: ([found]) => found ?? null,
});

/** The area of the rulebook that each water lies in, where its site names one. */
export const askAreas = (db: Knex, crew: string): Asked<{ id: string; area: string }, Record<string, string>> => ({
  query: db('water as w').select('w.id', 's.area').join('site as s', 's.id', 'w.site_id').where('w.crew_id', crew).whereNot('s.area', ''),
  read: (rows) => Object.fromEntries(rows.map(({ id, area }) => [id, area])),
});

export const rulebooks = (db: Knex, crew: string): Promise<Written<OwnBook>[]> =>
  db('rulebook')
    .select('id', 'version', 'book', 'note', 'entry_id as entry')
    .where({ crew_id: crew })
    .orderByRaw(`book->>'jurisdiction', id`);

/** Whom was told of which catch, by `catch rule`. */
export async function dutiesDone(db: Knex, crew: string): Promise<Map<string, { entry: string; at: Date; note: string }>> {
  const rows: { catch_id: string; rule: string; entry_id: string; at: Date; note: string }[] = await db('duty')
    .select('catch_id', 'rule', 'entry_id', 'at', 'note')
    .where({ crew_id: crew });
  return new Map(rows.map((r) => [`${r.catch_id} ${r.rule}`, { entry: r.entry_id, at: r.at, note: r.note }]));
}

/** The book of an earlier version as its entry wrote it; null where there was none. */
export async function bookAt(db: Knex, crew: string, book: string, version: number): Promise<OwnBook | null> {
  const row: { body: OwnBook } | undefined = await db('entry')
    .where({ crew_id: crew, kind: 'rulebook', subject: book, withdrawn: false })
    .whereRaw(`(body->>'version')::int = ?`, [version])
    .orderBy('seq', 'desc')
    .first('body');
  return row?.body ?? null;
}

/** Every version of a book with the moment from which it was in the record, oldest first. */
export async function versionsOf(db: Knex, crew: string, book: string): Promise<{ from: Date; book: OwnBook['book'] }[]> {
  const rows: { occurred_at: Date; body: OwnBook }[] = await db('entry')
    .where({ crew_id: crew, kind: 'rulebook', subject: book, withdrawn: false })
    .orderBy('seq')
    .select('occurred_at', 'body');
  return rows.map(({ occurred_at, body }) => ({ from: occurred_at, book: body.book }));
}

export interface CaughtRow extends Omit<Catch, 'strikes' | 'bites'> {
  at: Date;
  by: string | null;
  visit: string;
  set: string;
  number: number;
  name: string;
  type: string;
  station: string;
  water: string;
  /** the trap that caught */
  device: string;
  class: DeviceClass;
  size: string;
}

/** Every catch of a line with where and in what it was made, oldest first. */
export async function catchesOfLine(db: Knex, crew: string, line: string): Promise<CaughtRow[]> {
  return await db('catch as k')
    .select(
      'k.id',
      'k.species',
      'k.sex',
      'k.age',
      'k.weight',
      'k.estimated',
      'k.alive',
      'k.fate',
      'k.pelt',
      'k.tag',
      'c.at',
      'v.by',
      'v.id as visit',
    )
    .select('s.id as set', 's.number', 's.name', 's.type', 's.station_id as station', 't.water_id as water')
    .select('d.tag as device', 'd.class', 'd.size')
    .join('check_device as c', 'c.id', 'k.check_id')
    .join('check_visit as v', 'v.id', 'c.visit_id')
    .join('trap_set as s', 's.id', 'v.set_id')
    .join('station as t', 't.id', 's.station_id')
    .join('stay as y', 'y.id', 'c.stay_id')
    .join('device as d', 'd.id', 'y.device_id')
    .where({ 'k.crew_id': crew, 's.line_id': line })
    .orderBy([{ column: 'c.at' }, { column: 'k.id' }]);
}
