import { writeFileSync } from 'node:fs';
import { connect } from '#server/database';
import { erase, everythingAbout, GONE, personNamed } from '#server/record/aboutPerson';

/** `./person NAME --export FILE`: all that the record holds about somebody. `--erase`: his name goes, what he did stays. */
const [name, what, file] = process.argv.slice(2);
const say = (sentence: string): void => console.log(`  ${sentence}`);

async function run(): Promise<void> {
  if (!name || (what !== '--erase' && !(what === '--export' && file))) throw new Error('Say whom and what: ./person --help');
  const db = connect(process.env.DATABASE_URL ?? '');
  try {
    const whom = await personNamed(db, name);
    if (what === '--export' && file) {
      const all = await everythingAbout(db, whom);
      writeFileSync(file, `${JSON.stringify(all, null, 2)}\n`, { mode: 0o600 });
      return say(`All about ${name} is in ${file}: ${all.written.length} entries that he wrote, ${all.told.length} that tell of him.`);
    }
    const left = await erase(db, whom);
    say(`${name} is “${GONE}” from now on. What he checked and caught stays.`);
    for (const { kind, count } of left) say(`The name still stands in ${count} of kind ${kind}: look at them in the book.`);
    say('Copies that were made before hold the name until they are let go.');
  } finally {
    await db.destroy();
  }
}

run().catch((error: unknown) => {
  console.error(`  Nothing was done: ${(error as Error).message}`);
  process.exit(1);
});
