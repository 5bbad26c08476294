import type { Knex } from 'knex';
import type { Kind } from '#core/record/kinds';

export interface Entry {
  id: string;
  seq: number;
  crew_id: string;
  kind: Kind;
  subject: string;
  occurred_at: Date;
  recorded_at: Date;
  by: string | null;
  corrects: string | null;
  withdrawn: boolean;
  reason: string;
  body: Record<string, unknown>;
  body_hash: string;
}

export interface LoggedEntry extends Entry {
  corrected_by: string | null;
  by_name: string | null;
}

const LOGGED = ['e.*', 'c.id as corrected_by', 'p.name as by_name'];
const logged = (db: Knex) =>
  db('entry as e').select(LOGGED).leftJoin('entry as c', 'c.corrects', 'e.id').leftJoin('person as p', 'p.id', 'e.by');

export interface LogFilter {
  kinds?: Kind[];
  subject?: string;
  set?: string;
  from?: Date;
  to?: Date;
  page?: number;
}

export const PAGE = 50;

/** The book, newest first, 50 a page; entries of a set are its own, its checks and its readings. */
export async function log(db: Knex, crew: string, filter: LogFilter): Promise<{ entries: LoggedEntry[]; total: number }> {
  const narrow = <T extends Knex.QueryBuilder>(query: T): T => {
    query.where('e.crew_id', crew);
    if (filter.kinds?.length) query.whereIn('e.kind', filter.kinds);
    if (filter.subject) query.where('e.subject', filter.subject);
    if (filter.set) query.where((q) => q.where('e.subject', filter.set ?? '').orWhereRaw(`e.body->>'set' = ?`, [filter.set ?? '']));
    if (filter.from) query.where('e.occurred_at', '>=', filter.from);
    if (filter.to) query.where('e.occurred_at', '<', filter.to);
    return query;
  };
  const [entries, count] = await Promise.all([
    narrow(logged(db))
      .orderBy([
        { column: 'e.occurred_at', order: 'desc' },
        { column: 'e.seq', order: 'desc' },
      ])
      .limit(PAGE)
      .offset(((filter.page ?? 1) - 1) * PAGE),
    narrow(db('entry as e').count('* as n')).first(),
  ]);
  return { entries, total: Number((count as { n?: number } | undefined)?.n ?? 0) };
}

export const entryOf = (db: Knex, crew: string, id: string): Promise<LoggedEntry | undefined> =>
  logged(db).where({ 'e.id': id, 'e.crew_id': crew }).first();

/** The newest entry about each subject of a kind, by subject. */
export async function latestEntries(db: Knex, crew: string, kind: Kind): Promise<Record<string, string>> {
  const rows: { id: string; subject: string }[] = await db('entry')
    .distinctOn('subject')
    .select('id', 'subject')
    .where({ crew_id: crew, kind })
    .orderBy(['subject', { column: 'seq', order: 'desc' }]);
  return Object.fromEntries(rows.map(({ id, subject }) => [subject, id]));
}
