import type { Knex } from 'knex';
import { BODY_VERSION, type Kind } from '#core/record/kinds';
import { upgrade } from '#core/record/upgrade';
import { zerosOf } from '../record/zeros';

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
  /** the first entry of the form that wrote this one */
  batch: string | null;
  /** the entry on whose truth this body was written */
  opened: string | null;
  /** the shape of its body when it was written */
  version: number;
}

/** Entries with their bodies in the shape of today. */
export async function modern<E extends Entry>(db: Knex, crew: string, entries: E[]): Promise<E[]> {
  if (entries.every((e) => e.version >= BODY_VERSION)) return entries;
  const zeros = await zerosOf(db, crew);
  return entries.map((e) =>
    e.withdrawn || e.version >= BODY_VERSION ? e : { ...e, body: upgrade(e.kind, e.body, e.version, zeros(e.seq), e.occurred_at) },
  );
}

/** All entries about a thing, oldest first. */
export async function pastOf(db: Knex, crew: string, kind: Kind, subject: string): Promise<Entry[]> {
  return modern(db, crew, await db<Entry>('entry').where({ crew_id: crew, subject, kind }).orderBy('seq'));
}

/** The entry that last wrote a thing: what a form about it is opened on. */
export async function versionOf(db: Knex, crew: string, subject: string): Promise<string | undefined> {
  const row: { id: string } | undefined = await db('entry').select('id').where({ crew_id: crew, subject }).orderBy('seq', 'desc').first();
  return row?.id;
}

/** Entries that one form wrote, newest first. */
export const batchOf = (db: Knex, crew: string, batch: string): Promise<Entry[]> =>
  db<Entry>('entry').where({ crew_id: crew, batch }).orderBy('seq', 'desc');

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

export const PAGE = 30;

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
  return { entries: await modern(db, crew, entries), total: Number((count as { n?: number } | undefined)?.n ?? 0) };
}

export async function entryOf(db: Knex, crew: string, id: string): Promise<LoggedEntry | undefined> {
  const found: LoggedEntry | undefined = await logged(db).where({ 'e.id': id, 'e.crew_id': crew }).first();
  return found && (await modern(db, crew, [found]))[0];
}

/** How many of these entries stand, and were not withdrawn. */
export async function entriesKept(db: Knex, crew: string, ids: readonly string[]): Promise<number> {
  const [row] = await db<Entry>('entry').where({ crew_id: crew, withdrawn: false }).whereIn('id', ids).count<{ count: string }[]>('id');
  return Number(row?.count ?? 0);
}

/** The newest entry about each subject of a kind, by subject. */
export async function latestEntries(db: Knex, crew: string, kind: Kind): Promise<Record<string, string>> {
  const rows: { id: string; subject: string }[] = await db('entry')
    .distinctOn('subject')
    .select('id', 'subject')
    .where({ crew_id: crew, kind })
    .orderBy(['subject', { column: 'seq', order: 'desc' }]);
  return Object.fromEntries(rows.map(({ id, subject }) => [subject, id]));
}
