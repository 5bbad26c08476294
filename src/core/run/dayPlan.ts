import { bestOrder } from './order';
import { sharedByTwo } from './shared';
import { partOf, timed, type Run, type Stop, type Tour } from './tour';

/** The plan of a day: who goes where in which order, what is late, and what would help. */
export interface DayPlan {
  /** one tour, or two that begin at the same place and minute */
  tours: Tour[];
  /** what the pins cost against the order without them; null without pins */
  pins: { minutes: number; late: number } | null;
  /** the stop that was left for the end because it is best visited last, and what that costs, minutes; null where none was */
  last: { id: string; minutes: number } | null;
}

/** So many minutes more on the way are worth it to leave a break for the end. [practice] */
const WORTH_LAST = 15;

/** What would help, each where it does. */
export interface Ways {
  /** begun so many minutes earlier; null where no earlier start helps */
  earlier: number | null;
  /** when two people would be back; null where two do not do it either */
  shared: [number, number] | null;
  /** stops that are left out: pulled, or handed over; indices */
  without: number[];
}

/** Nobody begins more than so much earlier than he wanted, minutes. [practice] */
const EARLIEST = 240;

const isIn = ({ late }: Pick<Tour, 'late'>): boolean => late < 0.05;

/** A day in which nothing is asked of what is past already but that it is visited: it shall break no further deadline. */
const ahead = (run: Run): Run => ({ ...run, stops: run.stops.map((s): Stop => (s.due !== null && s.due < 0 ? { ...s, due: null } : s)) });

/** The plan of a day for one person or two. */
export function dayPlan(asked: Run, people: 1 | 2 = 1): DayPlan {
  const run = ahead(asked);
  if (people === 2) return { tours: sharedByTwo(run).map((order) => timed(run, order)), pins: null, last: null };
  const free = timed(run, bestOrder(run));
  const ended = atTheEnd(run, free);
  return {
    tours: [ended?.tour ?? free],
    pins: pinsCost(run, [free]),
    last: ended && { id: ended.id, minutes: ended.tour.back - free.back },
  };
}

/** The day with the one at its end that is best visited last, the cheapest of them; null where one stands there anyway, or it costs too much. */
function atTheEnd(run: Run, free: Tour): { tour: Tour; id: string } | null {
  if (run.stops.some((s) => s.last)) return null;
  const ends = run.stops[free.stops.at(-1)?.stop ?? -1];
  if (!ends || ends.likesLast) return null;
  const isFit = ({ back, late }: Tour): boolean => late <= free.late + 0.05 && back - free.back <= WORTH_LAST;
  return (
    run.stops
      .filter((s) => s.likesLast && s.after === undefined)
      .map(({ id }) => {
        const own = { ...run, stops: run.stops.map((s): Stop => (s.id === id ? { ...s, last: true } : s)) };
        return { tour: timed(own, bestOrder(own)), id };
      })
      .filter(({ tour }) => isFit(tour))
      .sort((a, b) => a.tour.back - b.tour.back)[0] ?? null
  );
}

function pinsCost(run: Run, tours: readonly Tour[]): DayPlan['pins'] {
  const isPinned = run.stops.some((s) => s.after !== undefined || s.last);
  const [own] = tours;
  if (!isPinned || !own || tours.length > 1) return null;
  const free = timed(run, bestOrder({ ...run, stops: run.stops.map(({ after: _, last: __, ...stop }): Stop => stop) }));
  return { minutes: own.back - free.back, late: own.late - free.late };
}

/** What would bring every stop of a plan in time; null where all are, or two are at work already. */
export function waysOut(asked: Run, { tours }: DayPlan): Ways | null {
  if (tours.length > 1 || tours.every(isIn)) return null;
  const run = ahead(asked);
  const [one, two] = sharedByTwo(run).map((order) => timed(run, order));
  return {
    earlier: earlierBy(run, tours),
    shared: one && two && isIn(one) && isIn(two) ? [one.back, two.back] : null,
    without: leftOut(run),
  };
}

/** The fewest minutes, to five, by which an earlier start brings all in time. */
function earlierBy(run: Run, tours: readonly Tour[]): number | null {
  const most = Math.max(...tours.flatMap((t) => t.stops.map((s) => s.late)));
  for (let by = Math.ceil(most / 5) * 5; by <= EARLIEST; by += 15) {
    const moved = (at: number | null): number | null => (at === null ? null : at + by);
    const begun: Run = {
      travel: run.travel,
      lunch: run.lunch && { ...run.lunch, from: run.lunch.from + by },
      stops: run.stops.map((s) => ({ ...s, opens: moved(s.opens), due: moved(s.due) })),
    };
    if (isIn(timed(begun, bestOrder(begun)))) return by;
  }
  return null;
}

/** The stops without which the rest is in time: each time the one that is late most. */
function leftOut(run: Run): number[] {
  const out: number[] = [];
  for (;;) {
    const kept = run.stops.flatMap((_, i) => (out.includes(i) ? [] : [i]));
    const part = partOf(run, kept);
    const tour = timed(part, bestOrder(part));
    if (isIn(tour)) return out;
    const worst = tour.stops.reduce((a, b) => (b.late > a.late ? b : a));
    out.push(kept[worst.stop] ?? 0);
  }
}
