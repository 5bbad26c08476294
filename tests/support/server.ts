import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { loadDemo } from '../../db/demo/load';
import { migrate } from '../../db/migrate';
import { connect } from '#server/database';
import { startCluster, type Cluster } from './cluster';

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

/** The built program on a cluster of its own, with the demo or an empty record. */
export async function startProgram({ demo }: { demo: boolean }) {
  const cluster: Cluster = startCluster();
  const url = await cluster.database();
  const db = connect(url);
  await migrate(db);
  if (demo) await loadDemo(db, new Date(NOW));
  await db.destroy();
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  let child: ChildProcess;
  const output: string[] = [];
  const start = async (): Promise<void> => {
    child = spawn(process.execPath, ['serve.mjs'], {
      env: { ...process.env, PORT: String(port), DATABASE_URL: url, ZAPRUD_NOW: NOW },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    await new Promise<void>((resolve, reject) => {
      child.stdout?.on('data', (text: Buffer) => {
        output.push(String(text));
        if (String(text).includes('open at')) resolve();
      });
      child.stderr?.on('data', (text: Buffer) => output.push(String(text)));
      child.on('exit', () => reject(new Error(`the server ended: ${output.join('')}`)));
    });
  };
  const stop = (): Promise<void> =>
    new Promise((resolve) => {
      if (child.exitCode !== null) return resolve();
      child.on('exit', () => resolve());
      child.kill('SIGTERM');
    });
  await start();
  return {
    base,
    url,
    cluster,
    output,
    start,
    stop,
    /** ends everything and removes the cluster */
    async end(): Promise<void> {
      await stop();
      cluster.remove();
    },
  };
}

export type Program = Awaited<ReturnType<typeof startProgram>>;
