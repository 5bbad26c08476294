import { postsOf } from '../colony/posts';
import type { Design } from '../sets/design';
import { layOut, placeOf, type Laid } from '../sets/standing';
import { setTypeOf } from '../sets/catalogue';
import type { FilledPosition } from '../sets/setType';
import { weighed } from '../critique/weigh';
import { ageOf, growOlder, type Animal } from '../sim/colony/family';
import { liveNight, type Break, type Event, type Standing, type World } from '../sim/colony/night';
import { freeze, iceOn, isIced, pondAtRest, type Pond } from '../sim/colony/pond';
import { MINUTES, type Age, type Gear } from '../sim/colony/rules';
import { seedOf } from '../sim/colony/seasons';
import { seeded } from '../sim/random';
import { inches } from '../units/factors';
import type { Known } from '../water/levels';
import { LESSONS } from './lessons';
import { TAIL, type Stranger } from './stranger';

/** A set as it was built at the bench. */
export interface Build {
  id: string;
  station: string;
  type: string;
  numbers: Readonly<Record<string, number>>;
  choices: Readonly<Record<string, string>>;
  /** lent traps by position */
  traps: Readonly<Record<string, string>>;
  anchor: string;
}

/** What a player does, in order: a lesson is its seed and these. */
export type Move =
  { do: 'set'; build: Build } | { do: 'remake'; id: string } | { do: 'pull'; id: string } | { do: 'night'; opens: boolean };

/** How a trap was found. */
export type Found = 'caught' | 'touched' | 'sprung' | 'meddled' | 'frozen' | 'outside' | 'untouched';

export interface Look {
  day: number;
  set: string;
  trap: string;
  found: Found;
  animal: { age: Age; weight: number } | null;
}

export interface LaidSet {
  build: Build;
  design: Design;
  gear: Gear;
  /** as it stood: the pond then, m from rest */
  then: Known;
  pulled: boolean;
}

/** A lesson as far as it was lived. */
export interface Lesson {
  day: number;
  over: boolean;
  /** minutes of today that are gone */
  minutes: number;
  sets: LaidSet[];
  looks: Look[];
  /** fresh tracks by place, found in the morning of a day */
  tracks: { day: number; station: string; went: 'by' | 'round' }[];
  /** the leak was opened in the evening of that day, and closed by the morning */
  leaks: { day: number; closed: boolean }[];
  levels: Known;
  ice: number;
  /** level of each morning, m from rest */
  mornings: number[];
  /** what nobody sees before the end */
  hidden: { world: World; nights: Event[][] };
}

/** The break of a lesson: two small ones at the dam. [practice] */
export const OPENED: Break = { width: inches(12), depth: inches(6) };

/** Of each finding that fails so much of what is struck is still held; and of each that mostly costs the catch. [practice] */
const FAILS = 0.4;
const LIKELY = 0.75;

const trapsOf = (pond: Stranger, { traps }: Build): Record<string, FilledPosition> =>
  Object.fromEntries(
    Object.entries(traps).flatMap(([position, id]) => {
      const own = pond.traps.find((t) => t.id === id);
      return own ? [[position, { class: own.class, size: own.size }]] : [];
    }),
  );

/** The design of a set as it is built there. @throws RangeError of a place that the pond does not have */
export function designOfBuild(pond: Stranger, build: Build, then: Known): { design: Design; gear: Gear; laid: Laid } {
  const station = pond.stations.find((s) => s.id === build.station);
  if (!station) throw new RangeError(`no place ${build.station} on this pond`);
  const type = setTypeOf(build.type);
  const devices = trapsOf(pond, build);
  const laid: Laid = { numbers: { ...build.numbers }, choices: { ...build.choices }, then, place: placeOf(station), devices };
  const [first] = Object.values(devices);
  const gear = (first?.class ?? type.usual.class) as Gear;
  return { design: layOut(type, laid, 'us'), gear, laid };
}

/** How much of what it strikes a set holds, by what its own design says of itself. */
function heldShare(design: Design): number {
  const weights = design.findings.map((f) => weighed(f));
  const fails = weights.filter((w) => w === 'dangerous' || w === 'will fail').length;
  const likely = weights.filter((w) => w === 'likely to fail').length;
  return FAILS ** fails * LIKELY ** likely;
}

/** Lives a lesson by its moves, from its seed: nothing but these two is kept anywhere. Moves after its end are left out. */
export function lived(pond: Stranger, moves: readonly Move[]): Lesson {
  const water = pondAtRest(pond.acres, pond.inflow);
  const family: Animal[] = pond.family.map((a) => ({ ...a, shy: { ...a.shy } }));
  const world: World = { pond: water, grounds: pond.grounds, family, standing: [], worked: new Set() };
  const lesson: Lesson = {
    ...{ day: 1, over: false, minutes: MINUTES.way, sets: [], looks: [], tracks: [], leaks: [], ice: 0, mornings: [0] },
    levels: levelsOf(water),
    hidden: { world, nights: [] },
  };
  for (const move of moves) if (!lesson.over) play(pond, lesson, move);
  return lesson;
}

/** The water and its sheet as a set is measured from them. */
const levelsOf = (water: Pond): Known => ({ pond: water.level, tail: TAIL, ...(isIced(water) ? { sheet: iceOn(water) } : {}) });

function play(pond: Stranger, lesson: Lesson, move: Move): void {
  const { world } = lesson.hidden;
  switch (move.do) {
    case 'set':
      return place(pond, lesson, move.build);
    case 'remake':
      for (const [at, post] of world.standing.entries())
        if (setOf(post) === move.id && post.state !== 'set') world.standing[at] = { ...post, state: 'set', animal: null };
      spend(lesson, minutesFor(lesson, move));
      work(lesson, move.id);
      return;
    case 'pull':
      world.standing = world.standing.filter((p) => setOf(p) !== move.id);
      for (const set of lesson.sets) if (set.build.id === move.id) set.pulled = true;
      spend(lesson, minutesFor(lesson, move));
      return;
    case 'night':
      return sleep(pond, lesson, move.opens);
  }
}

const setOf = ({ id }: Pick<Standing, 'id'>): string => id.slice(0, id.lastIndexOf('.'));
const spend = (lesson: Lesson, minutes: number): void => void (lesson.minutes += minutes);

function work(lesson: Lesson, id: string): void {
  const station = lesson.sets.find((s) => s.build.id === id)?.build.station;
  const { world } = lesson.hidden;
  if (station) world.worked = new Set([...world.worked, station]);
}

/** Minutes that a move takes. */
export function minutesFor(lesson: Lesson, move: Move): number {
  switch (move.do) {
    case 'set':
      return MINUTES.placing[gearOf(move.build)];
    case 'pull':
      return MINUTES.look;
    case 'remake': {
      const full = lesson.hidden.world.standing.some((p) => setOf(p) === move.id && p.state === 'full');
      return full ? MINUTES.caught : MINUTES.remake;
    }
    case 'night':
      return move.opens ? MINUTES.opens : 0;
  }
}
const gearOf = ({ type }: Build): Gear => setTypeOf(type).usual.class as Gear;

/** Whether a move still fits into its day. */
export const fits = (pond: Stranger, lesson: Lesson, move: Move): boolean =>
  lesson.minutes + minutesFor(lesson, move) <= LESSONS[pond.level].minutes;

function place(pond: Stranger, lesson: Lesson, build: Build): void {
  const { design, gear } = designOfBuild(pond, build, lesson.levels);
  const station = pond.stations.find((s) => s.id === build.station);
  if (!station) return;
  const { world } = lesson.hidden;
  // the same set built anew stands instead of the old one
  world.standing = world.standing.filter((p) => setOf(p) !== build.id);
  lesson.sets = lesson.sets.filter((s) => s.build.id !== build.id);
  const rest = { ...lesson.levels, pond: 0 };
  const posts = postsOf(
    { id: build.id, ground: build.station, kind: station.kind, gear, design, rest, holds: heldShare(design) },
    Object.keys(build.traps),
  );
  world.standing.push(...posts.map((post): Standing => ({ ...post, state: 'set', animal: null })));
  lesson.sets.push({ build, design, gear, then: lesson.levels, pulled: false });
  spend(lesson, MINUTES.placing[gear]);
  work(lesson, build.id);
}

/** A night goes by, and in the morning everything is looked at. */
function sleep(pond: Stranger, lesson: Lesson, opens: boolean): void {
  const { world, nights } = lesson.hidden;
  const random = seeded(seedOf(pond.seed, lesson.day));
  const weather = pond.days[lesson.day - 1] ?? { rain: 0, air: 5 };
  const { events } = liveNight(random, world, weather, opens ? OPENED : null);
  nights.push(events);
  freeze(world.pond, weather);
  growOlder(random, world.family, 11);
  if (opens) lesson.leaks.push({ day: lesson.day, closed: events.some((e) => e.did === 'mended') });
  lesson.day += 1;
  lesson.levels = levelsOf(world.pond);
  lesson.ice = iceOn(world.pond);
  lesson.mornings.push(world.pond.level);
  for (const post of world.standing) lesson.looks.push(lookAt(lesson, post, events));
  lesson.tracks.push(...tracksOf(pond, lesson, events, random));
  lesson.minutes = MINUTES.way + world.standing.length * MINUTES.look;
  world.worked = new Set();
  lesson.over = lesson.day > LESSONS[pond.level].nights;
}

function lookAt({ day, hidden: { world } }: Lesson, post: Standing, events: readonly Event[]): Look {
  const base = { day, set: setOf(post), trap: post.id.slice(post.id.lastIndexOf('.') + 1), animal: null };
  if (post.state === 'full') {
    const animal = world.family.find((a) => a.id === post.animal);
    return { ...base, found: 'caught', animal: animal ? { age: ageOf(animal), weight: animal.weight } : null };
  }
  if (post.state === 'down') return { ...base, found: 'meddled' };
  if (post.state === 'sprung') {
    const isHurt = events.some((e) => e.post === post.id && e.did === 'touched');
    return { ...base, found: isHurt ? 'touched' : 'sprung' };
  }
  if (isIced(world.pond) && post.top > world.pond.level - iceOn(world.pond)) return { ...base, found: 'frozen' };
  const works = post.bands.some((b) => world.pond.level >= b.min && world.pond.level <= b.max);
  return { ...base, found: works ? 'untouched' : 'outside' };
}

/** What passed leaves tracks, of which some are seen. */
function tracksOf(pond: Stranger, { day }: Lesson, events: readonly Event[], random: () => number): Lesson['tracks'] {
  const { tracks } = LESSONS[pond.level];
  return pond.stations.flatMap(({ id }) => {
    const own = events.filter((e) => e.ground === id);
    if (own.length === 0 || random() >= tracks) return [];
    return [{ day, station: id, went: own.some((e) => e.did === 'turned') ? ('round' as const) : ('by' as const) }];
  });
}
