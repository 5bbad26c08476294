import type { Lived } from '../sim/colony/family';
import type { Gear } from '../sim/colony/rules';

/** How hard a stranger's pond is. */
export const LEVELS = ['first', 'usual', 'hard'] as const;
export type Level = (typeof LEVELS)[number];

/** What a lesson gives and takes. */
interface Terms {
  /** places on the pond, and how many of them nobody uses any more */
  places: number;
  idle: number;
  nights: number;
  /** of a day */
  minutes: number;
  /** body-grips, footholds and snares there are */
  traps: readonly { gear: Gear; size: string; count: number }[];
  lived: Lived;
  /** day about which frost sets in; Infinity for none */
  cold: number;
  /** chance of a storm on a day is as in the model; a wet lesson brings one for sure on this day */
  storm: number | null;
  /** chance that what passed leaves tracks that somebody sees */
  tracks: number;
}

const UNTAUGHT = { bodyGrip: 0, foothold: 0, snare: 0 };

/** Three ponds to learn on. Numbers of our own. [practice] */
export const LESSONS: Readonly<Record<Level, Terms>> = {
  first: {
    places: 5,
    idle: 1,
    nights: 5,
    minutes: 180,
    traps: [
      { gear: 'bodyGrip', size: '330', count: 3 },
      { gear: 'snare', size: '10', count: 1 },
    ],
    lived: { expected: 5, least: 4, taught: UNTAUGHT },
    cold: Infinity,
    storm: null,
    tracks: 0.8,
  },
  usual: {
    places: 7,
    idle: 2,
    nights: 8,
    minutes: 180,
    traps: [
      { gear: 'bodyGrip', size: '330', count: 4 },
      { gear: 'foothold', size: '5', count: 2 },
      { gear: 'snare', size: '10', count: 2 },
    ],
    lived: { expected: 6, least: 3 },
    cold: Infinity,
    storm: 3,
    tracks: 0.55,
  },
  hard: {
    places: 8,
    idle: 3,
    nights: 10,
    minutes: 150,
    traps: [
      { gear: 'bodyGrip', size: '330', count: 3 },
      { gear: 'foothold', size: '5', count: 2 },
      { gear: 'snare', size: '10', count: 3 },
    ],
    lived: { expected: 6, least: 3, taught: { bodyGrip: 0.75, foothold: 0.1, snare: 0.05 } },
    cold: 7,
    storm: 2,
    tracks: 0.35,
  },
};
