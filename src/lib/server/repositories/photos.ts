import type { Knex } from 'knex';

/** A photo lies in a table of its own and is never read with a list. Its id follows from its content, so that sending it twice keeps one. */
export async function keepPhoto(db: Knex, crew: string, id: string, type: string, bytes: Buffer): Promise<void> {
  await db('photo').insert({ id, crew_id: crew, type, bytes }).onConflict(['crew_id', 'id']).ignore();
}

export const photoOf = (db: Knex, crew: string, id: string): Promise<{ type: string; bytes: Buffer } | undefined> =>
  db('photo').select('type', 'bytes').where({ id, crew_id: crew }).first();

/** What all photos of a crew but one take, bytes. */
export async function photoBytes(db: Knex, crew: string, but: string): Promise<number> {
  const [row] = (await db('photo')
    .where({ crew_id: crew })
    .whereNot({ id: but })
    .select(db.raw('coalesce(sum(octet_length(bytes)), 0)::float8 as total'))) as {
    total: number;
  }[];
  return row?.total ?? 0;
}
