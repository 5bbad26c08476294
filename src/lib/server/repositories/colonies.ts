import type { Knex } from 'knex';
import type { Colony } from '#core/record/kinds';
import type { Written } from '#core/record/written';
import { upsert, type Owner } from '../record/upsert';

export const putColony = (trx: Knex, own: Colony, { crew, entry }: Owner) => upsert(trx, 'colony', { ...own, entry_id: entry }, crew);

/** The colonies of a crew, by name. */
export async function colonies(db: Knex, crew: string): Promise<Written<Colony>[]> {
  return db('colony')
    .select('id', 'name', 'species', 'waters', 'stations', 'first', 'why', 'clear', 'beliefs', 'likely', 'done', 'note', {
      entry: 'entry_id',
    })
    .where({ crew_id: crew })
    .orderBy('name');
}
