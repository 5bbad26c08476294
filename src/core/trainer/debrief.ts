import { postsOf } from '../colony/posts';
import { suggestionsFor } from '../planning/suggest';
import { setTypeOf } from '../sets/catalogue';
import { layOut, placeOf, usualDevices } from '../sets/standing';
import { byAge, stillHere } from '../sim/colony/family';
import type { Event, Post } from '../sim/colony/night';
import type { Age, Gear } from '../sim/colony/rules';
import { liveMany } from '../sim/colony/seasons';
import { offeredAt } from '../stations/offered';
import { LESSONS } from './lessons';
import type { Lesson } from './lived';
import { TAIL, type Stranger } from './stranger';

/** What the animals really did at one place. */
export interface PlaceTold {
  station: string;
  used: boolean;
  /** how often one came by in all nights */
  passes: number;
  /** of those at a set: outside its levels or frozen in, and turned away */
  idle: number;
  turned: number;
  caught: number;
  /** nights that a set stood there */
  nights: number;
}

export interface Debrief {
  places: PlaceTold[];
  lived: number;
  caught: number;
  left: Record<Age, number>;
  /** how surely those left turn from each sort of gear, on the average, 0 to 1 */
  shy: Partial<Record<Gear, number>>;
  /** what a plain plan catches on this pond: four in five seasons lie between */
  plain: { low: number; high: number };
}

/** From so much use on a place is one that is lived at. */
const USED = 0.3;

/** What really happened, once the lesson is over. */
export function debrief(pond: Stranger, lesson: Lesson): Debrief {
  const { nights, world } = lesson.hidden;
  const events = nights.flat();
  const here = stillHere(world.family);
  const gears = [...new Set(lesson.sets.map((s) => s.gear))];
  return {
    places: pond.stations.map(({ id }) => placeTold(pond, lesson, id, events)),
    lived: world.family.length,
    caught: world.family.filter((a) => a.gone === 'caught').length,
    left: byAge(here),
    shy: Object.fromEntries(
      gears.map((gear) => [gear, here.length === 0 ? 0 : here.reduce((all, a) => all + a.shy[gear], 0) / here.length]),
    ),
    plain: plainPlan(pond),
  };
}

function placeTold(pond: Stranger, lesson: Lesson, station: string, events: readonly Event[]): PlaceTold {
  const own = events.filter((e) => e.ground === station);
  const count = (...dids: Event['did'][]): number => own.filter((e) => dids.includes(e.did)).length;
  const sets = lesson.sets.filter((s) => s.build.station === station).map((s) => s.build.id);
  return {
    station,
    used: (pond.grounds.find((g) => g.id === station)?.use ?? 0) >= USED,
    passes: own.length,
    idle: count('over', 'frozen'),
    turned: count('turned'),
    caught: count('caught'),
    nights: new Set(lesson.looks.filter((l) => sets.includes(l.set)).map((l) => l.day)).size,
  };
}

/** The best set for each place that is used, in the gear that was lent, all on the first day and remade each morning. */
function plainPlan(pond: Stranger): Debrief['plain'] {
  const lesson = LESSONS[pond.level];
  const posts = plainPosts(pond);
  const plan = { posts, traps: posts.length, pace: Infinity, breaks: null, every: 1, minutes: Infinity };
  const taught = { bodyGrip: 0, foothold: 0, snare: 0, ...Object.fromEntries(pond.before.map((gear) => [gear, 1])) };
  const setting = {
    ...{ acres: pond.acres, inflow: pond.inflow, grounds: pond.grounds, nights: lesson.nights, month: 11, cold: lesson.cold },
    lived: { expected: pond.family.length, least: Math.max(1, pond.family.length - 1), taught },
  };
  const { values } = liveMany({ setting, plan, seasons: 200, seed: pond.seed });
  const sorted = [...values.caught].sort((a, b) => a - b);
  return { low: sorted[Math.floor(sorted.length * 0.1)] ?? 0, high: sorted[Math.floor(sorted.length * 0.9)] ?? 0 };
}

export function plainPosts(pond: Stranger): Post[] {
  const free = new Map<string, number>();
  for (const { class: gear } of pond.traps) free.set(gear, (free.get(gear) ?? 0) + 1);
  const rest = { pond: 0, tail: TAIL };
  return pond.stations.flatMap((station) => {
    if ((pond.grounds.find((g) => g.id === station.id)?.use ?? 0) < USED) return [];
    const offers = suggestionsFor('beaver', { ...offeredAt(station, rest, false), shyOf: pond.before }, 11);
    const found = offers.find(({ built }) => (free.get(setTypeOf(built).usual.class) ?? 0) > 0);
    if (!found) return [];
    const type = setTypeOf(found.built);
    const { class: gear } = type.usual;
    const devices = usualDevices(type);
    const design = layOut(type, { numbers: {}, choices: {}, then: rest, place: placeOf(station), devices }, 'us');
    const built = { id: station.id, ground: station.id, kind: station.kind, gear: gear as Gear, design, rest };
    const posts = postsOf(built, Object.keys(devices).slice(0, free.get(gear) ?? 0));
    free.set(gear, (free.get(gear) ?? 0) - posts.length);
    return posts;
  });
}
