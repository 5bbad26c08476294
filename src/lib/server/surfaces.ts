import type { Gauge } from '#core/record/kinds';
import { elevationOf } from '#core/water/gauge';
import { levelAt, UNKNOWN, type Moment, type Surfaces } from '#core/water/levelAt';
import type { Reading } from '#core/water/series';
import { db } from './database';
import { momentKey, readingsAround } from './repositories/readings';

/**
 * Where surfaces stood at the moments asked for, each from the readings beside it, however long ago.
 *
 * @returns surfaces that throw a RangeError when asked of a moment that was not loaded: no level is ever guessed from what happens to be in hand
 */
export async function surfacesAt(gauges: readonly Gauge[], moments: readonly Moment[]): Promise<Surfaces> {
  const boards = new Map(gauges.map((g) => [`${g.water} ${g.surface}`, g]));
  const wanted = new Map<string, { gauge: string; at: Date }>();
  for (const { water, surface, at } of moments) {
    const gauge = boards.get(`${water} ${surface}`)?.id;
    const when = new Date(at);
    if (gauge) wanted.set(momentKey(gauge, when), { gauge, at: when });
  }
  const beside = await readingsAround(db(), gauges, [...wanted.values()]);
  return surfacesOf(boards, (gauge, at) => {
    const key = momentKey(gauge, at);
    if (!wanted.has(key)) throw new RangeError(`the level of gauge ${gauge} at ${at.toISOString()} was not loaded`);
    return beside.get(key) ?? [];
  });
}

function surfacesOf(boards: Map<string, Gauge>, readingsOf: (gauge: string, at: Date) => Reading[]): Surfaces {
  return {
    at: (water, surface, at) => {
      const gauge = boards.get(`${water} ${surface}`);
      const when = new Date(at);
      return gauge ? levelAt(readingsOf(gauge.id, when), when) : UNKNOWN;
    },
    elevation: (water, surface, at, shown) => elevationOf(boards.get(`${water} ${surface}`), shown, new Date(at).getTime()),
  };
}
