import assert from 'node:assert/strict';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync, chmodSync } from 'node:fs';
import { createServer, type Server } from 'node:net';
import { after, before, describe, it } from 'node:test';
import { freePort } from '../support/server';

const asRoot = process.getuid?.() === 0;
let home: string;
let port: number;
let env: NodeJS.ProcessEnv;

before(async () => {
  home = mkdtempSync('/tmp/zph');
  chmodSync(home, 0o755);
  port = await freePort();
  env = { ...process.env, PORT: String(port), ZAPRUD_PG_PORT: String(await freePort()), ZAPRUD_HOME: `${home}/record` };
});
after(() => rmSync(home, { recursive: true, force: true }));

/** What ./start prints when it does not open, and its code. */
function refusal(words: string[], over: NodeJS.ProcessEnv = {}, cwd = process.cwd()): { code: number | null; text: string } {
  const done = spawnSync(`${process.cwd()}/start`, words, {
    env: { ...env, ...over },
    cwd,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
    timeout: 90_000,
  });
  return { code: done.status, text: done.stdout + done.stderr };
}

/** What ./backup or ./restore prints, and its code. */
function run(script: 'backup' | 'restore', ...words: string[]): { code: number | null; text: string } {
  const done = spawnSync(`${process.cwd()}/${script}`, words, { env, cwd: home, encoding: 'utf8', timeout: 90_000 });
  return { code: done.status, text: done.stdout + done.stderr };
}

/** ./start under a pseudo terminal, until it is open; its screen, and a way to press keys. */
async function open(words: string[] = [], over: NodeJS.ProcessEnv = {}, cwd = process.cwd()) {
  const child: ChildProcess = spawn('script', ['-qfec', [`${process.cwd()}/start`, ...words].join(' '), '/dev/null'], {
    env: { ...env, ...over },
    cwd,
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  let screen = '';
  const ended = new Promise<void>((resolve) => child.on('exit', () => resolve()));
  const opened = new Promise<void>((resolve, reject) => {
    child.stdout?.on('data', (text: Buffer) => {
      screen += String(text);
      if (screen.includes('open at')) resolve();
    });
    child.on('exit', () => reject(new Error(`it ended: ${screen}`)));
  });
  await opened;
  return {
    screen: () => screen,
    async press(key: string): Promise<void> {
      child.stdin?.write(key);
      await ended;
    },
  };
}

/** Processes that still run with this test's record or port. */
const left = (): string => spawnSync('pgrep', ['-fa', `${home}/record`], { encoding: 'utf8' }).stdout.trim();
const answers = (): Promise<number> =>
  fetch(`http://127.0.0.1:${port}/morning`).then(
    (r) => r.status,
    () => 0,
  );

function block(taken: number): Promise<Server> {
  return new Promise((resolve) => {
    const server = createServer();
    server.listen(taken, '127.0.0.1', () => resolve(server));
  });
}

describe('./start', () => {
  it('opens from any folder, twice in a row, and Ctrl-C stops both servers cleanly', async () => {
    const first = await open([], {}, '/');
    assert.match(first.screen(), /Making the record in/);
    assert.match(first.screen(), /Loaded the demo/);
    assert.equal(await answers(), 200);
    await first.press('\x03');
    assert.match(first.screen(), /Stopped; the record is kept in/);
    assert.equal(left(), '');
    assert.equal(await answers(), 0);

    const second = await open();
    assert.match(second.screen(), /The record is in/);
    assert.match(second.screen(), /The demo is of today/);
    assert.equal(await answers(), 200);
    const another = refusal([]);
    assert.notEqual(another.code, 0);
    assert.match(another.text, /already starting or running/);
    // a copy is made and put back while it runs, and made again when it does not
    const copy = `${home}/copy.gz`;
    const made = run('backup', copy);
    const digest = /Digest ([0-9a-f]{16})/.exec(made.text)?.[1];
    assert.equal(made.code, 0, made.text);
    assert.ok(digest);
    const back = run('restore', copy);
    assert.equal(back.code, 0, back.text);
    assert.match(back.text, new RegExp(`Digest ${digest}, as when the copy was made`));
    assert.equal(await answers(), 200);
    await second.press('\x03');
    assert.equal(left(), '');
    assert.match(run('backup', '--into', `${home}/days`).text, new RegExp(`Digest ${digest}`));
    assert.equal(left(), '', 'what was started for it is stopped again');
    writeFileSync(copy, 'hello');
    assert.match(run('restore', copy).text, /Nothing was restored. It is broken/);
    assert.match(run('restore').text, /Say which/);
    assert.equal(run('backup', `${home}/nowhere/x.gz`).code, 1);
    assert.equal(left(), '');
  });

  it('a taken port is said in words, for the page and for the record, and nothing stays behind', async () => {
    const page = await block(port);
    const taken = refusal([]);
    page.close();
    assert.notEqual(taken.code, 0);
    assert.match(taken.text, new RegExp(`Port ${port} is taken by another program`));
    assert.doesNotMatch(taken.text, /\n\s+at /);
    assert.equal(left(), '');
    const record = await block(Number(env.ZAPRUD_PG_PORT));
    const other = refusal([]);
    record.close();
    assert.match(other.text, /which the record wants, is taken/);
    assert.equal(left(), '');
  });

  it('a mark that a crash left behind does not block it', async () => {
    const version = spawnSync('sh', ['-c', `ls -d ${home}/record/pg*`], { encoding: 'utf8' }).stdout.trim();
    const mark = `${version}/postmaster.pid`;
    assert.ok(!existsSync(mark));
    writeFileSync(mark, `${process.pid}\n${version}\n1700000000\n5432\n\n127.0.0.1\n`);
    chmodSync(mark, 0o644);
    const opened = await open();
    assert.match(opened.screen(), /earlier crash/);
    await opened.press('\x03');
    assert.equal(left(), '');
  });

  it('--no-demo keeps what is there; --fresh asks, and without a terminal wants --yes', async () => {
    assert.match(refusal(['--fresh']).text, /--fresh --yes/);
    assert.match(refusal(['--nonsense']).text, /does not know “--nonsense”/);
    assert.match(refusal([], { PORT: 'abc' }).text, /PORT is a number/);
    const opened = await open(['--fresh', '--yes', '--no-demo']);
    assert.match(opened.screen(), /record is empty, as asked/);
    const page = await fetch(`http://127.0.0.1:${port}/morning`, { redirect: 'manual' });
    assert.equal(page.headers.get('location'), '/begin');
    await opened.press('\x03');
  });

  it('rights that PostgreSQL refuses are said in words', { skip: !asRoot }, () => {
    const version = spawnSync('sh', ['-c', `ls -d ${home}/record/pg*`], { encoding: 'utf8' }).stdout.trim();
    chmodSync(version, 0o777);
    const refused = refusal([]);
    chmodSync(version, 0o700);
    assert.match(refused.text, /wrong owner or rights/);
  });

  it('a record of another PostgreSQL version is said in words', () => {
    const version = spawnSync('sh', ['-c', `ls -d ${home}/record/pg*`], { encoding: 'utf8' }).stdout.trim();
    const mark = `${version}/PG_VERSION`;
    const was = readFileSync(mark, 'utf8');
    writeFileSync(mark, '9\n');
    const refused = refusal([]);
    writeFileSync(mark, was);
    assert.match(refused.text, /another version of PostgreSQL/);
  });

  it('DATABASE_URL replaces the embedded server, and a wrong one gets a sentence', async () => {
    const refused = refusal([], { DATABASE_URL: `postgresql://nobody@127.0.0.1:${await freePort()}/none` });
    assert.notEqual(refused.code, 0);
    assert.match(refused.text, /No PostgreSQL answers at that address/);
    assert.doesNotMatch(refused.text, /\n\s+at |Making the record/);
  });
});
