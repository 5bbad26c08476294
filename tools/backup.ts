import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { connect } from '#server/database';
import { dump } from '#server/record/dump';
import { goes, nameOf, timeOf } from '#server/record/keepDumps';
import { diskSentence } from './diskSentence';

/**
 * `./backup [file]`: a copy of the whole record while it is in use. `--crew NAME` takes one crew alone, `--into FOLDER` names the file by the
 * moment and lets old ones go by the rule, `--daily` goes on doing so.
 */
const HOUR = 3_600_000;
const [first, ...more] = process.argv.slice(2);
const words = [first, ...more].filter((w): w is string => w !== undefined);
const after = (flag: string): string | undefined => (words.includes(flag) ? words[words.indexOf(flag) + 1] : undefined);
const folder = after('--into');
const crewName = after('--crew');
const isDaily = words.includes('--daily');
const taken = new Set([folder, crewName]);
const file = words.find((w) => !w.startsWith('--') && !taken.has(w));
const say = (sentence: string): void => console.log(`  ${sentence}`);

async function once(path: string): Promise<void> {
  const db = connect(process.env.DATABASE_URL ?? '');
  try {
    const crew = crewName ? await crewId(db, crewName) : null;
    const head = await dump(db, path, crew);
    say(`${head.entries} entries of ${head.crews.map((c) => c.name).join(', ') || 'no crew'} are in ${path}.`);
    if (head.digest) say(`Digest ${head.digest}: a restore prints the same.`);
  } finally {
    await db.destroy();
  }
}

async function crewId(db: ReturnType<typeof connect>, name: string): Promise<string> {
  const found = (await db('crew').where({ name }).first('id')) as { id: string } | undefined;
  if (found) return found.id;
  const all = (await db('crew').select('name')) as { name: string }[];
  throw new Error(`There is no crew “${name}” here. There is: ${all.map((c) => c.name).join(', ') || 'none'}.`);
}

async function into(into_: string): Promise<void> {
  mkdirSync(into_, { recursive: true });
  await once(join(into_, nameOf(new Date())));
  for (const old of goes(readdirSync(into_), new Date())) rmSync(join(into_, old));
}

async function daily(into_: string): Promise<never> {
  for (;;) {
    const newest = existsSync(into_) ? Math.max(0, ...readdirSync(into_).flatMap((n) => timeOf(n)?.getTime() ?? [])) : 0;
    if (Date.now() - newest > 20 * HOUR)
      await into(into_).catch((error: unknown) => console.error(`  No copy was made: ${diskSentence(error)}`));
    await new Promise((wait) => setTimeout(wait, HOUR));
  }
}

const run = isDaily && folder ? daily(folder) : folder ? into(folder) : once(file ?? nameOf(new Date()));
run.catch((error: unknown) => {
  console.error(`  No copy was made: ${diskSentence(error)}`);
  process.exit(1);
});
