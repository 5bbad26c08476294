/** What changes with time: the rate of a value at a time. */
export type Rate = (at: number, value: number) => number;

/** A step that was taken, with the value anywhere on it. */
export type Step = (from: number, to: number, valueAt: (at: number) => number) => void;

/** From where to where a value is run. */
export interface Span {
  start: number;
  /** at the start */
  value: number;
  end: number;
}

export interface Care {
  /** largest error of a step, in the unit of the value */
  allowed: number;
  /** length of the first step tried */
  first: number;
  /** the rate does not ask for the time: a value that has come to rest stays there, and is not followed in steps of its own quick return */
  steady: boolean;
}

/** More steps than this are no solution, but a rate that chatters. */
const MOST = 100_000;

/**
 * One value run forward by its rate: the pair of orders 5 and 4 of Dormand and Prince, steps as long as their difference allows.
 *
 * @param step hears every step; read off between its ends by the dense output of fourth order
 * @returns the value at `end`; NaN where a rate is no number, or the steps come to no end
 * @source Hairer, Nørsett, Wanner, Solving Ordinary Differential Equations I, table II.5.2 and eq. (II.6.13), from memory; held against the package odex in the tests
 */
export function integrate(rate: Rate, { start, value, end }: Span, { allowed, first, steady }: Care, step: Step): number {
  let [x, y, h, k1] = [start, value, Math.min(first, end - start), rate(start, value)];
  let isSecondTry = false;
  for (let n = 0; x < end; n += 1) {
    if (n > MOST) return NaN;
    if (x + 1.0001 * h >= end) h = end - x;
    const k2 = rate(x + h / 5, y + (h * k1) / 5);
    const k3 = rate(x + (3 * h) / 10, y + h * ((3 / 40) * k1 + (9 / 40) * k2));
    const k4 = rate(x + (4 * h) / 5, y + h * ((44 / 45) * k1 - (56 / 15) * k2 + (32 / 9) * k3));
    const k5 = rate(x + (8 * h) / 9, y + h * ((19372 / 6561) * k1 - (25360 / 2187) * k2 + (64448 / 6561) * k3 - (212 / 729) * k4));
    const k6 = rate(x + h, y + h * ((9017 / 3168) * k1 - (355 / 33) * k2 + (46732 / 5247) * k3 + (49 / 176) * k4 - (5103 / 18656) * k5));
    const by = h * ((35 / 384) * k1 + (500 / 1113) * k3 + (125 / 192) * k4 - (2187 / 6784) * k5 + (11 / 84) * k6);
    const k7 = rate(x + h, y + by);
    const off = h * ((71 / 57600) * k1 - (71 / 16695) * k3 + (71 / 1920) * k4 - (17253 / 339200) * k5 + (22 / 525) * k6 - k7 / 40);
    const share = Math.abs(off) / allowed;
    if (Number.isNaN(share)) return NaN;
    const longer = Math.min(5, Math.max(0.2, 0.9 * share ** -0.2));
    if (share > 1) {
      h *= longer;
      isSecondTry = true;
      continue;
    }
    const to = h === end - x ? end : x + h;
    step(x, to, dense(x, h, y, by, [k1, k3, k4, k5, k6, k7]));
    [x, y, k1] = [to, y + by, k7];
    h *= isSecondTry ? Math.min(1, longer) : longer;
    isSecondTry = false;
    const rest = steady && h * HURRIED < end - x ? restOf(rate, x, y, k1, allowed) : null;
    if (rest !== null) {
      if (x < end) step(x, end, () => rest);
      return rest;
    }
  }
  return y;
}

/** Steps are short against the way still to go when so many of them would be wanted. */
const HURRIED = 50;

/** Where a value comes to rest, if that is nearer than the error of some steps; null while it is on its way. */
function restOf(rate: Rate, x: number, y: number, now: number, allowed: number): number | null {
  const beside = 100 * allowed;
  const slope = (rate(x, y + beside) - now) / beside;
  return slope < 0 && Math.abs(now / slope) < 10 * allowed ? y - now / slope : null;
}

type Slopes = [k1: number, k3: number, k4: number, k5: number, k6: number, k7: number];

/** The value within a step of length `h` that began at `x` with `y` and added `by`. */
function dense(x: number, h: number, y: number, by: number, [k1, k3, k4, k5, k6, k7]: Slopes): (at: number) => number {
  const bent = h * k1 - by;
  const skew = by - h * k7 - bent;
  const fourth =
    h *
    ((-12715105075 / 11282082432) * k1 +
      (87487479700 / 32700410799) * k3 -
      (10690763975 / 1880347072) * k4 +
      (701980252875 / 199316789632) * k5 -
      (1453857185 / 822651844) * k6 +
      (69997945 / 29380423) * k7);
  return (at) => {
    const s = (at - x) / h;
    return y + s * (by + (1 - s) * (bent + s * (skew + (1 - s) * fourth)));
  };
}
