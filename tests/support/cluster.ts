import { execFileSync } from 'node:child_process';
import { chownSync, chmodSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, existsSync } from 'node:fs';
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

/** Puts a disk of its own, of so many megabytes, under a folder. @returns whether this machine lets us */
function mounted(folder: string, megabytes: number): boolean {
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', folder], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
}

/** Gives a folder to whoever PostgreSQL runs as, and to nobody else. */
function own(folder: string): void {
  const number = (flag: string): number => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  if (asRoot) chownSync(folder, number('-u'), number('-g'));
  chmodSync(folder, 0o700);
}

/**
 * A PostgreSQL of the tests' own, on a socket only, in a folder of its own.
 *
 * @param disk megabytes of a disk of its own that can be filled, where this machine lets us make one
 */
export function startCluster(disk = 0) {
  const folder = mkdtempSync('/tmp/zp');
  const hasDisk = disk > 0 && mounted(folder, disk);
  own(folder);
  const data = `${folder}/pg`;
  run('initdb', '-D', data, '-U', 'zaprud', '-E', 'UTF8', '--locale=C.UTF-8', '--auth=trust');
  const begin = (at: string, socket: string) => {
    const settings = `-c listen_addresses= -c unix_socket_directories=${socket} -c fsync=off -c full_page_writes=off`;
    return run('pg_ctl', '-D', at, '-l', `${at}.log`, '-w', '-o', settings, 'start');
  };
  const start = () => begin(data, folder);
  const stop = () => run('pg_ctl', '-D', data, '-m', 'fast', '-w', 'stop');
  const followers: string[] = [];
  start();
  return {
    folder,
    hasDisk,
    start,
    stop,
    /** its first process, of which all others are children */
    pid: (): number => Number(readFileSync(`${data}/postmaster.pid`, 'utf8').split('\n')[0]),
    /** An empty database of its own, as a URL. */
    database: (): Promise<string> => databaseIn(folder),
    /** A replica that follows it by streaming, with all its databases. @param nth names it */
    follow(nth = 1): { url: (of: string) => string; stop: () => void } {
      const at = `${folder}/r${nth}`;
      const socket = `${folder}/s${nth}`;
      run('pg_basebackup', '-D', at, '-h', folder, '-U', 'zaprud', '-X', 'stream', '-c', 'fast', '-R');
      mkdirSync(socket);
      own(socket);
      begin(at, socket);
      followers.push(at);
      return { url: (of) => of.replace(folder, socket), stop: () => void run('pg_ctl', '-D', at, '-m', 'fast', '-w', 'stop') };
    },
    remove(): void {
      for (const at of [...followers, data])
        try {
          run('pg_ctl', '-D', at, '-m', 'immediate', '-w', 'stop');
        } catch {
          // it was stopped already
        }
      if (hasDisk) execFileSync('umount', ['-l', folder], { stdio: 'ignore' });
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export type Cluster = ReturnType<typeof startCluster>;
