/** One day's stops in an order: when each is reached, what is late, when one is back. Times are minutes after the start. */

/** A place that is stood at for some minutes. */
export interface Stop {
  id: string;
  /** work there, minutes */
  minutes: number;
  /** nobody can or may be there before; null where nothing holds one up */
  opens: number | null;
  /** its last minute: for a check its deadline, for a place the moment up to which it can be stood at; null where none is */
  due: number | null;
  /** the stop that it is visited right after, by its id, or the start of the day */
  after?: string;
  /** visited at the very end */
  last?: boolean;
  /** best visited at the end, where that breaks nothing and costs little: a break that was opened */
  likesLast?: boolean;
}

/** What `Stop.after` names for the first stop of the day. */
export const START = 'start';

export interface Run {
  stops: readonly Stop[];
  /** minutes between places: 0 is where the day begins and ends, stop i is i + 1; as long both ways */
  travel: readonly (readonly number[])[];
  /** taken at the first stop that is left after `from` */
  lunch: { from: number; minutes: number } | null;
}

export interface Timed {
  /** index of the stop in `Run.stops` */
  stop: number;
  /** minutes on the way to it */
  way: number;
  /** minute at which work begins there, and at which one leaves */
  at: number;
  leaves: number;
  /** minutes past its last one; 0 in time */
  late: number;
}

/** One person's day. */
export interface Tour {
  stops: Timed[];
  back: number;
  travel: number;
  waits: number;
  /** minutes past their last one, all stops together */
  late: number;
}

/** One minute late weighs more than any day is long. */
export const LATE = 1e5;

/** What a day costs, the less the better: first the minutes late, then how long it is. */
export const costOf = ({ late, back }: Pick<Tour, 'late' | 'back'>): number => late * LATE + back;

/** An order with its times. @param order indices of stops, each once */
export function timed({ stops, travel, lunch }: Run, order: readonly number[]): Tour {
  let [clock, place, moving, waits, late] = [0, 0, 0, 0, 0];
  let hungry = lunch !== null;
  const done: Timed[] = [];
  for (const index of order) {
    const stop = stops[index];
    if (!stop) throw new RangeError(`there is no stop ${index}`);
    const way = travel[place]?.[index + 1] ?? 0;
    const at = Math.max(clock + way, stop.opens ?? 0);
    waits += at - clock - way;
    moving += way;
    const over = stop.due === null ? 0 : Math.max(0, at - stop.due);
    late += over;
    clock = at + stop.minutes;
    done.push({ stop: index, way, at, leaves: clock, late: over });
    if (hungry && lunch && clock >= lunch.from) {
      clock += lunch.minutes;
      hungry = false;
    }
    place = index + 1;
  }
  const home = travel[place]?.[0] ?? 0;
  return { stops: done, back: clock + home, travel: moving + home, waits, late };
}

/** A day with some of its stops alone. @param kept their indices: stop i of the part is `kept[i]` of the whole */
export function partOf({ stops, travel, lunch }: Run, kept: readonly number[]): Run {
  const places = [0, ...kept.map((i) => i + 1)];
  return {
    lunch,
    stops: kept.flatMap((i) => stops[i] ?? []),
    travel: places.map((a) => places.map((b) => travel[a]?.[b] ?? 0)),
  };
}
