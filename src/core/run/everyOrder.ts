import type { Chains } from './chains';
import { LATE, type Run } from './tour';

interface Day {
  clock: number;
  place: number;
  late: number;
  isHungry: boolean;
}

/** The day after one more chain of stops; the same calculation as `timed`, without its list. */
function onward({ stops, travel, lunch }: Run, day: Day, chain: readonly number[]): Day {
  let { clock, place, late, isHungry } = day;
  for (const index of chain) {
    const { opens = null, due = null, minutes = 0 } = stops[index] ?? {};
    clock = Math.max(clock + (travel[place]?.[index + 1] ?? 0), opens ?? 0);
    if (due !== null && clock > due) late += clock - due;
    clock += minutes;
    if (isHungry && lunch && clock >= lunch.from) {
      clock += lunch.minutes;
      isHungry = false;
    }
    place = index + 1;
  }
  return { clock, place, late, isHungry };
}

/**
 * The best of all orders of a few chains: every order is weighed, given up as soon as it cannot become the best.
 *
 * @param known an order that is known, whatever it is worth
 * @returns the chains in their order
 */
export function everyOrder(run: Run, { head, tail, free }: Chains, known: readonly number[][]): number[][] {
  const costAt = ({ late, clock }: Day): number => late * LATE + clock;
  const home = (day: Day): number => {
    const end = onward(run, day, tail);
    return costAt(end) + (run.travel[end.place]?.[0] ?? 0);
  };
  const begun = onward(run, { clock: 0, place: 0, late: 0, isHungry: run.lunch !== null }, head);
  let [best, least] = [[...known], home(known.reduce((day, chain) => onward(run, day, chain), begun))];
  const work = free.map((chain) => chain.reduce((sum, i) => sum + (run.stops[i]?.minutes ?? 0), 0));
  const used = free.map(() => false);
  const order: number[] = [];
  const extend = (day: Day, left: number): void => {
    if (order.length === free.length) {
      const cost = home(day);
      if (cost < least - 1e-9) [best, least] = [order.map((i) => free[i] ?? []), cost];
      return;
    }
    // what is left takes its work at least
    if (costAt(day) + left >= least) return;
    for (const [i, chain] of free.entries()) {
      if (used[i]) continue;
      used[i] = true;
      order.push(i);
      extend(onward(run, day, chain), left - (work[i] ?? 0));
      order.pop();
      used[i] = false;
    }
  };
  extend(
    begun,
    work.reduce((sum, w) => sum + w, 0),
  );
  return best;
}
