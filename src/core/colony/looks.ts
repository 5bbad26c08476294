import type { DeviceClass } from '../devices/sizes';
import type { Felt, Outcome } from '../record/checks';

/** What a look, or a camera, tells of an animal that met a set. */
export const SAW = ['caught', 'touched', 'sprung', 'meddled', 'baitGone', 'untouched'] as const;
export type Saw = (typeof SAW)[number];

/** What animals can learn to shy from. `nothing`: of nothing that was tried. */
export const FEARS = [
  'nothing',
  'bodyGrip',
  'foothold',
  'snareWater',
  'snareLand',
  'scentBank',
  'scentWater',
  'fence',
  'skyline',
  'heavy',
  'onLand',
  'atLodge',
  'atDam',
] as const;
export type Fear = (typeof FEARS)[number];
export type Trait = Exclude<Fear, 'nothing'>;

/** What can be wrong with one set, whatever animals fear. */
export const STATES = ['works', 'notInUse', 'mechanical', 'disturbed'] as const;
export type LocalState = (typeof STATES)[number];

/** One device between two looks. */
export interface Look {
  saw: Saw;
  /** nights in its working range since the look before; with a catch or a contact, at least a part of one */
  nights: number;
  device: DeviceClass;
  at: Date;
  /** what the animal felt that got away; left out where nobody said */
  felt?: Felt;
  /** what those that are left took along of it; left out where they met nothing */
  lesson?: Lesson;
}

/** What can teach an animal of a device: it was missed, held and got away, fired it, meddled with it, or came to one that lay in it and bit it. */
export const LESSONS = ['missed', 'escaped', 'sprung', 'meddled', 'bitten'] as const;
export type Lesson = (typeof LESSONS)[number];

/** One night in which a camera at a set, or its tracks, showed an animal that was not caught. */
export interface Pass {
  did: 'passed' | 'turned';
  at: Date;
}

/** Everything known of one set. */
export interface SetHistory {
  id: string;
  place: string;
  name: string;
  traits: readonly Trait[];
  looks: readonly Look[];
  passes: readonly Pass[];
  /** 0 to 1 by the sign at its place; null where none was noted */
  inUse: number | null;
}

const SAID: Partial<Record<Outcome, Saw>> = {
  miss: 'touched',
  escaped: 'touched',
  'sprung empty': 'sprung',
  knocked: 'meddled',
  plugged: 'meddled',
  'bait taken': 'baitGone',
  untouched: 'untouched',
};

/** Causes of a sprung trap that tell nothing of any animal. */
const NO_ANIMAL: readonly string[] = ['current or debris', 'own chisel', 'neighbour on the shared tie', 'thief'];

interface Found {
  outcome: Outcome;
  cause: string;
  baitBy?: string;
  catch: { species: string } | null;
}

/** Who took a bait, and is none of the colony. */
const OTHERS: readonly string[] = ['another animal', 'birds', 'water or ice'];

/** What a device as it was found tells of a colony; null where it tells nothing: another animal, the weather, a thief, nobody looked. */
export function sawOf({ outcome, cause, baitBy = 'not said', catch: caught }: Found, species: string): Saw | null {
  if (outcome === 'catch') return caught?.species === species ? 'caught' : null;
  if (outcome === 'sprung empty' && cause === 'animal') return 'touched';
  if (outcome === 'sprung empty' && NO_ANIMAL.includes(cause)) return null;
  if (outcome === 'bait taken' && OTHERS.includes(baitBy)) return null;
  return SAID[outcome] ?? null;
}

const TAUGHT: Partial<Record<Saw, Lesson>> = { touched: 'missed', sprung: 'sprung', meddled: 'meddled' };

/** What a device as it was found taught those that are left; undefined where it taught them nothing. @param saw as `sawOf` reads it */
export function lessonOf(saw: Saw, { outcome, catch: caught }: { outcome: Outcome; catch: { bites: string } | null }): Lesson | undefined {
  if (saw === 'caught') return caught?.bites === 'fresh' ? 'bitten' : undefined;
  return outcome === 'escaped' ? 'escaped' : TAUGHT[saw];
}
