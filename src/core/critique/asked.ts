import type { Picked } from '../words/schools';
import type { Attract } from '../lure/lure';
import type { DeviceClass } from '../devices/sizes';
import type { TrapSet } from '../record/kinds';
import type { Design } from '../sets/design';
import type { FilledPosition, SetType } from '../sets/setType';
import type { HoleFeel } from '../scouting/lodge';
import type { Known } from '../water/levels';

type Species = TrapSet['species'];

/** What the record holds of a place and of the sets near it: plain values, so that the bench asks anew while numbers change. */
export interface Around {
  /** of the reader's today, 1 to 12 */
  month: number;
  /** what its sign says of its use, and the animals whose sign was noted there */
  use: { verdict: 'holds' | 'warns' | 'fails' | 'unknown'; said: string };
  seen: string[];
  /** found plugged, and nothing of use since */
  isPlugged: boolean;
  /** classes of device that were used here before, with the sentence that says so */
  met: Partial<Record<DeviceClass, string>>;
  /** who else uses the ground, as it was written down; empty where nobody said */
  users: string;
  /** passages that were counted, and how many have a set */
  passages: { count: number; set: number } | null;
  /** ice lies on the water now */
  isFrozen: boolean;
  /** degrees C of the coldest hour told until the next check; null where no weather is told */
  coldest: number | null;
  /** what came of this set since it was last changed, by outcome, newest look first */
  looks: string[];
  /** how many went round it before the camera since the last look; 0 where one was seen at the set */
  wentRound: number;
  /** earlier sets of the type at this place that were pulled without a catch: the looks they had */
  failedHere: number;
  /** other live sets of the type on this water, their looks and catches; and the types that caught there */
  alike: { sets: number; looks: number; caught: number };
  caughtBy: string[];
  /** a snare that stands in it caught before, and its cable was not replaced: its tag */
  spentCable: string;
  /** by the forecast it stands idle at its check, or cannot be reached then: the sentence */
  idleAhead: string;
  cutOff: string;
  /** animals that are closed today by the rulebook in force, and what it says against the set as it stands */
  closed: string[];
  against: string[];
  /** free snares in the shed */
  spareSnares: number;
  /** a camera watched its place of late, and it stands idle now: why, in a word; empty where it works or none did */
  watchedIdle: string;
  /** how often its anchor was found dragged since it was last changed */
  dragged: number;
  /** the schools that its line picked */
  schools: Picked;
  /** mm of rain since it was last made; null where no weather is told */
  rain: number | null;
  /** nights since it was last made; null where it is not live */
  nights: number | null;
  /** a boot sinks past the knee there; its level moves, as it was measured; null where nobody measured it */
  isSoft: boolean | null;
  isMoving: boolean | null;
  /** degrees of slope of the log or slide, as it was measured there; null where nobody did */
  slope: number | null;
  /** pelts found slipping, and chewed or eaten, in the catches of this set */
  pelts: { slipping: number; eaten: number };
  /** how often a catch lay short of the deep end, on the bank or wrapped, since it was last made */
  layShort: number;
  /** m of ice at its place by the next check, the thick end; null where no sheet or no weather is told */
  iceNext: number | null;
  /** what the chisel felt through the hole of the set, and where it felt clear; null where no hole of its place was felt */
  felt: { own: HoleFeel | null; clear: string } | null;
  /** until the check the wind comes over the water onto its bank: from where, in words; empty where not, or none is told */
  leeward: string;
  /** what lies near it on the ground, and how far off, m: logs across the way, crest and road as they were drawn */
  near: { what: 'log' | 'dam crest' | 'road'; name: string; apart: number }[];
  /** its place has a position, a photo, a measured depth */
  hasPosition: boolean;
  hasPhoto: boolean;
  hasDepth: boolean;
}

/** A place of which nothing is known that speaks against a set: what is known is put over it. */
export const NOTHING_AROUND: Omit<Around, 'month' | 'use' | 'seen'> = {
  ...{ isPlugged: false, met: {}, users: '', passages: null, isFrozen: false, coldest: null, looks: [], wentRound: 0, failedHere: 0 },
  ...{ alike: { sets: 0, looks: 0, caught: 0 }, caughtBy: [], spentCable: '', idleAhead: '', cutOff: '', closed: [], against: [] },
  ...{ spareSnares: 0, watchedIdle: '', dragged: 0, schools: {}, rain: null, nights: null, isSoft: null, isMoving: null, slope: null },
  ...{ pelts: { slipping: 0, eaten: 0 }, layShort: 0, iceNext: null, felt: null, leeward: '', near: [] },
  ...{ hasPosition: true, hasPhoto: true, hasDepth: true },
};

/** A set as it is built, and what is known around it. */
export interface Asked {
  type: SetType;
  species: Species;
  state: TrapSet['state'];
  numbers: Readonly<Record<string, number>>;
  choices: Readonly<Record<string, string>>;
  devices: Readonly<Record<string, FilledPosition>>;
  /** what draws to it, where somebody said */
  lures?: readonly Attract[] | undefined;
  design: Design;
  then: Known;
  /** the water that it is judged by */
  surface: 'pond' | 'tail';
  anchor: string;
  around: Around;
}
