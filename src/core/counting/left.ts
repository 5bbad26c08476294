import { adultsLeft, likelyAges, NO_AGES, type AgesMet } from './ages';

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
  /** the last that was caught had fresh bite marks: another of them was near */
  bitten: boolean;
  /** how likely it is, before the silence, that those which were not caught have left the water: 0 to 1 */
  moved: number;
  /** the trap nights up to the last one on which anybody was surely there: caught, seen, or mending */
  present: number;
  /** what is known of adults and young apart */
  ages: AgesMet;
}

/** Nothing was seen, mended or heard of beside the catches. */
export const SILENT = { floor: 0, quiet: 0, unmended: null, mended: false, bitten: false, moved: 0, present: 0, ages: NO_AGES } as const;

/** What is known of how many are left: the chance of 0, 1, 2 ... of them. */
export interface Left {
  chances: number[];
  /** of adults and of young the same, each by itself; null where nothing tells them apart */
  ages: { adults: number[]; young: number[] } | null;
  /** how much of the chance of none is that they left the water, not that all were caught */
  moved: number;
  caught: number;
  /** trap nights that had any effort */
  nights: number;
}

/** An animal is taken by a device in a night about one time in ten: Beta(2, 18). [practice] */
const TAKEN = { a: 2, b: 18 };
/** A camera of the water shows an animal that lives there in about one night of three. [practice] */
const SHOWN = 0.35;
/** A camera that stays silent may hang where none of them passes: after the first nights each tells a third of what it told. [practice] */
const FULL_NIGHTS = 3;
const toldBy = (quiet: number): number => Math.min(quiet, FULL_NIGHTS) + Math.max(0, quiet - FULL_NIGHTS) / 3;
/** An open break is mended in about two nights of three, if anybody is left. [practice] */
const MENDED = 0.65;

/** Fresh bites on the last catch are of one that was caught just before it about three times in ten, else of one that is left. [practice] */
const BITER_CAUGHT = 0.3;

/** Points of the grid over the chance of being taken. */
const POINTS = 120;

const logChoose = (n: number, k: number): number => {
  let sum = 0;
  for (let i = 1; i <= k; i += 1) sum += Math.log((n - k + i) / i);
  return sum;
};

/**
 * Catches as a removal: each night takes a binomial share, 1 − (1 − p)^effort, of those still there. The log likelihood of so many animals at
 * a chance p is `ways(animals) + at(p)(animals)`; −Infinity where more were caught than lived there.
 *
 * @source C. Zippin, An evaluation of the removal method of estimating animal populations, Biometrics 12 (1956), with effort by night
 */
export function removal(nights: readonly TrapNight[]) {
  let [caught, effort, escaped] = [0, 0, 0];
  for (const night of nights) {
    caught += night.caught;
    effort += night.effort;
    // those that were caught by then did not have to escape that night
    escaped -= caught * night.effort;
  }
  return {
    caught,
    ways(animals: number): number {
      let left = animals;
      return nights.reduce((sum, night) => {
        const own = night.caught > left ? -Infinity : logChoose(left, night.caught);
        left -= night.caught;
        return sum + own;
      }, 0);
    },
    at(taken: number): (animals: number) => number {
      const miss = Math.log1p(-taken);
      const hits = nights.reduce((sum, n) => (n.caught === 0 ? sum : sum + n.caught * Math.log(-Math.expm1(n.effort * miss))), 0);
      return (animals) => hits + miss * (animals * effort + escaped);
    },
  };
}

/**
 * How many are left, as a grid over how many lived there and how easily one is taken: Poisson by the signs, Beta by practice, the catches as a
 * removal with the effort of each night, silent cameras and breaks that stay open. Who mended after the last catch is left. That the others left
 * the water is held beside it: from the last night they were surely there no trap meets them and no camera shows them.
 *
 * @throws RangeError when nothing that was told can be: more were caught than `most`
 */
export function howManyLeft({ nights, expected, floor, most, quiet, unmended, mended, bitten, moved, present, ages }: LeftEvidence): Left {
  const [all, met] = [removal(nights), removal(nights.slice(0, present))];
  const { caught } = all;
  const least = Math.max(floor, caught);
  if (least > most) throw new RangeError(`${least} were met where at most ${most} are thought of`);
  const here: number[][] = [];
  const gone: number[] = [];
  const takenAll = TAKEN_GRID.map(({ chance, prior }) => ({ prior, of: all.at(chance) }));
  const takenMet = TAKEN_GRID.map(({ chance, prior }) => ({ prior, of: met.at(chance) }));
  const stays = Math.log1p(-moved);
  let logPoisson = -expected;
  for (let animals = 0; animals <= most; animals += 1) {
    if (animals > 0) logPoisson += Math.log(expected / animals);
    const left = animals - caught;
    if (left < 0) continue;
    if (animals < least || (mended && left === 0)) {
      here.push([]);
      continue;
    }
    const silence = left * toldBy(quiet) * Math.log1p(-SHOWN) + (left > 0 ? (unmended ?? 0) * Math.log1p(-MENDED) : 0);
    const own =
      logPoisson +
      silence +
      Math.log(likelyAges(animals, ages)) +
      all.ways(animals) +
      (left > 0 ? stays : bitten ? Math.log(BITER_CAUGHT) : 0);
    here.push(takenAll.map(({ prior, of }) => own + prior + of(animals)));
    // who left the water is met by no trap and no camera from then on
    if (left > 0 && moved > 0 && !mended)
      gone.push(
        ...takenMet.map(
          ({ prior, of }) => logPoisson + met.ways(animals) + Math.log(moved * likelyAges(animals, ages)) + prior + of(animals),
        ),
      );
  }
  // long seasons make every one of them tiny: they are told by the greatest
  const greatest = Math.max(...here.flat(), ...gone);
  const weigh = (logs: readonly number[]): number => logs.reduce((sum, log) => sum + Math.exp(log - greatest), 0);
  const weights = [...here.map(weigh), weigh(gone)];
  const total = weights.reduce((a, b) => a + b, 0);
  if (!(total > 0)) throw new RangeError('what was told leaves nobody and somebody at once');
  const away = (weights.pop() ?? 0) / total;
  const [none = 0, ...some] = weights.map((w) => w / total);
  const chances = [none + away, ...some];
  return { chances, ages: byAge(chances, caught, ages), moved: away, caught, nights: nights.filter((n) => n.effort > 0).length };
}

/** How many adults and how many young are left, each by itself. */
function byAge(chances: readonly number[], caught: number, met: AgesMet): Left['ages'] {
  if (met.adults + met.young + met.leastAdults + met.leastYoung === 0) return null;
  const [adults, young] = [chances.map(() => 0), chances.map(() => 0)];
  chances.forEach((chance, left) => {
    if (chance === 0) return;
    const own = left === 0 ? [1] : adultsLeft(caught + left, left, met);
    own.forEach((share, n) => {
      adults[n] = (adults[n] ?? 0) + chance * share;
      young[left - n] = (young[left - n] ?? 0) + chance * share;
    });
  });
  return { adults, young };
}

/** The chances of being taken that are gone through, with how likely practice holds each. */
const TAKEN_GRID = Array.from({ length: POINTS }, (_, i) => {
  const chance = (i + 0.5) / POINTS;
  return { chance, prior: (TAKEN.a - 1) * Math.log(chance) + (TAKEN.b - 1) * Math.log1p(-chance) };
});

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
