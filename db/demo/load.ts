import type { Knex } from 'knex';
import { localDate } from '#core/time/localTime';
import { record } from '#server/record/write';
import type { NewEntry } from '#core/record/entry';
import { buildDemo, ZONE } from './build';

/**
 * Loads the demo through the same schemas and repositories as a user's own data.
 *
 * @param now the moment it is told from
 * @returns how many entries it wrote
 */
export async function loadDemo(db: Knex, now: Date, seed?: number): Promise<number> {
  const { crew, entries } = buildDemo(now, seed);
  for (let i = 0; i < entries.length; i += 50) {
    await record(db, ...entries.slice(i, i + 50).map((entry) => ({ ...entry, crew }) as NewEntry));
  }
  const last = await db('entry').max('seq as seq').first();
  await db('note_of_the_house')
    .insert({ key: 'demo', value: JSON.stringify({ date: localDate(now, ZONE), at: now.toISOString(), lastSeq: Number(last?.seq ?? 0) }) })
    .onConflict('key')
    .merge();
  return entries.length;
}

/** How the demo in a database stands: none, touched by the user, old, or of today and untouched. */
export async function demoState(db: Knex, now: Date): Promise<'none' | 'touched' | 'old' | 'fresh'> {
  const note = await db('note_of_the_house').where({ key: 'demo' }).first();
  if (!note) return 'none';
  const { date, lastSeq, at } = note.value as { date: string; lastSeq: number; at: string };
  const last = await db('entry').max('seq as seq').first();
  if (Number(last?.seq ?? 0) !== lastSeq) return 'touched';
  const aged = now.getTime() - new Date(at).getTime() > 3 * 3_600_000;
  return date !== localDate(now, ZONE) || aged ? 'old' : 'fresh';
}
