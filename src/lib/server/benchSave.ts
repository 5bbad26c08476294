import { benchEntries, fieldOfBench } from '#lib/bench/entries';
import type { BenchWrite } from '#lib/bench/readBench';
import type { Reader } from '#lib/form/reader';
import type { Season } from '#lib/season/season';
import { db } from './database';
import { attempt } from './form';
import { keepAfter } from './keepForecasts';
import { record } from './record/write';

/** Writes a set of the bench with the readings taken beside it, all or none; the refusal when the record does not take it. */
export async function saveBench(read: Reader, written: BenchWrite, season: Season, locals: App.Locals) {
  const entries = benchEntries(read, written, season, locals.who);
  const result = await attempt(read, () => record(db(), ...entries), fieldOfBench);
  if ('failure' in result) return result.failure;
  if (result.done === 'written') await keepAfter(locals, entries);
  return null;
}
