/**
 * Chances of a row of traps in one run, each passed in turn by every animal.
 *
 * @param p chance of each trap to take an animal that passes it, 0 to 1
 * @returns chance that one animal is taken, and the chances that two animals on one pass lose none, one, both; a trap fills once
 * @source counting: 1 − Π(1 − p) for one; the second animal meets the traps that the first left open
 * @example takes([0.7, 0.7]) // one animal 0.91; two: both 0.637, one 0.355, none 0.0081
 */
export function takes(p: readonly number[]): { one: number; two: { none: number; single: number; both: number } } {
  if (p.some((chance) => !(chance >= 0 && chance <= 1))) throw new RangeError('a chance lies between 0 and 1');
  const missed = (open: readonly number[]): number => open.reduce((product, chance) => product * (1 - chance), 1);
  const one = 1 - missed(p);
  let both = 0;
  let reaches = 1;
  p.forEach((chance, i) => {
    both += reaches * chance * (1 - missed(p.filter((_, k) => k !== i)));
    reaches *= 1 - chance;
  });
  const none = missed(p) ** 2;
  return { one, two: { none, both, single: 1 - none - both } };
}

/** Distance that two traps in line need, m: the animal without its tail and its tie. 4 ft are accepted. [practice] */
export const spacingWanted = (body: number, tie: number): number => body + tie;
