import type { Knex } from 'knex';
import type { Share } from '#core/record/kinds';
import type { Written } from '#core/record/written';
import { upsert, type Owner } from '../record/upsert';
import type { Asked } from './asked';

export const putShare = (trx: Knex, { line, parts, ...own }: Share, { crew, entry }: Owner) =>
  upsert(trx, 'day_share', { ...own, line_id: line, parts, entry_id: entry }, crew);

interface Row extends Pick<Share, 'id' | 'day' | 'parts' | 'note'> {
  line_id: string;
  entry_id: string;
}

/** Who goes where, of the days since one: local date. */
export const askShares = (db: Knex, crew: string, since: string): Asked<Row, Written<Share>[]> => ({
  query: db('day_share')
    .select('id', 'line_id', db.raw('day::text as day'), 'parts', 'note', 'entry_id')
    .where({ crew_id: crew })
    .where('day', '>=', since)
    .orderBy('day'),
  read: (rows) => rows.map(({ line_id, entry_id, ...own }) => ({ ...own, line: line_id, entry: entry_id })),
});
