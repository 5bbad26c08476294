import type { Knex } from 'knex';

export interface Owner {
  crew: string;
  entry: string;
}

/** Writes a row of current truth under its stable id, which is its crew's own. */
export async function upsert(trx: Knex, table: string, row: Record<string, unknown> & { id: string }, crew: string): Promise<void> {
  const columns = Object.fromEntries(
    Object.entries({ ...row, crew_id: crew }).map(([key, value]) => [key, isJson(value) ? JSON.stringify(value) : value]),
  );
  await trx(table).insert(columns).onConflict(['crew_id', 'id']).merge();
}

const isJson = (value: unknown): boolean => typeof value === 'object' && value !== null && !(value instanceof Date);
