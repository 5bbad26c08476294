import { START, type Run } from './tour';

/** Stops that keep together: what the person pinned, in the order he wants it. */
export interface Chains {
  /** begun with, and ended with; indices of stops */
  head: number[];
  tail: number[];
  /** the rest, each visited as a whole */
  free: number[][];
}

/** The chains of a run. A pin that leads back to itself or names no stop holds nothing. */
export function chainsOf({ stops }: Pick<Run, 'stops'>): Chains {
  const indexOf = new Map(stops.map((s, i) => [s.id, i]));
  const nextOf = new Map<number | typeof START, number>();
  const follows = new Set<number>();
  for (const [i, { after }] of stops.entries()) {
    const before = after === START ? START : after === undefined ? undefined : indexOf.get(after);
    if (before === undefined || nextOf.has(before) || leadsTo(nextOf, i, before)) continue;
    nextOf.set(before, i);
    follows.add(i);
  }
  const from = (first: number | typeof START): number[] => {
    const chain = first === START ? [] : [first];
    for (let at = nextOf.get(first); at !== undefined; at = nextOf.get(at)) chain.push(at);
    return chain;
  };
  const head = from(START);
  const chains = stops.flatMap((_, i) => (follows.has(i) ? [] : [from(i)]));
  const isTail = (chain: number[]): boolean => chain.some((i) => stops[i]?.last);
  return { head, tail: chains.filter(isTail).flat(), free: chains.filter((c) => !isTail(c)) };
}

function leadsTo(nextOf: ReadonlyMap<number | typeof START, number>, from: number, to: number | typeof START): boolean {
  for (let at: number | undefined = from; at !== undefined; at = nextOf.get(at)) if (at === to) return true;
  return false;
}
