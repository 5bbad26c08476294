import knexModule, { type Knex } from 'knex';
import pg from 'pg';

const { types } = pg;
const { builtins } = types;
/** node-postgres: a local date stays an ISO string, a bigint a number, `infinity` becomes null (a stay that has not ended). */
types.setTypeParser(builtins.DATE, (text) => text);
types.setTypeParser(builtins.INT8, Number);
types.setTypeParser(builtins.TIMESTAMPTZ, (text) => (text === 'infinity' ? null : new Date(text)));

/** The pool's own words in the log, one line each; a lost connection is no reason for a trace. */
function oneLine(message: unknown): void {
  console.error(`database: ${String(message).split('\n')[0]}`);
}

/** A pool for one database; its tables are looked for in the schemas named, in their order. */
export function connect(url: string, searchPath: string[] = ['public']): Knex {
  return knexModule({
    client: 'pg',
    searchPath,
    // a page asks the same few statements: their plans are kept, and none is worth compiling
    connection: { connectionString: url, connectionTimeoutMillis: 4000, options: '-c plan_cache_mode=force_generic_plan -c jit=off' },
    log: { warn: oneLine, error: oneLine, debug: oneLine, deprecate: oneLine },
    pool: { min: 0, max: 10, acquireTimeoutMillis: 5000 },
  });
}

const statements = new Map<string, string>();

/**
 * A statement whose plan the database keeps for each connection: for the few that every page asks, whose planning costs as much as their answer.
 *
 * @param text what tells it from others; it differs where the statement does
 */
export function prepared<T>(query: Knex.Raw<T>, text: string): Knex.Raw<T> {
  const name = statements.get(text) ?? `page_${statements.size}`;
  statements.set(text, name);
  return query.options({ name });
}

let pool: Knex | undefined;

/** The pool of this server, opened at first use from `DATABASE_URL`. */
export function db(): Knex {
  if (!process.env.DATABASE_URL) throw new Error('DATABASE_URL is not set: start Zaprud with ./start, or name a PostgreSQL database');
  pool ??= connect(process.env.DATABASE_URL);
  return pool;
}

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOENT',
  'EPIPE',
  'ETIMEDOUT',
  '57P01',
  '57P02',
  '57P03',
  '08006',
  '08001',
  '08003',
  '53300',
]);

/** Whether an error means that PostgreSQL cannot be reached, not that it refused something. */
export function isAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code, errors } = error as Error & { code?: string; errors?: unknown[] };
  if (code && AWAY.has(code)) return true;
  if (errors?.some(isAway)) return true;
  return /Connection terminated|Timeout acquiring a connection|timeout expired|Client has encountered a connection error/i.test(
    error.message,
  );
}

export const AWAY_SENTENCE =
  'The record cannot be reached just now, so nothing was saved. What you typed is still here: send it again in a moment.';
