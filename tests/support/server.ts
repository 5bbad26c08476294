import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';
import { loadDemo } from '../../db/demo/load';
import { migrate } from '../../db/migrate';
import { connect } from '#server/database';
import { databaseIn, startCluster, type Cluster } from './cluster';

/** The moment that every test of the interface is told from: 05:22 at the line. */
export const NOW = '2026-11-25T11:22:00Z';

/** A port that nobody listens on. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** A record in a database: migrated, and with the demo where it is wanted. */
export async function fill(url: string, demo: boolean): Promise<string> {
  const db = connect(url);
  await migrate(db);
  if (demo) await loadDemo(db, new Date(NOW));
  await db.destroy();
  return url;
}

/** Where a cluster stands whose records many programs copy; its folder is told to the processes of the suite here. */
export const SHARED = 'ZAPRUD_TEST_CLUSTER';
const recordOf = (demo: boolean): string => (demo ? 'record_with_demo' : 'record_empty');

/** A cluster with both records, filled once for a whole suite: a copy of them costs a tenth of filling them. */
export async function shareRecords(): Promise<() => void> {
  const cluster = startCluster();
  for (const demo of [true, false]) await fill(await databaseIn(cluster.folder, 'template1', recordOf(demo)), demo);
  process.env[SHARED] = cluster.folder;
  return () => cluster.remove();
}

/** So many servers behind one address: `ZAPRUD_TEST_SERVERS=2` runs any suite on two that share nothing but their record. */
const SERVERS = Number(process.env.ZAPRUD_TEST_SERVERS ?? 1);
const SEVERAL = fileURLToPath(new URL('several.mjs', import.meta.url));

/** A server of the built program, once it listens. */
async function began(
  port: number,
  { url, now, folder, env }: { url: string; now: string; folder: string; env: Record<string, string> },
  output: string[],
): Promise<ChildProcess> {
  const words = SERVERS === 1 ? ['serve.mjs'] : [SEVERAL, String(SERVERS)];
  const child = spawn(process.execPath, words, {
    cwd: folder,
    env: { ...process.env, ...env, PORT: String(port), DATABASE_URL: url, ZAPRUD_NOW: now },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => {
      output.push(String(text));
      if (String(text).includes('open at')) resolve();
    });
    child.stderr.on('data', (text: Buffer) => output.push(String(text)));
    child.on('exit', () => reject(new Error(`the server ended: ${output.join('')}`)));
  });
  return child;
}

const ended = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) => {
    if (child.exitCode !== null) return resolve();
    child.on('exit', () => resolve());
    child.kill('SIGTERM');
  });

interface Wanted {
  demo: boolean;
  own?: boolean;
  env?: Record<string, string>;
  /** a record that is there already, as a URL */
  at?: string;
}

/** The built program with the demo or an empty record, on a copy of the shared records, or where there are none (or `own` is wanted) on a cluster of its own. */
export async function startProgram({ demo, own = false, env = {}, at }: Wanted) {
  const shared = own ? undefined : process.env[SHARED];
  const cluster: Cluster | null = shared || at ? null : startCluster();
  const url = at ?? (shared ? await databaseIn(shared, recordOf(demo)) : await fill(await (cluster as Cluster).database(), demo));
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  let child: ChildProcess;
  const output: string[] = [];
  /** @param folder where its build lies: another than this one is another version */
  const start = async (now = NOW, folder = process.cwd()): Promise<void> => {
    child = await began(port, { url, now, folder, env }, output);
  };
  const stop = (): Promise<void> => ended(child);
  await start();
  return {
    base,
    url,
    output,
    start,
    stop,
    /** its PostgreSQL, where it has one of its own */
    postgres(): Cluster {
      if (!cluster) throw new Error('this program shares its PostgreSQL with others');
      return cluster;
    },
    /** ends everything and removes the cluster */
    async end(): Promise<void> {
      await stop();
      cluster?.remove();
    },
  };
}

export type Program = Awaited<ReturnType<typeof startProgram>>;
