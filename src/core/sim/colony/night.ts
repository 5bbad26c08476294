import { ageOf, arrivals, learn, stillHere, type Animal } from './family';
import { iceOn, isIced, mendHour, openDam, runHour, type Day, type Pond } from './pond';
import { AFTER_WORK, HUNGRY, MEETS, MENDING, MENDING_VISITS, STRUCK, VISITS, VISITS_UNDER_ICE, type Gear, type Way } from './rules';

/** A place of the pond, and how much it is used beside others of its sort. */
export interface Ground {
  id: string;
  way: Way;
  use: number;
}

/** A set as animals meet it. */
export interface Post {
  id: string;
  ground: string;
  gear: Gear;
  /** levels at which it works, m from the level of rest, rising */
  bands: readonly { min: number; max: number }[];
  /** its top, m from the level of rest: ice that reaches it holds it fast */
  top: number;
  /** of those that come by so many come to it: its fence, its way, its lure */
  leads: number;
  /** of those it strikes so many it holds */
  holds: number;
}

/** A set that stands: what the night left of it. */
export interface Standing extends Post {
  state: 'set' | 'full' | 'sprung' | 'down';
  animal: number | null;
}

export type Did = 'caught' | 'touched' | 'sprung' | 'meddled' | 'turned' | 'passed' | 'over' | 'frozen' | 'leak' | 'mended';
/** What happened at an hour after dusk. */
export interface Event {
  hour: number;
  did: Did;
  animal: number | null;
  post: string | null;
  ground: string | null;
}

export interface World {
  pond: Pond;
  grounds: readonly Ground[];
  family: Animal[];
  standing: Standing[];
  /** places at which somebody worked today */
  worked: ReadonlySet<string>;
}

/** A pond's break made on purpose before dark. Lengths m. */
export interface Break {
  width: number;
  depth: number;
}

/** Hours of dark, and of the whole round. */
const DARK = 13;
const ROUND = 24;

/**
 * One round of 24 hours from dusk: the water moves by the hour, the animals come by, meet what stands in the water as it is at that hour, are caught,
 * missed, and learn.
 *
 * @param random even chances from 0 to 1
 * @returns everything that happened, by the hour, and the level at each hour
 */
export function liveNight(random: () => number, world: World, day: Day, opened: Break | null): { events: Event[]; levels: number[] } {
  const { pond } = world;
  if (opened && !pond.leak) openDam(pond, opened.width, opened.depth);
  const events: Event[] = [];
  const visits = plannedVisits(random, world);
  const ate = new Set<number>();
  const levels: number[] = [];
  const finds = random() < MENDING.notices;
  for (let hour = 0; hour < ROUND; hour += 1) {
    levels.push(pond.level);
    for (const visit of visits.get(hour) ?? []) comeBy(random, world, visit, events, ate);
    if (finds && hour >= MENDING.after && hour < DARK) mend(random, world, hour, events);
    runHour(pond, day.rain / ROUND);
  }
  for (const animal of world.family) animal.hungry = !ate.has(animal.id);
  return { events, levels };
}

interface Visit {
  animal: Animal;
  ground: Ground;
  hour: number;
}

/** Who comes where in this night, by the hour: most at dusk and before dawn. */
function plannedVisits(random: () => number, { pond, grounds, family, worked }: World): Map<number, Visit[]> {
  const rates = isIced(pond) ? VISITS_UNDER_ICE : VISITS;
  const found = new Map<number, Visit[]>();
  for (const animal of stillHere(family))
    for (const ground of grounds) {
      const rate = rates[ground.way] * ground.use * (worked.has(ground.id) ? AFTER_WORK : 1) * (animal.hungry ? HUNGRY : 1);
      for (let n = arrivals(random, rate); n > 0; n -= 1) {
        const hour = Math.floor(DARK * (random() < 0.5 ? random() ** 2 : 1 - random() ** 2));
        const visit = { animal, ground, hour: Math.min(hour, DARK - 1) };
        found.set(visit.hour, [...(found.get(visit.hour) ?? []), visit]);
      }
    }
  return found;
}

/** Those at home shut the leak, and pass what stands at the dam on their way. */
function mend(random: () => number, world: World, hour: number, events: Event[]): void {
  const { pond, family, grounds } = world;
  if (!pond.leak || isIced(pond)) return;
  const able = stillHere(family).filter((a) => ageOf(a) !== 'kit');
  if (able.length === 0) return;
  if (pond.leak.mended === 0) events.push({ hour, did: 'leak', animal: able[0]?.id ?? null, post: null, ground: null });
  const dams = grounds.filter((g) => g.way === 'dam');
  for (const animal of able)
    for (const ground of dams)
      if (random() < MENDING_VISITS / Math.max(1, dams.length) / 2) comeBy(random, world, { animal, ground, hour }, events, null);
  const left = able.filter((a) => a.gone === null).length;
  if (left > 0 && mendHour(pond, Math.min(left, 3))) events.push({ hour, did: 'mended', animal: null, post: null, ground: null });
}

/** One animal at one place: it meets the sets there one after another until one takes it or turns it. */
function comeBy(
  random: () => number,
  world: World,
  { animal, ground, hour }: Visit,
  ...[events, ate]: [events: Event[], ate: Set<number> | null]
): void {
  if (animal.gone !== null) return;
  const here = world.standing.filter((p) => p.ground === ground.id);
  for (const post of here) {
    const did = meet(random, world, animal, post);
    if (did === null) continue;
    events.push({ hour, did, animal: animal.id, post: post.id, ground: ground.id });
    if (did === 'turned' || animal.gone !== null) return;
  }
  if (here.length === 0) events.push({ hour, did: 'passed', animal: animal.id, post: null, ground: ground.id });
  if (ground.way !== 'dam' && ground.way !== 'run') ate?.add(animal.id);
}

/** What comes of one meeting; null where the set does not fish any more. */
function meet(random: () => number, { pond }: World, animal: Animal, post: Standing): Did | null {
  if (post.state === 'full' && !animal.hungry) learn(animal, post.gear, 'kin');
  if (post.state !== 'set') return null;
  if (isIced(pond) && post.top > pond.level - iceOn(pond)) return 'frozen';
  if (!post.bands.some((b) => pond.level >= b.min && pond.level <= b.max)) return 'over';
  if (random() < animal.shy[post.gear]) return 'turned';
  if (random() >= post.leads) return 'passed';
  const did = struck(random, animal, post);
  if (did === 'passed') learn(animal, post.gear, 'passed');
  else settle(animal, post, did);
  return did;
}

function struck(random: () => number, animal: Animal, { gear, holds }: Standing): 'caught' | 'touched' | 'sprung' | 'meddled' | 'passed' {
  const share = STRUCK[gear][ageOf(animal)];
  let chance = random();
  for (const what of ['caught', 'touched', 'sprung', 'meddled'] as const) {
    chance -= MEETS[gear][what] * (what === 'meddled' ? 1 : share);
    if (chance < 0) return what === 'caught' && random() >= holds ? 'touched' : what;
  }
  return 'passed';
}

function settle(animal: Animal, post: Standing, did: 'caught' | 'touched' | 'sprung' | 'meddled'): void {
  post.state = did === 'caught' ? 'full' : did === 'meddled' ? 'down' : 'sprung';
  if (did !== 'caught') return learn(animal, post.gear, did);
  animal.gone = 'caught';
  post.animal = animal.id;
}
