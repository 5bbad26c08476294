import { replayBeside } from '#server/record/beside';
import { connect } from '#server/database';

/** `npm run replay`: rebuilds the tables of current truth from the entries alone beside the present ones, compares them, and prints one digest. */
const url = process.env.DATABASE_URL;
if (!url) {
  console.error('  DATABASE_URL is not set: name the database of the record.');
  process.exit(1);
}
const db = connect(url);
try {
  const { entries, digest, differing } = await replayBeside(db, (searchPath) => connect(url, searchPath));
  console.log(`  ${entries} entries replayed. Digest ${digest}`);
  if (differing.length > 0) {
    console.error(`  These tables differ from what the entries say: ${differing.join(', ')}.`);
    process.exitCode = 1;
  } else console.log('  The tables are what the entries say.');
} finally {
  await db.destroy();
}
