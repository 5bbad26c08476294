/** One night of trapping: what was caught of the species, and how many devices meant for it stood in their range, device-nights. */
export interface TrapNight {
  caught: number;
  effort: number;
}

export interface LeftEvidence {
  /** nights in their order, from the first device on */
  nights: readonly TrapNight[];
  /** the number that its signs tell of before anything was caught */
  expected: number;
  /** no fewer than so many lived there: seen at once */
  floor: number;
  /** no more are thought of */
  most: number;
  /** watched nights without one, since the last catch */
  quiet: number;
  /** nights since the last catch in which an open break stayed open; null where none was open */
  unmended: number | null;
  /** somebody mended after the last catch */
  mended: boolean;
}

/** What is known of how many are left: the chance of 0, 1, 2 ... of them. */
export interface Left {
  chances: number[];
  caught: number;
  /** trap nights that had any effort */
  nights: number;
}

/** An animal is taken by a device in a night about one time in ten: Beta(2, 18). [practice] */
const TAKEN = { a: 2, b: 18 };
/** A camera of the water shows an animal that lives there in about one night of three. [practice] */
const SHOWN = 0.35;
/** An open break is mended in about two nights of three, if anybody is left. [practice] */
const MENDED = 0.65;

/** Points of the grid over the chance of being taken. */
const POINTS = 120;

const logChoose = (n: number, k: number): number => {
  let sum = 0;
  for (let i = 1; i <= k; i += 1) sum += Math.log((n - k + i) / i);
  return sum;
};

/**
 * Log likelihood of catches as a removal from `animals`: each night takes a binomial share of those still there, 1 − (1 − p)^effort.
 *
 * @returns −Infinity where more were caught than lived there
 * @source C. Zippin, An evaluation of the removal method of estimating animal populations, Biometrics 12 (1956), with effort by night
 */
export function logLikelihood(animals: number, taken: number, nights: readonly TrapNight[]): number {
  let left = animals;
  let sum = 0;
  for (const { caught, effort } of nights) {
    if (caught > left) return -Infinity;
    const share = 1 - (1 - taken) ** effort;
    if (caught > 0 && share <= 0) return -Infinity;
    sum += logChoose(left, caught) + (caught > 0 ? caught * Math.log(share) : 0);
    if (left > caught) sum += (left - caught) * effort * Math.log1p(-taken);
    left -= caught;
  }
  return sum;
}

/**
 * How many are left, as a grid over how many lived there and how easily one is taken: Poisson by the signs, Beta by practice, the catches as a
 * removal with the effort of each night, silent cameras and breaks that stay open. Who mended after the last catch is left.
 *
 * @throws RangeError when nothing that was told can be: more were caught than `most`
 */
export function howManyLeft({ nights, expected, floor, most, quiet, unmended, mended }: LeftEvidence): Left {
  const caught = nights.reduce((sum, n) => sum + n.caught, 0);
  const least = Math.max(floor, caught);
  if (least > most) throw new RangeError(`${least} were met where at most ${most} are thought of`);
  const weights: number[] = [];
  for (let left = 0; left <= most - caught; left += 1) {
    const animals = caught + left;
    weights.push(animals < least || (mended && left === 0) ? 0 : weightOf(animals, left, { nights, expected, quiet, unmended }));
  }
  const total = weights.reduce((a, b) => a + b, 0);
  if (total <= 0) throw new RangeError('what was told leaves nobody and somebody at once');
  return { chances: weights.map((w) => w / total), caught, nights: nights.filter((n) => n.effort > 0).length };
}

function weightOf(
  animals: number,
  left: number,
  { nights, expected, quiet, unmended }: Pick<LeftEvidence, 'nights' | 'expected' | 'quiet' | 'unmended'>,
): number {
  let logPrior = -expected + animals * Math.log(expected);
  for (let i = 2; i <= animals; i += 1) logPrior -= Math.log(i);
  const silence = left * quiet * Math.log1p(-SHOWN) + (left > 0 ? (unmended ?? 0) * Math.log1p(-MENDED) : 0);
  let sum = 0;
  for (let i = 0; i < POINTS; i += 1) {
    const taken = (i + 0.5) / POINTS;
    const prior = (TAKEN.a - 1) * Math.log(taken) + (TAKEN.b - 1) * Math.log1p(-taken);
    sum += Math.exp(logPrior + silence + prior + logLikelihood(animals, taken, nights));
  }
  return sum;
}

/** The shortest run of numbers that holds at least a share of the chances: its ends, and what it holds. */
export function shortestRun(chances: readonly number[], share: number): { low: number; high: number; holds: number } {
  let best = { low: 0, high: chances.length - 1, holds: 1 };
  for (let low = 0; low < chances.length; low += 1) {
    let holds = 0;
    for (let high = low; high < chances.length; high += 1) {
      holds += chances[high] ?? 0;
      if (holds < share) continue;
      const isShorter = high - low < best.high - best.low || (high - low === best.high - best.low && holds > best.holds);
      if (isShorter) best = { low, high, holds };
      break;
    }
  }
  return best;
}
