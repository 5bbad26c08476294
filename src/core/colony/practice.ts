import type { DeviceClass } from '../devices/sizes';
import type { Felt } from '../record/checks';
import type { Fear, Lesson, LocalState, Saw, Trait } from './looks';

/** How likely each is, a device a night; what is left of 1 is that nothing touched it. */
export type Nightly = Record<Exclude<Saw, 'untouched'>, number>;
/** What a night is like: a set's own state, or that they shy from it. */
export type NightRow = LocalState | 'shy';

/**
 * What a device does in a night in its working range, where the animals shy from nothing it has, where they shy from it, and where something
 * is wrong with the set. [practice]
 *
 * @source common practice, in numbers of our own; a usual set takes an animal in about one night of ten
 */
export const NIGHTLY: Readonly<Record<NightRow, Readonly<Nightly>>> = {
  works: { caught: 0.1, touched: 0.03, sprung: 0.03, meddled: 0.03, baitGone: 0.02 },
  shy: { caught: 0.01, touched: 0.04, sprung: 0.03, meddled: 0.08, baitGone: 0.01 },
  notInUse: { caught: 0.002, touched: 0.002, sprung: 0.01, meddled: 0.003, baitGone: 0.005 },
  mechanical: { caught: 0.015, touched: 0.06, sprung: 0.13, meddled: 0.03, baitGone: 0.04 },
  disturbed: { caught: 0.03, touched: 0.02, sprung: 0.03, meddled: 0.03, baitGone: 0.01 },
};

/** How likely a night with an animal before the camera, or its tracks there, that was not caught. [practice] */
export const PASSING: Readonly<Record<NightRow, Readonly<Record<'passed' | 'turned', number>>>> = {
  works: { passed: 0.3, turned: 0.06 },
  shy: { passed: 0.35, turned: 0.3 },
  notInUse: { passed: 0.03, turned: 0.01 },
  mechanical: { passed: 0.3, turned: 0.06 },
  disturbed: { passed: 0.25, turned: 0.15 },
};

/** How likely each fear is before anything was met: shyness is rare, and of body-grips and castor least so. [practice] */
export const FEAR_PRIOR: Readonly<Record<Fear, number>> = {
  nothing: 0.67,
  bodyGrip: 0.08,
  foothold: 0.04,
  snareWater: 0.02,
  snareLand: 0.03,
  scentBank: 0.05,
  scentWater: 0.02,
  fence: 0.04,
  skyline: 0.01,
  heavy: 0.01,
  onLand: 0.01,
  atLodge: 0.01,
  atDam: 0.01,
};

/** How likely a set has something wrong with it, where its place is surely in use. [practice] */
export const FAULT_PRIOR = { mechanical: 0.08, disturbed: 0.06 } as const;
/** A place of which no sign was noted. [practice] */
export const IN_USE_UNKNOWN = 0.7;

/**
 * What one event adds to the odds that its animals shy from a device: of a body-grip a miss teaches much and what got out of it more, of a snare
 * next to nothing; who comes to one that lies in a foothold and still moves, learns it too. [practice]
 */
export const TEACHES: Readonly<Record<DeviceClass, Partial<Record<Lesson, number>>>> = {
  bodyGrip: { missed: 1.5, escaped: 2.1, sprung: 1.25, bitten: 1.1 },
  foothold: { missed: 1.3, escaped: 1.8, sprung: 1.2, bitten: 1.25 },
  snare: { missed: 1.15, escaped: 1.4, sprung: 1.05, meddled: 1.03, bitten: 1.1 },
  enclosed: { escaped: 1.2 },
};
/** How much of that an animal takes along by what it felt: a brush little, a bite at the steel some, a pinch more, being held most. [practice] */
export const FELT_TEACHES: Readonly<Record<Felt, number>> = {
  ...{ 'not said': 1, 'brushed it': 0.4, 'chewed at it': 0.8, pinched: 1.4, 'held, and got off': 2.2 },
};
/** However much was met, it does not teach more than this. [practice] */
export const TAUGHT_MOST = 6;

/** What earlier trapping adds, by who was left alive. [practice] */
export const MET_BEFORE = { shy: 4, some: 2, 'not known': 1.5, none: 1 } as const;

/** Which fears a device of a class stands for. */
export const FEARS_OF: Readonly<Record<DeviceClass, readonly Trait[]>> = {
  bodyGrip: ['bodyGrip'],
  foothold: ['foothold'],
  snare: ['snareWater', 'snareLand'],
  enclosed: [],
};

/** What a night brings, by what is true: practice, or what somebody holds of a colony instead. */
export interface Likely {
  nightly: typeof NIGHTLY;
  passing: typeof PASSING;
}
export const BY_PRACTICE: Likely = { nightly: NIGHTLY, passing: PASSING };

export const NIGHT_ROWS: readonly NightRow[] = ['works', 'shy', 'notInUse', 'mechanical', 'disturbed'];
export const NIGHT_SAWS = ['caught', 'touched', 'sprung', 'meddled', 'baitGone', 'passed', 'turned'] as const;
export type NightSaw = (typeof NIGHT_SAWS)[number];

/** One chance of a night that somebody holds otherwise. */
export interface HeldChance {
  row: NightRow;
  saw: NightSaw;
  share: number;
}

const isPassing = (saw: NightSaw): saw is 'passed' | 'turned' => saw === 'passed' || saw === 'turned';
export const chanceIn = ({ nightly, passing }: Likely, row: NightRow, saw: NightSaw): number =>
  isPassing(saw) ? passing[row][saw] : nightly[row][saw];

/** A table of its own, to be written in. */
const rowsOf = <V extends object>(table: Readonly<Record<NightRow, Readonly<V>>>): Record<NightRow, V> =>
  Object.fromEntries(NIGHT_ROWS.map((row) => [row, { ...table[row] }])) as Record<NightRow, V>;

/** Practice with what somebody holds in its place. */
export function likelyBy(held: readonly HeldChance[]): Likely {
  if (held.length === 0) return BY_PRACTICE;
  const nightly = rowsOf(NIGHTLY);
  const passing = rowsOf(PASSING);
  for (const { row, saw, share } of held)
    if (isPassing(saw)) passing[row][saw] = share;
    else nightly[row][saw] = share;
  return { nightly, passing };
}

/** The rows in which so much happens that no night could go by untouched. */
export const fullRows = ({ nightly }: Likely): NightRow[] =>
  NIGHT_ROWS.filter((row) => Object.values(nightly[row]).reduce((sum, share) => sum + share, 0) >= 0.99);
