import { weigh } from './weigh';
import type { Carried, Needed } from './carry';

/** How many more of a kind of set can be made of what is left. */
export interface More {
  count: number;
  /** what there is too little of for one more; `weight` where it is what carries it */
  ends: string;
}

const wanted = ({ amount, count }: Carried): number => amount ?? count;

/**
 * How many more sets like one can be made of what the shed keeps beyond a load, and what ends it.
 *
 * @param one what one such set takes, against the whole shed
 * @param load what is on the load already
 * @param room kg that may still be carried; null for no bound
 * @returns null where nothing that it takes is kept by count
 */
export function moreOf(one: readonly Needed[], load: readonly Carried[], room: number | null): More | null {
  const bounds = one.flatMap((item) => {
    if (item.have === null || item.kind === 'tool') return [];
    const taken = load.filter((l) => l.kind === item.kind && l.what === item.what).reduce((sum, l) => sum + wanted(l), 0);
    return [{ count: Math.max(0, Math.floor((item.have - taken) / wanted(item) + 1e-9)), ends: item.what }];
  });
  if (bounds.length === 0) return null;
  const { total } = weigh(one.filter(({ kind }) => kind !== 'tool'));
  const byWeight = room === null || total <= 0 ? [] : [{ count: Math.max(0, Math.floor(room / total + 1e-9)), ends: 'weight' }];
  return [...bounds, ...byWeight].reduce((least, bound) => (bound.count < least.count ? bound : least));
}

/** What a set takes after it is put lower or higher that it does not have yet: a longer pole, another stake. */
export function brought(before: readonly Carried[], after: readonly Carried[]): Carried[] {
  return after.flatMap((item) => {
    if (item.kind === 'tool' || item.kind === 'bait' || item.kind === 'lure') return [];
    const had = before.find((b) => b.kind === item.kind && b.what === item.what);
    const more = wanted(item) - (had ? wanted(had) : 0);
    if (more <= 1e-6) return [];
    return [item.amount === undefined ? { ...item, count: more } : { ...item, amount: more }];
  });
}
