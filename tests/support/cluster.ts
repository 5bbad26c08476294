import { execFileSync } from 'node:child_process';
import { chownSync, chmodSync, mkdtempSync, readdirSync, rmSync, existsSync } from 'node:fs';
import { connect } from '#server/database';

const asRoot = process.getuid?.() === 0;

/** The newest PostgreSQL on this machine. */
function binaries(): string {
  const home = '/usr/lib/postgresql';
  const newest = existsSync(home) ? readdirSync(home).sort((a, b) => Number(b) - Number(a))[0] : undefined;
  return newest ? `${home}/${newest}/bin` : '';
}

/** Runs a program of PostgreSQL, as the user postgres when we are root. */
function run(program: string, ...words: string[]): string {
  const path = binaries() ? `${binaries()}/${program}` : program;
  const [command, ...rest] = asRoot ? ['runuser', '-u', 'postgres', '--', path, ...words] : [path, ...words];
  return execFileSync(command ?? path, rest, { cwd: '/', encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });
}

/** A PostgreSQL of the tests' own, on a socket only, in a folder of its own. */
export function startCluster() {
  const folder = mkdtempSync('/tmp/zp');
  if (asRoot) {
    const number = (flag: string): number => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
    chownSync(folder, number('-u'), number('-g'));
  }
  chmodSync(folder, 0o700);
  const data = `${folder}/pg`;
  run('initdb', '-D', data, '-U', 'zaprud', '-E', 'UTF8', '--locale=C.UTF-8', '--auth=trust');
  const start = () =>
    run(
      'pg_ctl',
      '-D',
      data,
      '-l',
      `${folder}/log`,
      '-w',
      '-o',
      `-c listen_addresses= -c unix_socket_directories=${folder} -c fsync=off -c full_page_writes=off`,
      'start',
    );
  const stop = () => run('pg_ctl', '-D', data, '-m', 'fast', '-w', 'stop');
  start();
  let made = 0;
  return {
    folder,
    start,
    stop,
    url: (database: string): string => `postgresql://zaprud@/${database}?host=${folder}`,
    /** An empty database of its own, as a URL. */
    async database(): Promise<string> {
      made += 1;
      const name = `t${process.pid}_${made}`;
      const admin = connect(this.url('postgres'));
      await admin.raw(`create database ${name}`);
      await admin.destroy();
      return this.url(name);
    },
    remove(): void {
      try {
        run('pg_ctl', '-D', data, '-m', 'immediate', '-w', 'stop');
      } catch {
        // it was stopped already
      }
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export type Cluster = ReturnType<typeof startCluster>;
