import { WEIGHTS, type DeviceClass } from '../devices/sizes';
import type { StationKind } from '../stations/kinds';
import { inches } from '../units/factors';
import { kindOf, type Attract } from '../lure/lure';
import { sampleDesign, sampleLevels, sampleSurface } from '../sets/sample';
import type { SetType } from '../sets/setType';
import { topOfCatching, type Part } from '../water/part';
import type { Known } from '../water/levels';
import type { Trait } from './looks';

/** A set as far as an animal can shy from something of it. */
export interface Built {
  devices: readonly DeviceClass[];
  /** their sizes */
  sizes: readonly { class: DeviceClass; size: string }[];
  /** the kind of its place */
  place: StationKind;
  parts: readonly Part[];
  known: Known;
  /** the surface that it was set by */
  surface: 'pond' | 'tail';
  /** what draws to it; undefined where nobody said */
  lures: readonly Attract[] | undefined;
  /** its type is built with scent */
  scented: boolean;
}

/** Two thin sticks are no fence. [practice] */
const STICKS = 2;

/** What stands so far over the water is seen against the light, m. [practice] */
const SKY = inches(6);
/** So heavy a trap is felt, smelled and seen, kg. [practice] */
const HEAVY = 1.6;
const isHeavy = ({ class: kind, size }: { class: DeviceClass; size: string }): boolean =>
  (kind === 'bodyGrip' || kind === 'foothold') && (WEIGHTS[kind][size] ?? 0) >= HEAVY;
const AT_LODGE: readonly StationKind[] = ['lodge', 'run', 'bank den'];
const AT_DAM: readonly StationKind[] = ['dam', 'crossover'];

/** What of a set animals may shy from: its device, its scent and where that lies, and a fence. */
export function traitsOf({ devices, sizes, place, parts, known, surface, lures, scented }: Built): Trait[] {
  const top = topOfCatching(parts, known);
  const water = known[surface];
  const isUnder = top !== null && water !== undefined && top <= water;
  const scents = lures?.filter((l) => kindOf(l.what) === 'lure');
  const has = (device: DeviceClass): boolean => devices.includes(device);
  const found: [Trait, boolean][] = [
    ['bodyGrip', has('bodyGrip')],
    ['foothold', has('foothold')],
    ['snareWater', has('snare') && isUnder],
    ['snareLand', has('snare') && !isUnder],
    ['scentBank', scents ? scents.some((l) => l.where !== 'in the water') : scented],
    ['scentWater', scents?.some((l) => l.where === 'in the water') ?? false],
    ['fence', parts.filter((p) => p.kind === 'stick').length > STICKS],
    ['skyline', top !== null && water !== undefined && top - water > SKY],
    ['heavy', sizes.some(isHeavy)],
    ['onLand', !isUnder],
    ['atLodge', AT_LODGE.includes(place)],
    ['atDam', AT_DAM.includes(place)],
  ];
  return found.flatMap(([trait, holds]) => (holds ? [trait] : []));
}

const known = new Map<string, Trait[]>();

/** What of a type animals may shy from, as the catalogue builds it. @param place the kind of place it is meant for; the first of its own otherwise */
export function traitsOfType(type: SetType, place: StationKind = type.stations[0] ?? 'run'): Trait[] {
  const key = `${type.id} ${place}`;
  const before = known.get(key);
  if (before) return before;
  const { parts, supplies } = sampleDesign(type, undefined, 'us');
  const own = traitsOf({
    devices: [type.usual.class],
    sizes: [type.usual],
    place,
    parts,
    known: sampleLevels(type),
    surface: sampleSurface(type),
    lures: undefined,
    scented: supplies.some((s) => s.kind === 'lure'),
  });
  known.set(key, own);
  return own;
}
