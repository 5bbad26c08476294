import type { Knex } from 'knex';
import type { Body, Kind } from '#core/record/kinds';
import type { Entry } from '../repositories/entries';
import { apply } from './apply';
import { fold } from './write';

/** The tables of current truth, children before parents. */
export const TRUTH = [
  'catch',
  'check_device',
  'check_visit',
  'reading',
  'logged_point',
  'logged',
  'forecast',
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
    const entries: Entry[] = await trx('entry').where({ state: 'applied' }).orderBy('seq');
    const past = new Map<string, Entry[]>();
    for (const entry of entries) {
      const key = `${entry.crew_id} ${entry.subject}`;
      const own = [...(past.get(key) ?? []), entry];
      past.set(key, own);
      await apply(trx, entry.kind, entry.subject, fold(own) as Body<Kind> | null, { crew: entry.crew_id, entry: entry.id });
    }
    return entries.length;
  });
}
