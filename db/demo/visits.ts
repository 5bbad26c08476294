import type { Catch, Check, CheckedDevice, TrapSet } from '#core/record/kinds';
import type { Outcome } from '#core/record/checks';
import { POUND } from '#core/units/factors';

interface VisitPlan {
  set: TrapSet;
  species: 'beaver' | 'muskrat' | 'mink';
  yields: number;
  dry: boolean;
  deep: boolean;
  /** days back */
  day: number;
  /** untouched visits in a row so far */
  calm: number;
  random: () => number;
  make: () => string;
  at: Date;
  by: string;
}

/** Set and day of the catches that every demo has: an otter in its closed season, a mink, a beaver seen alive. */
const SURE: readonly (readonly [number, number])[] = [
  [20, 12],
  [51, 8],
  [24, 5],
  [12, 18],
  [27, 3],
];

/** What a visit found, by the demo's own dice: it knows nothing of the program's estimates. */
export function visitOf(plan: VisitPlan): Check {
  const { set, at, by, make } = plan;
  const devices = set.stays.map((stay) => deviceOf(plan, stay.id));
  const worked = devices.some((d) => d.outcome !== 'untouched' && d.outcome !== 'not reached');
  const second = plan.calm >= 1 && devices.every((d) => d.outcome === 'untouched') && plan.calm % 3 === 1;
  return {
    id: make(),
    set: set.id,
    at: at.toISOString(),
    by,
    change: worked && !plan.dry && !plan.deep ? 'remade' : 'as it was',
    changeNote: worked && plan.day < 8 && plan.species === 'beaver' ? 'old sticks out, bank slicked' : '',
    asked: second ? { seenOnCamera: 'do not know', inUse: 'yes', usedBefore: 'body-grips, two seasons ago' } : null,
    devices,
    took: tookOf(plan, devices, worked),
    photo: null,
    note: '',
  };
}

/** From how many days back the crew wrote its minutes. */
const TIMED = 6;

/** Minutes at the set, to the half; those of long ago were not written. */
function tookOf({ set, day }: VisitPlan, devices: Check['devices'], worked: boolean): number | null {
  if (day > TIMED) return null;
  const by = ((set.number * 7 + day * 3) % 7) / 2;
  if (devices.some((d) => d.catch)) return 13 + by;
  return worked ? 7 + by : 1.5 + by / 2;
}

function outcomeOf({ set, yields, dry, deep, day, random }: VisitPlan): Outcome {
  if (set.number === 45 && day === 11) return 'missing';
  if (SURE.some(([number, on]) => number === set.number && on === day)) return 'catch';
  if (dry) return 'out of water';
  if (deep) return 'flooded';
  // the colony learns: from the second week on misses and empty traps take the place of catches
  const learned = day < 10 && set.species === 'beaver' ? 0.45 : 1;
  const dice = random();
  if (dice < yields * learned) return 'catch';
  if (dice < yields * 1.4) return learned < 1 ? 'miss' : 'sprung empty';
  if (dice < yields * 1.4 + 0.03) return set.type === 'channel-snare' ? 'knocked' : 'plugged';
  return 'untouched';
}

function deviceOf(plan: VisitPlan, stay: string): CheckedDevice {
  const { random, make } = plan;
  const outcome = outcomeOf(plan);
  return {
    id: make(),
    stay,
    outcome,
    cause: outcome === 'sprung empty' ? (random() < 0.5 ? 'current or debris' : 'do not know') : 'not asked',
    flags: outcome === 'miss' ? ['place visited', 'went round'] : outcome === 'catch' && random() < 0.3 ? ['place visited'] : [],
    felt: 'not said',
    baitBy: 'not said',
    searched: outcome === 'missing' ? 'from the tie outward, along both banks to the next bend, with a rake in the pool' : '',
    catch: outcome === 'catch' ? caught(plan) : null,
  };
}

function caught({ species, random, make, set, day }: VisitPlan): Catch {
  const pick = <T>(...options: T[]): T => options[Math.floor(random() * options.length)] as T;
  // one otter in the closed season: released alive and reported
  if (set.number === 20 && day === 12) {
    return {
      id: make(),
      species: 'otter',
      sex: 'unknown',
      age: 'adult',
      weight: null,
      estimated: true,
      strikes: ['front foot'],
      alive: true,
      pelt: 'not looked',
      eatenBy: 'not said',
      lay: 'not said',
      bites: 'none',
      fate: 'released',
      tag: '',
    };
  }
  if (species === 'muskrat') {
    const mink = set.number === 51 && day === 8;
    const pounds = mink ? 2.2 : 1.8 + random() * 1.4;
    return {
      id: make(),
      species: mink ? 'mink' : 'muskrat',
      sex: pick('female', 'male'),
      age: pick('adult', 'yearling'),
      weight: Math.round(pounds * POUND * 100) / 100,
      estimated: random() < 0.5,
      strikes: [pick('front foot', 'hind foot')],
      alive: false,
      pelt: 'not looked',
      eatenBy: 'not said',
      lay: 'not said',
      bites: 'not looked',
      fate: 'kept',
      tag: '',
    };
  }
  const age = pick('adult', 'adult', 'two years', 'yearling', 'kit');
  const pounds = { adult: 38, 'two years': 28, yearling: 19, kit: 11 }[age] + random() * 9;
  const foothold = set.type === 'castor-foothold';
  return {
    id: make(),
    species: 'beaver',
    sex: pick('female', 'male', 'unknown'),
    age,
    weight: (Math.round(pounds * 2) / 2) * POUND,
    estimated: random() < 0.4,
    strikes: [foothold ? pick('front foot', 'hind foot') : pick('neck', 'head', 'chest')],
    alive: foothold && set.number === 24,
    pelt: 'not looked',
    eatenBy: 'not said',
    lay: 'not said',
    bites: pick('none', 'none', 'healed', 'fresh'),
    fate: pick('kept', 'kept', 'sold', 'bait'),
    tag: '',
  };
}
