import { AGES, DIES, GEAR, KIT_GAINS, LEAVES, LEARNS, SHY, SHY_BEFORE, WEIGHT, YOUNG_SHARE, type Age, type Gear } from './rules';

export interface Animal {
  id: number;
  /** years, with their part */
  years: number;
  /** kg */
  weight: number;
  /** how surely it turns away from such gear, 0 to 1 */
  shy: Record<Gear, number>;
  /** it got nothing to eat last night */
  hungry: boolean;
  gone: 'caught' | 'left' | 'died' | null;
}

/** What is known of a colony before it is drawn. */
export interface Lived {
  /** the mean of how many live there */
  expected: number;
  /** so many at least */
  least: number;
  /** chance that the colony knows such gear; what is left out, as practice has it */
  taught?: Partial<Record<Gear, number>>;
}

export const ageOf = ({ years }: Pick<Animal, 'years'>): Age => (years < 1 ? 'kit' : years < 2 ? 'yearling' : 'adult');
export const stillHere = (family: readonly Animal[]): Animal[] => family.filter((a) => a.gone === null);

/** How often something came that comes `mean` times on the average. @source Knuth's product of even chances, from memory */
export function arrivals(random: () => number, mean: number): number {
  const end = Math.exp(-mean);
  let found = 0;
  for (let left = random(); left > end; left *= random()) found += 1;
  return found;
}

/**
 * A family as it may live there in autumn: a pair, their kits and yearlings, and what they know already, which goes through the whole house.
 *
 * @param random even chances from 0 to 1
 */
export function drawFamily(random: () => number, { expected, least, taught = {} }: Lived): Animal[] {
  let count = arrivals(random, expected);
  for (let again = 0; count < least && again < 50; again += 1) count = arrivals(random, expected);
  const knows = Object.fromEntries(GEAR.map((gear) => [gear, random() < (taught[gear] ?? SHY_BEFORE[gear]) ? SHY : 0])) as Animal['shy'];
  return Array.from({ length: Math.max(count, least) }, (_, id): Animal => {
    const years = yearsOf(random, id);
    const usual = WEIGHT[ageOf({ years })];
    return { id, years, weight: usual * (0.85 + 0.3 * random()), shy: { ...knows }, hungry: false, gone: null };
  });
}

/** The first two are the pair. */
function yearsOf(random: () => number, id: number): number {
  if (id < 2) return 3.4;
  const chance = random();
  return chance < YOUNG_SHARE.kit ? 0.4 : chance < YOUNG_SHARE.kit + YOUNG_SHARE.yearling ? 1.4 : 2.4;
}

/** A day older: kits grow, two year olds leave in spring, and now and then one dies of itself. @param month 1 to 12 */
export function growOlder(random: () => number, family: readonly Animal[], month: number): void {
  for (const animal of stillHere(family)) {
    animal.years += 1 / 365;
    if (ageOf(animal) === 'kit') animal.weight += KIT_GAINS;
    const isGrown = animal.years >= 1.8 && animal.years < 2.6;
    if (isGrown && month >= 3 && month <= 5 && random() < LEAVES) animal.gone = 'left';
    else if (random() < DIES) animal.gone = 'died';
  }
}

/** What it met brings it nearer to turning away from such gear. */
export function learn(animal: Animal, gear: Gear, what: keyof (typeof LEARNS)[Gear]): void {
  animal.shy[gear] += (1 - animal.shy[gear]) * LEARNS[gear][what];
}

/** Animals by age, the young first. */
export const byAge = (animals: readonly Animal[]): Record<Age, number> =>
  Object.fromEntries(AGES.map((age) => [age, animals.filter((a) => ageOf(a) === age).length])) as Record<Age, number>;
