import { seeded } from '../sim/random';
import { simulateRemoval, type Rules } from '../sim/removal';
import { howManyLeft, shortestRun, SILENT } from './left';

/** What was said with so much sureness, and how often it held. */
export interface Held {
  said: number;
  /** mean of what the ranges held by their own odds: whole numbers hold somewhat more than they have to */
  held: number;
  right: number;
  of: number;
}

export interface Calibration {
  ranges: Held[];
  /** "none is left", by how sure it was said */
  none: Held[];
}

const SAID = [0.5, 0.8, 0.95] as const;
/** Bounds of how sure it was said that none is left. */
const SURE: readonly (readonly [number, number])[] = [
  [0, 0.2],
  [0.2, 0.5],
  [0.5, 0.8],
  [0.8, 0.95],
  [0.95, 1.01],
];
const RULES: Rules = { lived: 6, nights: 8, devices: 3, watched: 0 };
const MOST = 25;

/**
 * The odds of who is left, held against colonies that are drawn by the same rules of thumb: how often what was said was so. It tells that the
 * arithmetic is right, and nothing of whether the rules are: that only a book of many colonies does.
 *
 * @param count colonies drawn @param step told after each hundred
 */
export function calibrate(count: number, seed: number, step: (done: number) => void = () => undefined): Calibration {
  const random = seeded(seed);
  const ranges = SAID.map((said): Held => ({ said, held: 0, right: 0, of: 0 }));
  const none = SURE.map(([low, high]): Held => ({ said: (low + Math.min(1, high)) / 2, held: 0, right: 0, of: 0 }));
  for (let n = 0; n < count; n += 1) {
    const { nights, left } = simulateRemoval(random, RULES);
    const { chances } = howManyLeft({ ...SILENT, nights, expected: RULES.lived, most: MOST });
    for (const own of ranges) {
      const { low, high, holds } = shortestRun(chances, own.said);
      note(own, holds, left >= low && left <= high);
    }
    const sure = chances[0] ?? 0;
    const bin = none[SURE.findIndex(([low, high]) => sure >= low && sure < high)];
    if (bin) note(bin, sure, left === 0);
    if (n % 100 === 99) step(n + 1);
  }
  return { ranges: ranges.map(mean), none: none.filter((own) => own.of > 0).map(mean) };
}

function note(own: Held, chance: number, isRight: boolean): void {
  own.held += chance;
  own.of += 1;
  if (isRight) own.right += 1;
}
const mean = (own: Held): Held => ({ ...own, held: own.held / own.of });
