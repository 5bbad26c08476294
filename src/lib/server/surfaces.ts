import type { Gauge } from '#core/record/kinds';
import type { Moment, Surfaces } from '#core/water/levelAt';
import { momentKey } from '#lib/season/packed';
import { notLoaded, surfacesBy, wantedOf } from '#lib/season/surfaces';
import { db } from './database';
import { readingsAround } from './repositories/readings';

/**
 * Where surfaces stood at the moments asked for, each from the readings beside it, however long ago.
 *
 * @returns surfaces that throw a RangeError when asked of a moment that was not loaded
 */
export async function surfacesAt(gauges: readonly Gauge[], moments: readonly Moment[]): Promise<Surfaces> {
  const wanted = wantedOf(gauges, moments);
  const beside = await readingsAround(db(), gauges, [...wanted.values()]);
  return surfacesBy(gauges, (gauge, at) => {
    const key = momentKey(gauge, at);
    if (!wanted.has(key)) throw notLoaded(gauge, at);
    return beside.get(key) ?? [];
  });
}
