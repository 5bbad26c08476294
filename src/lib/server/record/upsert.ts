import type { Knex } from 'knex';
import { Refusal } from './refusal';

export interface Owner {
  crew: string;
  entry: string;
}

/**
 * Writes a row of current truth under its stable id.
 *
 * @throws Refusal when the id belongs to another crew
 */
export async function upsert(trx: Knex, table: string, row: Record<string, unknown> & { id: string }, crew: string): Promise<void> {
  const columns = Object.fromEntries(
    Object.entries({ ...row, crew_id: crew }).map(([key, value]) => [key, isJson(value) ? JSON.stringify(value) : value]),
  );
  const written = await trx(table).insert(columns).onConflict('id').merge().where(`${table}.crew_id`, crew).returning('id');
  if (written.length === 0) throw new Refusal({ id: 'This id belongs to another crew.' }, 'foreign');
}

const isJson = (value: unknown): boolean => typeof value === 'object' && value !== null && !(value instanceof Date);
