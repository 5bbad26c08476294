import type { Knex } from 'knex';
import type { Interview, Reply } from '#core/record/kinds';
import { upsert, type Owner } from '../record/upsert';
import type { Written } from '#core/record/written';

export const putInterview = (trx: Knex, { set, water, ...own }: Interview, { crew, entry }: Owner) =>
  upsert(trx, 'interview', { ...own, set_id: set, water_id: water, entry_id: entry }, crew);

type Row = Omit<Written<Interview>, 'set' | 'water' | 'at'> & { set_id: string | null; water_id: string | null; at: Date };

/** What was answered of a set, the newest first. */
export async function interviewsOf(db: Knex, crew: string, set: string): Promise<Written<Interview>[]> {
  const rows: Row[] = await db('interview')
    .select('id', 'set_id', 'water_id', 'at', 'answers', 'cause', 'share', 'again', 'note', 'entry_id as entry')
    .where({ crew_id: crew, set_id: set })
    .orderBy('at', 'desc');
  return rows.map(({ set_id, water_id, at, ...own }) => ({ ...own, set: set_id, water: water_id, at: at.toISOString() }));
}

export const putReply = (trx: Knex, { set, ...own }: Reply, { crew, entry }: Owner) =>
  upsert(trx, 'reply', { ...own, set_id: set, entry_id: entry }, crew);

/** What friends answered to the cards of a set, the newest first. */
export async function repliesOf(db: Knex, crew: string, set: string): Promise<Written<Reply>[]> {
  const rows: (Omit<Written<Reply>, 'set' | 'at'> & { at: Date })[] = await db('reply')
    .select('id', 'at', 'from', 'text', 'entry_id as entry')
    .where({ crew_id: crew, set_id: set })
    .orderBy('at', 'desc');
  return rows.map(({ at, ...own }) => ({ ...own, set, at: at.toISOString() }));
}
