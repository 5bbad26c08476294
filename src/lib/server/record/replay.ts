import type { Knex } from 'knex';
import type { Body, Kind } from '#core/record/kinds';
import { fold } from '#core/record/fold';
import { modern, type Entry } from '../repositories/entries';
import { apply } from './apply';

/** The tables of current truth, children before parents. */
export const TRUTH = [
  'duty',
  'interview',
  'reply',
  'left_word',
  'day_share',
  'colony',
  'catch',
  'check_device',
  'check_visit',
  'reading',
  'logged_point',
  'logged',
  'forecast',
  'told_rise',
  'ice',
  'weather',
  'sign',
  'station_level',
  'camera_event',
  'camera',
  'survey',
  'earlier',
  'intent',
  'opening',
  'stock_move',
  'stock',
  'kit',
  'ground',
  'stay',
  'setting',
  'trap_set',
  'device',
  'line',
  'rulebook',
  'station',
  'gauge',
  'water',
  'site',
  'person',
  'crew',
] as const;

/** Empties the tables of current truth and writes them anew from the entries alone, in the order they came. */
export async function replay(db: Knex): Promise<number> {
  return db.transaction(async (trx) => {
    await trx.raw('set constraints all deferred');
    for (const table of TRUTH) await trx(table).delete();
    const crews: { crew_id: string }[] = await trx('entry').distinct('crew_id');
    const written: Entry[] = (
      await Promise.all(
        crews.map(async ({ crew_id }) => modern(trx, crew_id, await trx('entry').where({ state: 'applied', crew_id }).orderBy('seq'))),
      )
    ).flat();
    const past = new Map<string, Entry[]>();
    for (const entry of written.sort((a, b) => a.seq - b.seq)) {
      const key = `${entry.crew_id} ${entry.kind} ${entry.subject}`;
      const own = [...(past.get(key) ?? []), entry];
      past.set(key, own);
      await apply(trx, entry.kind, entry.subject, fold(own) as Body<Kind> | null, { crew: entry.crew_id, entry: entry.id });
    }
    return written.length;
  });
}

/** What the tables of current truth hold, as one digest a table: two records with equal digests say the same. */
export async function digests(db: Knex): Promise<Record<string, string>> {
  const found: Record<string, string> = {};
  for (const table of TRUTH) {
    const { rows } = await db.raw<{ rows: { digest: string }[] }>(
      `select md5(coalesce(string_agg(line, E'\\n' order by line), '')) as digest from (select to_jsonb(t)::text as line from ?? as t) as lines`,
      [table],
    );
    found[table] = rows[0]?.digest ?? '';
  }
  return found;
}
