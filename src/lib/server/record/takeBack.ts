import type { Knex } from 'knex';
import { isId, idBeside } from '#lib/form/newId';
import { batchOf } from '../repositories/entries';
import { Refusal } from './refusal';
import { record, type Written } from './write';

export interface TakeBack {
  /** of the first withdrawal; the others follow from it */
  id: string;
  crew: string;
  /** any entry that the form wrote */
  entry: string;
  by: string | null;
  reason: string;
}

/**
 * Takes back everything that one form wrote, newest first, all or none. What others changed since stays.
 *
 * @throws Refusal when there is no such entry, or when a later one rests on it
 */
export async function takeBack(db: Knex, { id, crew, entry, by, reason }: TakeBack): Promise<Written> {
  const own = isId(entry) ? await db('entry').where({ id: entry, crew_id: crew }).first('batch') : undefined;
  if (!own) throw new Refusal({ corrects: 'There is no such entry to take back.' }, 'unknown');
  const batch = await batchOf(db, crew, (own as { batch: string | null }).batch ?? entry);
  const written = batch.filter((e) => !e.withdrawn && !batch.some((w) => w.withdrawn && w.corrects === e.id));
  const all = written.length > 0 ? written.map((e) => e.id) : [entry];
  return record(db, ...all.map((withdraws, n) => ({ id: n === 0 ? id : idBeside(id, `withdrawal ${n}`), crew, withdraws, by, reason })));
}
