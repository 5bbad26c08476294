import { demoState, loadDemo } from '../db/demo/load';
import { migrate, wipe } from '../db/migrate';
import { now } from '#server/clock';
import { connect } from '#server/database';

/**
 * Brings the database named by DATABASE_URL to where the program can use it: shape, then demo.
 * `--fresh` reloads the demo from nothing, `--no-demo` leaves an empty record empty.
 */
async function prepare(flags: Set<string>): Promise<void> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set');
  const db = connect(url);
  try {
    if (flags.has('--fresh')) await wipe(db);
    const done = await migrate(db);
    if (done.length > 0) say(`Brought the record to its newest shape (${done.length} ${done.length === 1 ? 'step' : 'steps'}).`);
    await demo(db, flags);
    await letProgramIn(db, process.env.ZAPRUD_PROGRAM_PASSWORD);
  } finally {
    await db.destroy();
  }
}

/** The program's own sign-in to the database, as the role that owns nothing. The password is ours and hexadecimal. */
async function letProgramIn(db: ReturnType<typeof connect>, password: string | undefined): Promise<void> {
  if (password && /^[0-9a-f]+$/.test(password)) await db.raw(`alter role zaprud_program login password '${password}'`);
}

async function demo(db: ReturnType<typeof connect>, flags: Set<string>): Promise<void> {
  const state = await demoState(db, now());
  const empty = !(await db('entry').first('id'));
  if (flags.has('--no-demo')) return say(empty ? 'The record is empty, as asked.' : 'The record keeps what it holds.');
  if (state === 'fresh') return say('The demo is of today.');
  if (state === 'touched') return say('The record holds your own changes: the demo is left as it is. `./start --fresh` reloads it.');
  if (state === 'none' && !empty) return say('The record holds your own data: no demo is loaded.');
  if (state === 'old') {
    await wipe(db);
    await migrate(db);
  }
  const written = await loadDemo(db, now());
  say(`Loaded the demo, told from today: ${written} entries. Its weather, gauges and people are invented.`);
}

const say = (sentence: string): void => console.log(`  ${sentence}`);

prepare(new Set(process.argv.slice(2))).catch((error: unknown) => {
  const { code, message } = error as { code?: string; message: string };
  const words: Record<string, string> = {
    ECONNREFUSED: 'No PostgreSQL answers at that address. Is it running, and is DATABASE_URL right?',
    ENOENT: 'No PostgreSQL answers at that socket. Is it running, and is DATABASE_URL right?',
    '28P01': 'PostgreSQL refuses the name or password in DATABASE_URL.',
    '28000': 'PostgreSQL refuses the name in DATABASE_URL.',
    '3D000': 'There is no such database. Create it first, or correct the name in DATABASE_URL.',
    '42501': 'The user in DATABASE_URL may not create tables or extensions: it has to own the database.',
    ENOTFOUND: 'The host in DATABASE_URL is not known.',
  };
  console.error(`  ${words[code ?? ''] ?? `The record could not be prepared: ${message}`}`);
  process.exit(1);
});
