import { AsyncLocalStorage } from 'node:async_hooks';
import type { Role } from '#core/door/roles';
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

/** The plans of the few statements that a page asks are kept, and none is worth compiling. */
const PLANS = '-c plan_cache_mode=force_generic_plan -c jit=off';

const pooled = (url: string, options: string, searchPath: string[], pool: Knex.PoolConfig = {}): Knex =>
  knexModule({
    client: 'pg',
    searchPath,
    connection: { connectionString: url, connectionTimeoutMillis: 4000, options },
    log: { warn: oneLine, error: oneLine, debug: oneLine, deprecate: oneLine },
    pool: { min: 0, max: 10, acquireTimeoutMillis: 5000, ...pool },
  });

/** The owner's pool for one database, which sees every crew: for tools and migrations. Tables are looked for in the schemas named, in their order. */
export const connect = (url: string, searchPath: string[] = ['public']): Knex => pooled(url, `${PLANS} -c zaprud.all=on`, searchPath);

/** For whom a statement is asked: a crew, or the door, which tells whose crew a caller is of. */
type Standing = Whom | 'door';

/** A crew, what the one may do who asks, and who that is, where a device was let in for somebody. */
export interface Whom {
  crew: string;
  role: Role;
  person?: string | undefined;
  /** nothing is written, and the copy that follows the record holds what is asked for */
  onReplica?: boolean;
}

const standing = new AsyncLocalStorage<Standing>();

/** Does a piece of work in which the database shows the rows of one crew, and takes no others. A statement goes out when it is awaited: here. */
export const inCrew = <T>({ crew, role, person, onReplica }: Whom, work: () => T | Promise<T>): Promise<T> =>
  standing.run({ crew, role, person, onReplica: onReplica ?? false }, async () => await work());
/** Does what comes before a crew is known: the database shows what opens the door, and nothing of any record. */
export const atDoor = <T>(work: () => T | Promise<T>): Promise<T> => standing.run('door', async () => await work());

/** For whom work is done just now; null where a tool works for nobody. */
export function whomNow(): Whom | null {
  const whom = standing.getStore();
  return typeof whom === 'object' ? whom : null;
}

/** A page's statement may take so long, ms: longer, and it is ended. */
const STATEMENT_LIMIT = 30_000;

interface Raw {
  query(text: string, values?: unknown[]): Promise<{ rows: Record<string, unknown>[] }>;
  standsFor?: string;
}

/**
 * The pool of a server: it works as a role that owns no table, and a connection is told for whom before a statement goes over it. What is
 * asked for nobody gets no row.
 */
export function connectAsProgram(url: string): Knex {
  const knex = pooled(url, `${PLANS} -c statement_timeout=${STATEMENT_LIMIT}`, ['public'], {
    afterCreate: (connection: Raw, done: (error: unknown, connection: Raw) => void) => {
      leaveOwner(connection).then(
        () => done(null, connection),
        (error: unknown) => done(error, connection),
      );
    },
  });
  noteSlow(knex);
  const client = knex.client as { acquireConnection(): Promise<Raw>; releaseConnection(connection: Raw): Promise<void> };
  const acquire = client.acquireConnection.bind(client);
  client.acquireConnection = async () => {
    const connection = await acquire();
    try {
      await standFor(connection, standing.getStore());
    } catch (error) {
      await client.releaseConnection(connection);
      throw error;
    }
    return connection;
  };
  return knex;
}

/** A statement that takes so long is noted, ms: by how it begins, never with what was asked for. */
const SLOW = 1000;

function noteSlow(knex: Knex): void {
  const begun = new Map<string, number>();
  const over = ({ __knexQueryUid: id, sql }: { __knexQueryUid: string; sql: string }): void => {
    const took = performance.now() - (begun.get(id) ?? Infinity);
    begun.delete(id);
    if (took > SLOW) console.error(`slow: ${took.toFixed(0)} ms ${sql.replace(/\s+/g, ' ').slice(0, 120)}`);
  };
  knex.on('query', ({ __knexQueryUid: id }: { __knexQueryUid: string }) => begun.set(id, performance.now()));
  knex.on('query-response', (_, asked: { __knexQueryUid: string; sql: string }) => over(asked));
  knex.on('query-error', (_, asked: { __knexQueryUid: string; sql: string }) => over(asked));
}

const PROGRAM = 'zaprud_program';

/** Where the login owns the tables, it puts that off. */
async function leaveOwner(connection: Raw): Promise<void> {
  const { rows } = await connection.query(
    `select 1 from pg_roles where rolname = '${PROGRAM}' and rolname <> current_user and pg_has_role(current_user, oid, 'member')`,
  );
  if (rows.length > 0) await connection.query(`set role ${PROGRAM}`);
}

async function standFor(connection: Raw, whom: Standing | undefined): Promise<void> {
  const crew = typeof whom === 'object' ? whom.crew : '';
  const door = whom === 'door' ? 'on' : '';
  if (connection.standsFor === `${crew} ${door}`) return;
  await connection.query(`select set_config('zaprud.crew', $1, false), set_config('zaprud.door', $2, false)`, [crew, door]);
  connection.standsFor = `${crew} ${door}`;
}

/** From here on a transaction that was begun at the door works inside one crew, until it ends. */
export const standInside = (trx: Knex, crew: string): Promise<unknown> =>
  trx.raw(`select set_config('zaprud.crew', ?, true), set_config('zaprud.door', '', true)`, [crew]);

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
let replicaPool: Knex | undefined;

/** The pool of a copy that follows the record (`DATABASE_REPLICA_URL`); null where there is none. */
export function replica(): Knex | null {
  if (!process.env.DATABASE_REPLICA_URL) return null;
  return (replicaPool ??= connectAsProgram(process.env.DATABASE_REPLICA_URL));
}

/** The pool of this server, opened at first use from `DATABASE_URL`; of its replica for who reads there. */
export function db(): Knex {
  const following = whomNow()?.onReplica ? replica() : null;
  if (following) return following;
  if (!process.env.DATABASE_URL) throw new Error('DATABASE_URL is not set: start Zaprud with ./start, or name a PostgreSQL database');
  pool ??= connectAsProgram(process.env.DATABASE_URL);
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
  // too many connections, its disk or memory full, its disk broken or read-only, and a statement that took too long
  '53300',
  '53100',
  '53200',
  '58030',
  '25006',
  '57014',
]);

/** Whether an error means that PostgreSQL cannot be reached or can take nothing just now, not that it refused something. */
export function isAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code, severity, errors } = error as Error & { code?: string; severity?: string; errors?: unknown[] };
  if (code && AWAY.has(code)) return true;
  // whatever ends a connection was no fault of what was asked over it
  if (severity === 'FATAL' || severity === 'PANIC') return true;
  if (errors?.some(isAway)) return true;
  return /Connection terminated|Timeout acquiring a connection|timeout expired|Client has encountered a connection error/i.test(
    error.message,
  );
}

export const AWAY_SENTENCE =
  'The record cannot be reached just now, so nothing was saved. What you typed is still here: send it again in a moment.';
