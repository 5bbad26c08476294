import type { Knex } from 'knex';
import { prepared } from '../database';

/** A question to the database with how its rows are read, so that several can be asked in one statement. */
export interface Asked<Row extends object, Answer> {
  query: Knex.QueryBuilder | Knex.Raw;
  /** columns that hold an instant */
  times?: readonly (keyof Row & string)[];
  read: (rows: Row[]) => Answer;
}

// what is asked together is of different rows, and each question reads its own
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type AnyAsked = Asked<any, unknown>;
type Answers<Q extends Record<string, AnyAsked>> = { [K in keyof Q]: ReturnType<Q[K]['read']> };

/**
 * The answers to several questions of one moment, in one statement: a page asks a dozen, and every way to the database and back
 * costs more than most of them. Rows come as JSON, in their order.
 *
 * @param often it is asked at every page
 */
export async function together<Q extends Record<string, AnyAsked>>(db: Knex, asked: Q, often = false): Promise<Answers<Q>> {
  const names = Object.keys(asked);
  const lists = names.map(() => `(select coalesce(json_agg(q), '[]') from (?) q) as ??`).join(', ');
  // written out by itself a query has none of the brackets that a builder puts round it as a part of another
  const parts = names.map((name) => (asked[name] as AnyAsked).query.toSQL());
  const bindings = parts.flatMap(({ sql, bindings }, i) => [db.raw(sql, bindings), names[i] ?? '']);
  const query = db.raw<{ rows: [Record<string, Record<string, unknown>[]>] }>(`select ${lists}`, bindings as string[]);
  const { rows } = await (often ? prepared(query, parts.map(({ sql }) => sql).join(';')) : query);
  return Object.fromEntries(names.map((name) => [name, readAs(asked[name] as AnyAsked, rows[0][name] ?? [])])) as Answers<Q>;
}

/** The answer to one question. */
export async function answer<Row extends object, Answer>(db: Knex, asked: Asked<Row, Answer>): Promise<Answer> {
  return (await together(db, { asked })).asked;
}

function readAs({ times = [], read }: AnyAsked, rows: Record<string, unknown>[]): unknown {
  for (const row of rows)
    for (const column of times) {
      const text = row[column];
      row[column] = typeof text === 'string' && text !== 'infinity' ? new Date(text) : null;
    }
  return read(rows);
}
