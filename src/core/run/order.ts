import { chainsOf, type Chains } from './chains';
import { everyOrder } from './everyOrder';
import { Settler, type Settled } from './settle';
import type { Run, Stop } from './tour';

/** The order of a day's stops that breaks no deadline in the least time; where none exists, that with the fewest minutes late. */

/** Up to so many stops, or pinned rows of them, every order is weighed. */
const ALL_WEIGHED = 9;

/** How often a good order of so many is shaken to find a better one: a long one settles slowly. */
const shakesOf = (stops: number): number => Math.max(24, Math.round(1600 / stops));

/** The best order found: up to `ALL_WEIGHED` the best there is, above within some percent of it; the same run always gets the same answer. */
export function bestOrder(run: Run): number[] {
  const chains = chainsOf(run);
  const { head, tail, free } = chains;
  const found = good(run, chains);
  const order = free.length <= ALL_WEIGHED ? everyOrder(run, chains, found) : found;
  return [...head, ...order.flat(), ...tail];
}

/** A good order of the free chains, by moves alone. */
function good(run: Run, { head, tail, free }: Chains): number[][] {
  if (free.length < 2) return free;
  const settler = new Settler(fed(run), free, head, tail);
  const dueOf = (i: number): number => Math.min(...(free[i] ?? []).map((s) => run.stops[s]?.due ?? Infinity));
  const all = free.map((_, i) => i);
  const starts = [[...all].sort((a, b) => dueOf(a) - dueOf(b) || a - b), byNearest(run, free)].map((s) => settler.settle(s));
  const begun = starts.reduce((a, b) => (b.cost < a.cost ? b : a));
  return shaken(settler, begun).map((i) => free[i] ?? []);
}

/** The day without its lunch: what is due after it is due so much earlier. */
function fed({ stops, travel, lunch }: Run): Run {
  if (!lunch) return { stops, travel, lunch };
  const earlier = (at: number | null): number | null => (at === null || at < lunch.from ? at : Math.max(lunch.from, at - lunch.minutes));
  return { travel, lunch: null, stops: stops.map((s): Stop => ({ ...s, opens: earlier(s.opens), due: earlier(s.due) })) };
}

function byNearest({ travel }: Run, free: readonly number[][]): number[] {
  const order: number[] = [];
  const left = new Set(free.keys());
  let place = 0;
  while (left.size > 0) {
    const row = travel[place] ?? [];
    const way = (i: number): number => row[(free[i]?.[0] ?? 0) + 1] ?? 0;
    const next = [...left].reduce((a, b) => (way(b) < way(a) ? b : a));
    order.push(next);
    left.delete(next);
    place = (free[next]?.at(-1) ?? 0) + 1;
  }
  return order;
}

/** A good order, shaken and settled again and again; what is worse is taken back. */
function shaken(settler: Settler, begun: Settled): number[] {
  const chance = dice(begun.order.length);
  const shakes = shakesOf(begun.order.length);
  let best = begun;
  if (best.order.length < 5) return best.order;
  for (let nth = 0; nth < shakes; nth += 1) {
    const { order } = best;
    // two neighbouring pieces change places: no single move takes that back
    const long = (): number => 1 + Math.floor(chance() * Math.min(12, order.length / 3));
    const [a, b] = [long(), long()];
    const from = Math.floor(chance() * (order.length - a - b + 1));
    const [one, two] = [order.slice(from, from + a), order.slice(from + a, from + a + b)];
    const next = [...order.slice(0, from), ...two, ...one, ...order.slice(from + a + b)];
    const near = [from - 1, from, from + b - 1, from + b, from + a + b - 1, from + a + b].flatMap((at) => next[at] ?? []);
    const found = settler.settle(next, near);
    if (found.cost < best.cost - 1e-6) best = found;
  }
  return best.order;
}

/** Numbers between 0 and 1 that are the same each time. @source the generator mulberry32, from memory */
function dice(seed: number): () => number {
  let state = seed * 2654435761;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
