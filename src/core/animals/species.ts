export const SPECIES = ['beaver', 'muskrat', 'mink', 'otter', 'raccoon', 'other'] as const;
export type Species = (typeof SPECIES)[number];

/** Size of an animal, m and kg. @source typical values, from memory; editable practice, no law of nature */
export interface Build {
  weight: { low: number; high: number; usual: number };
  body: number;
  forearmToNose: number;
  width: number;
  swims: number;
  smallestGap: number;
}

export const BUILDS = {
  beaverAdult: { weight: { low: 16, high: 30, usual: 20 }, body: 0.83, forearmToNose: 0.4, width: 0.25, swims: 0.2, smallestGap: 0.15 },
  beaverYearling: { weight: { low: 7, high: 11, usual: 9 }, body: 0.6, forearmToNose: 0.29, width: 0.18, swims: 0.15, smallestGap: 0.115 },
  beaverKit: { weight: { low: 4, high: 7, usual: 5 }, body: 0.48, forearmToNose: 0.23, width: 0.14, swims: 0.12, smallestGap: 0.09 },
  muskrat: { weight: { low: 0.7, high: 1.8, usual: 1.1 }, body: 0.3, forearmToNose: 0.14, width: 0.09, swims: 0.08, smallestGap: 0.06 },
  mink: { weight: { low: 0.5, high: 1.6, usual: 1.2 }, body: 0.38, forearmToNose: 0.15, width: 0.07, swims: 0.06, smallestGap: 0.05 },
} as const satisfies Record<string, Build>;

/** Above this a typed weight is taken for a slip, kg. [practice] */
export const HEAVIEST: Record<Species, number> = { beaver: 45, muskrat: 3, mink: 3, otter: 20, raccoon: 20, other: 100 };

export const AGE_CLASSES = ['adult', 'two years', 'yearling', 'kit', 'unknown'] as const;
export const SEXES = ['female', 'male', 'unknown'] as const;
export const STRIKES = ['head', 'neck', 'chest', 'hind', 'front foot', 'hind foot', 'toe', 'tail', 'teeth or nose'] as const;
export const FATES = ['kept', 'sold', 'mounted', 'eaten', 'bait', 'released', 'reported'] as const;
export const BITES = ['none', 'fresh', 'healed', 'not looked'] as const;
