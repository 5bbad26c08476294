import type { Gauge } from '#core/record/kinds';
import { elevationOf } from '#core/water/gauge';
import { levelAt, UNKNOWN, type Moment, type Surfaces } from '#core/water/levelAt';
import type { Reading } from '#core/water/series';
import type { Facts } from './facts';
import { hungOn, momentKey } from './packed';

const boardKey = ({ water, surface }: Pick<Moment, 'water' | 'surface'>): string => `${water} ${surface}`;

/** The gauge readings that moments rest on, one a gauge and moment. */
export function wantedOf(gauges: readonly Gauge[], moments: readonly Moment[]): Map<string, { gauge: string; at: Date }> {
  const boards = new Map(gauges.map((g) => [boardKey(g), g]));
  const wanted = new Map<string, { gauge: string; at: Date }>();
  for (const moment of moments) {
    const gauge = boards.get(boardKey(moment))?.id;
    const at = new Date(moment.at);
    if (gauge) wanted.set(momentKey(gauge, at), { gauge, at });
  }
  return wanted;
}

/** Surfaces told by what a question answers of the readings of a gauge beside a moment. */
export function surfacesBy(gauges: readonly Gauge[], readingsOf: (gauge: string, at: Date) => readonly Reading[]): Surfaces {
  const boards = new Map(gauges.map((g) => [boardKey(g), g]));
  return {
    at: (water, surface, at) => {
      const gauge = boards.get(boardKey({ water, surface }));
      const when = new Date(at);
      return gauge ? levelAt(readingsOf(gauge.id, when), when) : UNKNOWN;
    },
    elevation: (water, surface, at, shown) => elevationOf(boards.get(boardKey({ water, surface })), shown, new Date(at).getTime()),
  };
}

/** No level is ever guessed from what happens to be in hand. */
export const notLoaded = (gauge: string, at: Date): RangeError =>
  new RangeError(`the level of gauge ${gauge} at ${at.toISOString()} was not loaded`);

/**
 * Where surfaces stood, by the readings beside each moment of the facts; of any moment of the last weeks, by all that were read since then.
 *
 * @returns surfaces that throw a RangeError when asked of an older moment that was not loaded
 */
export function surfacesOf({ boards, beside, packed, since }: Pick<Facts, 'boards' | 'beside' | 'packed' | 'since'>): Surfaces {
  let lately: Record<string, Reading[]> | null = null;
  return surfacesBy(boards, (gauge, at) => {
    const own = beside.get(momentKey(gauge, at));
    if (own) return own;
    if (at < since) throw notLoaded(gauge, at);
    lately ??= Object.fromEntries(
      Object.entries(hungOn(boards, packed)).map(([id, readings]) => [id, readings.filter((r) => r.bound === 'exact')]),
    );
    return lately[gauge] ?? [];
  });
}
