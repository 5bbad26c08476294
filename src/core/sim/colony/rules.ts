import type { DeviceClass } from '../../devices/sizes';

/** What a modelled colony is trapped with. */
export type Gear = Exclude<DeviceClass, 'enclosed'>;
export const GEAR: readonly Gear[] = ['bodyGrip', 'foothold', 'snare'];

/** What an animal uses a place for: that says how often it comes. */
export const WAYS = ['run', 'dam', 'crossing', 'shore', 'mound', 'pile'] as const;
export type Way = (typeof WAYS)[number];

/** How often one animal comes by one place of a sort in a night of open water. [practice] */
export const VISITS: Readonly<Record<Way, number>> = { run: 0.4, dam: 0.25, crossing: 0.15, shore: 0.1, mound: 0.1, pile: 0.12 };
/** Under ice they stay between house and pile. [practice] */
export const VISITS_UNDER_ICE: Readonly<Record<Way, number>> = { run: 0.3, dam: 0.03, crossing: 0, shore: 0, mound: 0, pile: 0.25 };
/** Each that mends a leak comes to the dam so often more. [practice] */
export const MENDING_VISITS = 1.2;

/** What a set that works does to an adult that comes by and shies from nothing; what is left of 1 passes untouched. [practice] */
export const MEETS: Readonly<Record<Gear, Readonly<Record<'caught' | 'touched' | 'sprung' | 'meddled', number>>>> = {
  bodyGrip: { caught: 0.25, touched: 0.05, sprung: 0.05, meddled: 0.04 },
  foothold: { caught: 0.19, touched: 0.08, sprung: 0.06, meddled: 0.04 },
  snare: { caught: 0.2, touched: 0.05, sprung: 0.01, meddled: 0.09 },
};
/** Of kits and yearlings so many of those are struck; the rest pass. [practice] */
export const STRUCK: Readonly<Record<Gear, Readonly<Record<Age, number>>>> = {
  bodyGrip: { kit: 0.75, yearling: 0.95, adult: 1 },
  foothold: { kit: 0.85, yearling: 1, adult: 1 },
  snare: { kit: 0.6, yearling: 0.9, adult: 1 },
};

export const AGES = ['kit', 'yearling', 'adult'] as const;
export type Age = (typeof AGES)[number];

/** How much nearer to certain one event brings an animal to turning away from such gear: a miss of a body-grip most, a brushed snare next to nothing. [practice] */
export const LEARNS: Readonly<Record<Gear, Readonly<Record<'touched' | 'sprung' | 'meddled' | 'passed' | 'kin', number>>>> = {
  bodyGrip: { touched: 0.55, sprung: 0.4, meddled: 0.05, passed: 0.02, kin: 0.06 },
  foothold: { touched: 0.4, sprung: 0.3, meddled: 0.05, passed: 0.02, kin: 0 },
  snare: { touched: 0.12, sprung: 0.05, meddled: 0.03, passed: 0.01, kin: 0.03 },
};
/** Colonies that shy from a sort of gear before this season. [practice] */
export const SHY_BEFORE: Readonly<Record<Gear, number>> = { bodyGrip: 0.08, foothold: 0.04, snare: 0.04 };
/** How surely such an animal turns away. [practice] */
export const SHY = 0.75;

/** A place at which somebody worked in the day is passed by so much less in the night. [practice] */
export const AFTER_WORK = 0.85;
/** One that got nothing to eat comes so much more the next night. [practice] */
export const HUNGRY = 1.25;

/** Of a family: kits and yearlings for each pair of adults. [practice] */
export const YOUNG_SHARE = { kit: 0.4, yearling: 0.27 } as const;
/** Weights in autumn, and what a kit gains a night until its first birthday, kg. [practice] */
export const WEIGHT: Readonly<Record<Age, number>> = { kit: 6, yearling: 12, adult: 20 };
export const KIT_GAINS = 0.02;
/** A two year old leaves in spring, a night of March to May; anything dies of itself so seldom, a night. [practice] */
export const LEAVES = 0.03;
export const DIES = 0.0003;

/** Hours after sunset at which a leak is found, and hours of one animal's work that shut it. [practice] */
export const MENDING = { after: 2, hours: 5, notices: 0.85 } as const;
/** Less ice than this carries no change, m; ice grows with the root of frost, m per √(°C·day). [practice] @source Stefan, a sheltered pond, from memory */
export const ICE = { over: 0.02, grows: 0.014 } as const;

/** Minutes of a day at the line: the way there and back, a look, a remake, a catch with its remake, and placing one. [practice] */
export const MINUTES = { way: 40, look: 4, remake: 9, caught: 18, opens: 12, placing: { bodyGrip: 9, foothold: 14, snare: 8 } } as const;
