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

const urlIn = (folder: string, database: string): string => `postgresql://zaprud@/${database}?host=${folder}`;

let made = 0;

/** A new database of a running cluster, as a URL: empty, or a copy of one that nobody has open. */
export async function databaseIn(folder: string, copied = 'template1', name = `t${process.pid}_${(made += 1)}`): Promise<string> {
  const admin = connect(urlIn(folder, 'postgres'));
  await admin.raw(`create database ${name} template ${copied}`);
  await admin.destroy();
  return urlIn(folder, name);
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
  return {
    folder,
    start,
    stop,
    /** An empty database of its own, as a URL. */
    database: (): Promise<string> => databaseIn(folder),
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
