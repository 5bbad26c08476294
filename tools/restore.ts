import { readdirSync } from 'node:fs';
import { demoState } from '../db/demo/load';
import { migrate } from '../db/migrate';
import { now } from '#server/clock';
import { connect } from '#server/database';
import { dump, headOfDump, Unusable } from '#server/record/dump';
import { nameOf } from '#server/record/keepDumps';
import { besideDump, restore } from '#server/record/restore';
import { many } from '#core/units/many';
import { diskSentence } from './diskSentence';

/**
 * `./restore file`: puts a copy in the place of the record, while it is in use. What it would lose it does not do: `--instead` does it, after a
 * copy of what is here.
 */
const words = process.argv.slice(2);
const path = words.find((w) => !w.startsWith('--'));
const isInstead = words.includes('--instead');
const url = process.env.DATABASE_URL ?? '';
const say = (sentence: string): void => console.log(`  ${sentence}`);
const steps = readdirSync(new URL('../db/migrations', import.meta.url))
  .filter((n) => n.endsWith('.ts'))
  .sort();

async function run(file: string): Promise<void> {
  const db = connect(url);
  try {
    await headOfDump(file, steps);
    await migrate(db);
    const state = await demoState(db, now());
    const { onlyHere, onlyThere, crews } = await besideDump(db, file);
    const isOwn = onlyHere > 0 && state !== 'fresh' && state !== 'old';
    if (isOwn && !isInstead)
      throw new Unusable(
        `The record here (${crews.join(', ')}) holds ${many(onlyHere, 'entry', 'entries')} that the copy does not, so nothing was changed. ` +
          './restore FILE --instead takes a copy of it first and then puts the other in its place.',
      );
    if (isOwn) {
      const kept = `before-${nameOf(new Date())}`;
      await dump(db, kept);
      say(`What was here is kept in ${kept}.`);
    }
    const { head, digest } = await restore(db, file, { connectTo: (searchPath) => connect(url, searchPath), migrate, steps });
    say(
      `${many(head.entries, 'entry', 'entries')} of ${head.crews.map((c) => c.name).join(', ')} are the record now; ${onlyThere} of them were not here.`,
    );
    say(`Digest ${digest}${head.digest === digest ? ', as when the copy was made' : ''}. Who may come in here stays as it was.`);
  } finally {
    await db.destroy();
  }
}

if (!path) {
  console.error('  Say which: ./restore FILE');
  process.exit(1);
}
run(path).catch((error: unknown) => {
  console.error(`  Nothing was restored. ${error instanceof Unusable ? error.message : `It failed: ${diskSentence(error)}`}`);
  process.exit(1);
});
