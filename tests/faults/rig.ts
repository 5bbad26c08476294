import { spawn, type ChildProcess } from 'node:child_process';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { loadDemo } from '../../db/demo/load';
import { migrate } from '../../db/migrate';
import { seeded } from '#core/sim/random';
import { connect } from '#server/database';
import { replayBeside } from '#server/record/beside';
import { gauges } from '#server/repositories/places';
import { sets } from '#server/repositories/sets';
import { startCluster } from '../support/cluster';
import { freePort, NOW } from '../support/server';
import { Device, newForm, type Line } from './device';

const MEGABYTES = 600;
const HOUR = 3_600_000;

/** One server of two: killed, stopped, moved in time, and always begun again. */
class Server {
  readonly said: string[] = [];
  private child: ChildProcess | undefined;
  private now = NOW;

  private constructor(
    readonly port: number,
    private readonly url: string,
  ) {}

  static async on(url: string): Promise<Server> {
    const server = new Server(await freePort(), url);
    await server.start();
    return server;
  }

  get base(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(now = this.now): Promise<void> {
    this.now = now;
    const env = { ...process.env, PORT: String(this.port), DATABASE_URL: this.url, ZAPRUD_NOW: now };
    const child = spawn(process.execPath, ['serve.mjs'], { env, stdio: ['ignore', 'pipe', 'pipe'] });
    this.child = child;
    await new Promise<void>((resolve) => {
      const hear = (text: Buffer): void => {
        this.said.push(String(text));
        if (String(text).includes('open at')) resolve();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.on('exit', () => resolve());
    });
  }

  signal(signal: NodeJS.Signals): void {
    this.child?.kill(signal);
  }

  async ended(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    await new Promise((resolve) => child.on('exit', resolve));
  }

  /** resident memory, megabytes */
  memory(): number {
    const [, kilobytes = '0'] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.child?.pid ?? 0}/status`, 'utf8')) ?? [];
    return Number(kilobytes) / 1024;
  }
}

/** What was found wrong, and enough to tell how the run went. */
export interface Found {
  wrong: string[];
  faults: Record<string, number>;
  forms: number;
  acknowledged: number;
  held: number;
  hasDisk: boolean;
  /** what the servers themselves did not expect, as they logged it */
  stumbled: string[];
}

/**
 * Two servers and one PostgreSQL of their own under a stream of what devices send, while something breaks at every moment: the same for the
 * same seed, as far as the machine lets it.
 */
export async function rig({ faults, seed, devices: count = 6 }: { faults: number; seed: number; devices?: number }): Promise<Found> {
  const random = seeded(seed);
  const cluster = startCluster(MEGABYTES);
  const url = await cluster.database();
  const owner = connect(url);
  await migrate(owner);
  await loadDemo(owner, new Date(NOW));
  const line = await lineOf(owner);
  await owner.destroy();
  const servers = [await Server.on(url), await Server.on(url)] as const;
  const devices = Array.from({ length: count }, () => new Device(random));
  const found: Found = { wrong: [], faults: {}, forms: 0, acknowledged: 0, held: 0, hasDisk: cluster.hasDisk, stumbled: [] };
  const other = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  let isOver = false;

  const work = async (device: Device): Promise<void> => {
    while (!isOver) {
      if (device.waiting.length < 12) device.fill(newForm(line, random));
      const cut = random() < 0.15 ? 5 + random() * 60 : 8000;
      await device.send(other(servers).base, device.some(), cut);
      await wait(20 + random() * 60);
    }
  };
  const look = async (): Promise<void> => {
    while (!isOver) {
      await page(`${other(servers).base}${other(['/morning', '/book', '/waters', '/field/facts'])}`, found.wrong);
      await wait(150);
    }
  };

  const running = [...devices.map(work), look()];
  const mending: Promise<void>[] = [];
  const means = { cluster, servers, devices, url, random, other };
  for (let n = 0; n < faults; n += 1) {
    const name = other(Object.keys(FAULTS).filter((f) => f !== 'fullDisk' || cluster.hasDisk));
    found.faults[name] = (found.faults[name] ?? 0) + 1;
    const mended = FAULTS[name]?.(means);
    if (mended) mending.push(mended);
    await wait(60 + random() * 240);
  }
  await Promise.all(mending);
  isOver = true;
  await Promise.all(running);
  await settle(means);
  await judge(means, found);
  for (const server of servers) {
    found.stumbled.push(
      ...server.said
        .join('')
        .split('\n')
        .filter((said) => said.startsWith('[')),
    );
    server.signal('SIGTERM');
    await server.ended();
  }
  cluster.remove();
  return found;
}

interface Means {
  cluster: ReturnType<typeof startCluster>;
  servers: readonly Server[];
  devices: readonly Device[];
  url: string;
  random: () => number;
  other: <T>(list: readonly T[]) => T;
}

/** one at a time: what is being mended is not broken meanwhile */
const busy = new Map<object, Promise<void>>();
function alone(thing: object, work: () => Promise<void>): Promise<void> {
  const next = (busy.get(thing) ?? Promise.resolve()).then(work);
  busy.set(thing, next);
  return next;
}

/** What breaks. Each begins at once, and is mended by itself. */
const FAULTS: Record<string, (means: Means) => Promise<void>> = {
  killServer: ({ servers, other }) => {
    const server = other(servers);
    return alone(server, async () => {
      server.signal('SIGKILL');
      await server.ended();
      await server.start();
    });
  },
  stopServer: ({ servers, other, random }) => {
    const server = other(servers);
    return alone(server, async () => {
      server.signal('SIGSTOP');
      await wait(100 + random() * 900);
      server.signal('SIGCONT');
    });
  },
  moveClock: ({ servers, other, random }) => {
    const server = other(servers);
    // a little back, or up to three days on
    const now = new Date(Date.parse(NOW) + (random() < 0.3 ? -random() : random() * 72) * HOUR).toISOString();
    return alone(server, async () => {
      server.signal('SIGTERM');
      await server.ended();
      await server.start(now);
    });
  },
  killPostgres: ({ cluster }) =>
    alone(cluster, async () => {
      process.kill(cluster.pid(), 'SIGKILL');
      await begun(cluster);
    }),
  stopPostgres: ({ cluster, random }) =>
    alone(cluster, async () => {
      const [pid] = childrenOf(cluster.pid()).sort(() => random() - 0.5);
      if (pid === undefined) return;
      signal(pid, 'SIGSTOP');
      await wait(100 + random() * 900);
      signal(pid, 'SIGCONT');
    }),
  cutConnections: ({ cluster, url }) =>
    alone(cluster, async () => {
      const db = connect(url);
      await db
        .raw('select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and datname = current_database()')
        .catch(() => undefined);
      await db.destroy();
    }),
  fullDisk: ({ cluster, random }) =>
    alone(cluster, async () => {
      const ballast = `${cluster.folder}/ballast`;
      try {
        for (let n = 0; ; n += 1) writeFileSync(`${ballast}${n}`, Buffer.alloc(16 << 20));
      } catch {
        // now it is full
      }
      await wait(200 + random() * 600);
      for (const name of readdirSync(cluster.folder)) if (name.startsWith('ballast')) rmSync(`${cluster.folder}/${name}`);
      await begun(cluster);
    }),
  sendAgain: async ({ devices, servers, other, random }) => {
    const device = other(devices);
    const form = other([...device.done, ...device.waiting]);
    if (!form) return;
    await Promise.all(Array.from({ length: 2 + Math.floor(random() * 18) }, () => device.send(other(servers).base, [form], 8000)));
  },
};

function signal(pid: number, name: NodeJS.Signals): void {
  try {
    process.kill(pid, name);
  } catch {
    // it ended meanwhile
  }
}

const childrenOf = (pid: number): number[] =>
  readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').filter(Boolean).map(Number);

/** Begins PostgreSQL again until it answers: after a crash its children take a moment to leave. */
async function begun(cluster: Means['cluster']): Promise<void> {
  for (let tried = 0; tried < 60; tried += 1) {
    try {
      cluster.start();
      return;
    } catch (error) {
      if (/another server might be running|already running/i.test(String((error as { stderr?: string }).stderr ?? error))) {
        const db = connect(`postgresql://zaprud@/postgres?host=${cluster.folder}`);
        const isUp = await db.raw('select 1').then(
          () => true,
          () => false,
        );
        await db.destroy();
        if (isUp) return;
      }
      await wait(200);
    }
  }
  throw new Error('PostgreSQL did not begin again');
}

async function page(address: string, wrong: string[]): Promise<void> {
  try {
    const answer = await fetch(address, { headers: { accept: 'text/html' }, signal: AbortSignal.timeout(20_000) });
    const text = await answer.text();
    if (![200, 503].includes(answer.status)) wrong.push(`${new URL(address).pathname} answered ${answer.status}: ${text.slice(0, 200)}`);
    const isWhole = address.endsWith('/facts') ? /^[[{"n].*[\]}"l]$/s.test(text) : text.trimEnd().endsWith('</html>');
    if (answer.status === 200 && !isWhole) wrong.push(`${address} ended with ${text.slice(-80)}`);
  } catch {
    // not reached, or cut: a browser says so
  }
}

async function lineOf(db: ReturnType<typeof connect>): Promise<Line> {
  const who = (await db('person').where({ name: 'Wren Ostby' }).first('id', 'crew_id')) as { id: string; crew_id: string };
  const live = await sets(db, who.crew_id, { states: ['live'] });
  return { person: who.id, gauges: (await gauges(db, who.crew_id)).map((g) => g.id), sets: live };
}

/** Everything stands again, the clocks three days on: every device sends all that it still has, and all that it ever sent. */
async function settle({ servers, devices, cluster }: Means): Promise<void> {
  await begun(cluster);
  for (const server of servers) {
    server.signal('SIGCONT');
    server.signal('SIGTERM');
    await server.ended();
    await server.start(new Date(Date.parse(NOW) + 72 * HOUR).toISOString());
  }
  const [first, second] = servers.map((s) => s.base) as [string, string];
  for (const device of devices) {
    for (let tried = 0; device.waiting.length > 0 && tried < 40; tried += 1) await device.send(first, device.waiting.slice(0, 20), 60_000);
    for (let n = 0; n < device.done.length; n += 40) await device.send(second, device.done.slice(n, n + 40), 60_000);
  }
}

/** Holds what every device was told against what is there. */
async function judge({ devices, servers, url }: Means, found: Found): Promise<void> {
  const db = connect(url);
  const kept = new Map<string, { id: string; body: { level?: number } }>(
    ((await db('entry').select('id', 'body')) as { id: string; body: { level?: number } }[]).map((row) => [row.id, row]),
  );
  const held = new Set<string>(await db('held_entry').pluck('id'));
  for (const device of devices) {
    found.wrong.push(...device.wrong);
    if (device.waiting.length > 0) found.wrong.push(`${device.waiting.length} forms could not be sent to the end`);
    for (const form of device.done) {
      found.forms += 1;
      const where = form.map(({ id }) => (kept.has(id) ? 'book' : held.has(id) ? 'held' : 'nowhere'));
      for (const [nth, { id, kind, body }] of form.entries()) {
        const fate = device.fates.get(id);
        found.acknowledged += 1;
        if (fate === 'held') found.held += 1;
        const isThere = fate === 'held' ? where[nth] !== 'nowhere' : where[nth] === 'book';
        if (!isThere) found.wrong.push(`${kind} ${id} was said to be ${fate}, and is ${where[nth]}`);
        const level = (body as { level?: number }).level;
        if (kind === 'reading' && where[nth] === 'book' && kept.get(id)?.body.level !== level) found.wrong.push(`${id} says another level`);
      }
    }
  }
  const { differing } = await replayBeside(db, (path) => connect(url, path));
  if (differing.length > 0) found.wrong.push(`the tables differ from the entries: ${differing.join(', ')}`);
  const { rows: locks } = await db.raw<{ rows: unknown[] }>(`select 1 from pg_locks where locktype = 'advisory'`);
  if (locks.length > 0) found.wrong.push(`${locks.length} locks are still held`);
  const { rows: open } = await db.raw<{ rows: unknown[] }>(
    `select 1 from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid() and state <> 'idle'`,
  );
  if (open.length > 0) found.wrong.push(`${open.length} statements go on though nobody waits for them`);
  await db.destroy();
  for (const server of servers) if (server.memory() > 700) found.wrong.push(`a server holds ${server.memory().toFixed(0)} MB`);
}
