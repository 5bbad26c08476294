import type { DeviceClass } from '../devices/sizes';
import { drawFamily, type Animal } from '../sim/colony/family';
import type { Ground } from '../sim/colony/night';
import { drawWeather, type Day } from '../sim/colony/pond';
import { SHY } from '../sim/colony/rules';
import { seeded } from '../sim/random';
import type { FoundSign } from '../sign/activity';
import type { Freshness } from '../sign/kinds';
import type { StationKind } from '../stations/kinds';
import type { MeasureId } from '../stations/measures';
import type { Station } from '../stations/placed';
import { inches } from '../units/factors';
import { wayOf } from '../colony/posts';
import { LESSONS, type Level } from './lessons';

/** A trap that is lent for the lesson. */
export interface Lent {
  id: string;
  tag: string;
  class: DeviceClass;
  size: string;
}

/** A pond that nobody knows, as its seed makes it: what can be read there, and what only the end shows. */
export interface Stranger {
  seed: number;
  level: Level;
  stations: Station[];
  /** by station */
  signs: Readonly<Record<string, FoundSign[]>>;
  traps: Lent[];
  /** somebody trapped it before with these, and left some */
  before: DeviceClass[];
  acres: number;
  inflow: number;
  /** hidden: how much each place is used, who lives there, what the weather brings */
  grounds: Ground[];
  family: Animal[];
  days: Day[];
}

/** The moment of a lesson: nothing in it is of the record. */
export const BEGIN = new Date('2030-11-04T12:00:00Z');
export const dayOf = (day: number): Date => new Date(BEGIN.getTime() + day * 86_400_000);

/** A kind of place with what is measured there, inches from and to, and the sign of one that is used and one that is not. */
interface Sort {
  kind: StationKind;
  name: string;
  measures: Partial<Record<MeasureId, readonly [number, number]>>;
  /** which of them is the depth of its bed */
  bed: MeasureId;
  used: readonly string[];
  idle: readonly string[];
}

const SORTS: readonly Sort[] = [
  {
    kind: 'run',
    name: 'main lodge run',
    measures: { depth: [15, 26], widthSurface: [24, 34], widthBed: [18, 24], pushIn: [1, 3] },
    bed: 'depth',
    used: ['cuttings', 'frostedVent'],
    idle: ['weeds'],
  },
  {
    kind: 'dam',
    name: 'dam',
    measures: { channelDepth: [13, 22], channelWidth: [24, 40], shoulderDepth: [7, 11], channelOff: [30, 60] },
    bed: 'channelDepth',
    used: ['mendedLeak'],
    idle: ['unmended'],
  },
  {
    kind: 'slide',
    name: 'slide on the east bank',
    measures: { toeDepth: [10, 20], slope: [20, 40], widthSurface: [14, 20], pushIn: [1, 4] },
    bed: 'toeDepth',
    used: ['wetSlide'],
    idle: ['drySticks'],
  },
  {
    kind: 'crossover',
    name: 'gap in the dam',
    measures: { width: [14, 22], overPond: [1, 3], overTail: [28, 40] },
    bed: 'overPond',
    used: ['wornGap'],
    idle: ['polesAcross'],
  },
  {
    kind: 'castor mound',
    name: 'scent mound',
    measures: { edgeDepth: [4, 12], fromWater: [10, 30] },
    bed: 'edgeDepth',
    used: ['mound'],
    idle: ['mound'],
  },
  {
    kind: 'feed bed',
    name: 'feed bed',
    measures: { edgeDepth: [14, 24], extent: [60, 120], widthSurface: [20, 34] },
    bed: 'edgeDepth',
    used: ['peeledSticks'],
    idle: ['drySticks'],
  },
  {
    kind: 'bank den',
    name: 'den in the west bank',
    measures: { depth: [14, 22], widthSurface: [18, 28], widthBed: [14, 20], pushIn: [1, 4] },
    bed: 'depth',
    used: ['tracksMud'],
    idle: ['weeds'],
  },
  {
    kind: 'channel',
    name: 'ditch',
    measures: { depth: [9, 16], widthSurface: [18, 26], widthBed: [12, 18], pushIn: [2, 4] },
    bed: 'depth',
    used: ['tracksMud', 'cuttings'],
    idle: ['weeds'],
  },
];
/** These stand on every pond, and somebody is always at home. */
const ALWAYS = 2;

/** The pond below the dam, m under the level at rest. */
export const TAIL = -0.9;

/** Draws a pond by its seed: the same link is the same pond for everybody. */
export function strangersPond(seed: number, level: Level): Stranger {
  const lesson = LESSONS[level];
  const random = seeded(seed * 31 + level.length);
  const sorts = [...SORTS.slice(0, ALWAYS), ...shuffled(random, SORTS.slice(ALWAYS))].slice(0, lesson.places);
  const left = new Set(shuffled(random, sorts.slice(ALWAYS)).slice(0, lesson.idle));
  const isUsed = (n: number): boolean => sorts.every((sort, at) => at !== n || !left.has(sort));
  const stations = sorts.map((sort, n) => stationOf(random, sort, n));
  const family = drawFamily(random, lesson.lived);
  const days = drawWeather(random, lesson.nights + 1, lesson.cold);
  if (lesson.storm !== null) days[lesson.storm] = { ...(days[lesson.storm] ?? { air: 5 }), rain: 0.035 + 0.02 * random() };
  return {
    ...{ seed, level, stations, family, days },
    signs: Object.fromEntries(stations.map(({ id }, n) => [id, signsOf(random, sorts[n], isUsed(n))])),
    traps: lesson.traps.flatMap(({ gear, size, count }) => lentOf(gear, size, count)),
    before: family.some((a) => a.shy.bodyGrip >= SHY) ? ['bodyGrip'] : [],
    acres: 0.8 + 1.6 * random(),
    inflow: 0.01 + 0.02 * random(),
    grounds: stations.map(({ id, kind }, n) => ({
      id,
      way: wayOf(kind),
      use: isUsed(n) ? 0.8 + 0.5 * random() : 0.04,
    })),
  };
}

const TAGS: Readonly<Record<DeviceClass, string>> = { bodyGrip: 'B', foothold: 'F', snare: 'S', enclosed: 'E' };

function lentOf(gear: DeviceClass, size: string, count: number): Lent[] {
  return Array.from({ length: count }, (_, n) => {
    const tag = `${TAGS[gear]}-${n + 1}`;
    return { id: tag, tag, class: gear, size };
  });
}

function shuffled<T>(random: () => number, list: readonly T[]): T[] {
  return list
    .map((own) => ({ own, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ own }) => own);
}

/** Measures that are no length. */
const PLAIN: readonly string[] = ['slope'];

function stationOf(random: () => number, { kind, name, measures, bed }: Sort, n: number): Station {
  const at = dayOf(-1).toISOString();
  const taken = (Object.entries(measures) as [MeasureId, readonly [number, number]][]).map(([what, [low, high]]) => {
    const value = Math.round((low + (high - low) * random()) * 2) / 2;
    return { what, value: PLAIN.includes(what) ? Math.round(value) : inches(value), at, level: 0 };
  });
  const depth = kind === 'crossover' ? 0 : (taken.find((t) => t.what === bed)?.value ?? 0);
  const sounded = { depth, at };
  return {
    ...{ id: `place-${n + 1}`, water: 'lesson', number: n + 1, name, kind, surface: 'pond' as const },
    along: PLACED[kind] ?? 20 * n,
    ...{ lat: null, lon: null, parent: null, crest: null, measures: taken, across: null, lies: [], photo: null, note: '' },
    bed: { ...sounded, level: 0 },
    sounded,
  };
}

/** Where along the shore a kind of place lies, m; the dam ends the pond. */
const PLACED: Partial<Record<StationKind, number>> = {
  channel: 6,
  'bank den': 24,
  run: 42,
  'feed bed': 58,
  slide: 76,
  'castor mound': 92,
  dam: 112,
  crossover: 124,
};

/** What can be read at a place. Where nobody is any more the sign is old, or speaks against it. */
function signsOf(random: () => number, sort: Sort | undefined, isUsed: boolean): FoundSign[] {
  const kinds = isUsed ? (sort?.used ?? []) : (sort?.idle ?? []);
  return kinds.map((kind): FoundSign => {
    const freshness: Freshness = isUsed ? (random() < 0.6 ? 'hours' : 'days') : random() < 0.5 ? 'weeks' : 'old';
    return { kind, freshness, at: dayOf(0), species: 'beaver' };
  });
}
