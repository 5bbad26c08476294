import { inches } from '../units/factors';

export const SPECIES = ['beaver', 'muskrat', 'mink', 'otter', 'raccoon', 'other'] as const;
export type Species = (typeof SPECIES)[number];

/** Size of an animal, m and kg. @source typical values, from memory; editable practice, no law of nature */
export interface Build {
  called: string;
  weight: { low: number; high: number; usual: number };
  /** body without tail */
  body: number;
  tail: number;
  forearmToNose: number;
  width: number;
  /** height swimming, under the surface */
  swims: number;
  smallestGap: number;
  /** height at which it takes a bait standing up; 0 where it does not */
  rears: number;
}

const build = (
  called: string,
  [low, high, usual]: [number, number, number],
  [body, tail, forearmToNose, width, swims, smallestGap]: [number, number, number, number, number, number],
  rears = 0,
): Build => ({ called, weight: { low, high, usual }, body, tail, forearmToNose, width, swims, smallestGap, rears });

export const BUILDS = {
  beaverAdult: build('an adult', [16, 30, 20], [0.83, 0.3, 0.4, 0.25, inches(8), inches(6)], 0.6),
  beaverTwo: build('a two-year-old', [11, 16, 13], [0.7, 0.26, 0.34, 0.21, 0.17, 0.13], 0.5),
  beaverYearling: build('a yearling', [7, 11, 9], [0.6, 0.22, 0.29, 0.18, 0.15, 0.115], 0.42),
  beaverKit: build('a kit', [4, 7, 5], [0.48, 0.18, 0.23, 0.14, inches(5), inches(3.5)]),
  muskrat: build('a muskrat', [0.7, 1.8, 1.1], [0.3, 0.24, 0.14, 0.09, inches(3), inches(2.5)]),
  mink: build('a mink', [0.5, 1.6, 1.2], [0.38, 0.18, 0.15, 0.07, inches(2.5), inches(2)]),
  minkFemale: build('a female mink', [0.5, 0.8, 0.65], [0.33, 0.15, 0.13, 0.06, inches(2), inches(1.5)]),
  otter: build('an otter', [5, 14, 8], [0.86, 0.38, 0.35, 0.15, inches(5), inches(4)]),
  raccoon: build('a raccoon', [4, 11, 7], [0.58, 0.25, 0.3, 0.14, 0.14, 0.1]),
} as const satisfies Record<string, Build>;
export type BuildKey = keyof typeof BUILDS;

/** The builds of a species, largest first: what a set must hold, and what slips through it. */
export const BUILDS_OF: Record<Species, readonly BuildKey[]> = {
  beaver: ['beaverAdult', 'beaverTwo', 'beaverYearling', 'beaverKit'],
  muskrat: ['muskrat'],
  mink: ['mink', 'minkFemale'],
  otter: ['otter'],
  raccoon: ['raccoon'],
  other: ['raccoon'],
};
/** Above this a typed weight is taken for a slip, kg. [practice] */
export const HEAVIEST: Record<Species, number> = { beaver: 45, muskrat: 3, mink: 3, otter: 20, raccoon: 20, other: 100 };

export const AGE_CLASSES = ['adult', 'two years', 'yearling', 'kit', 'unknown'] as const;
export const SEXES = ['female', 'male', 'unknown'] as const;
export const STRIKES = ['head', 'neck', 'chest', 'hind', 'front foot', 'hind foot', 'toe', 'tail', 'teeth or nose'] as const;
export const FATES = ['not said', 'kept', 'sold', 'mounted', 'eaten', 'bait', 'released', 'reported'] as const;
/** What was found of its pelt: `slipping` hair lay too long in warm water, `eaten` by others. */
export const PELTS = ['not looked', 'good', 'rubbed', 'slipping', 'chewed', 'eaten'] as const;
/** Who ate of a catch before somebody came. */
export const EATERS = ['not said', 'birds', 'its own kind', 'others'] as const;
/** Where on its tether a catch on a slide or a long tether lay. */
export const LAYS = ['not said', 'at the deep end', 'short of the deep end', 'on the bank', 'wrapped on something'] as const;
export const BITES = ['none', 'fresh', 'healed', 'not looked'] as const;
