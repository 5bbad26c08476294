import { besideLine, way, type Position } from '../ground/geodesic';
import type { Design } from '../sets/design';
import type { FilledPosition } from '../sets/setType';
import type { Station } from '../stations/placed';
import type { Known } from '../water/levels';
import { topOfCatching } from '../water/part';
import type { Species } from '../animals/species';
import type { Situation } from './book';
import type { Stand } from './judge';
import type { Day } from './seasons';

/** What a rulebook asks that the design and its place answer. */

/** What the record knows around a set, as plain values. */
export interface RuleFacts {
  day: Day;
  away: Stand['away'];
  /** the lowest level forecast to the next check; null where none is */
  lowest: number | null;
}

/** A set as it is built and said to stand. */
export interface BuiltSet {
  species: Species;
  design: Pick<Design, 'parts'>;
  devices: readonly FilledPosition[];
  choices: Readonly<Record<string, string>>;
  surface: 'pond' | 'tail';
  then: Known;
  situation: Situation | null;
  attested: readonly string[];
  opensDam: boolean;
}

const ENDS: Readonly<Record<string, readonly [stop: boolean, breakaway: boolean]>> = {
  none: [false, false],
  stop: [true, false],
  breakaway: [false, true],
  both: [true, true],
};

/** A set as its book judges it. What catches is measured at the lowest level forecast, where one is. */
export function standOf(set: BuiltSet, { day, away, lowest }: RuleFacts): Stand {
  const { species, situation, attested, devices, opensDam } = set;
  const loops = set.design.parts.filter((p) => p.kind === 'loop');
  const ends = ENDS[set.choices.ends ?? ''];
  const loop =
    loops.length === 0 ? null : { across: Math.max(...loops.map((p) => p.across)), stop: ends?.[0] ?? null, breakaway: ends?.[1] ?? null };
  return { species, situation, attested, devices, opensDam, day, away, loop, shows: showing(set, lowest) };
}

function showing({ design, then, surface }: BuiltSet, lowest: number | null): number | null {
  const top = lowest === null ? null : topOfCatching(design.parts, { ...then, [surface]: lowest });
  return top === null || lowest === null ? null : top - lowest;
}

/** How far a place lies from the nearest known lodge, dam and culvert of its water, m; over the map, else by the ways along the water. @param roads as they were drawn */
export function awayFrom(place: Station, stations: readonly Station[], roads: readonly (readonly Position[])[] = []): Stand['away'] {
  const found: Stand['away'] = {};
  for (const kind of ['lodge', 'dam', 'culvert'] as const) {
    const all = stations.filter((s) => s.water === place.water && s.kind === kind && s.id !== place.parent);
    const far = all.map((s) => between(place, s));
    if (place.kind === kind) found[kind] = 0;
    else if (far.length > 0) found[kind] = Math.min(...far);
  }
  const at = positionOf(place);
  const off = at ? roads.flatMap((road) => besideLine(road, at)?.off ?? []) : [];
  if (off.length > 0) found.road = Math.min(...off);
  return found;
}

function between(a: Station, b: Station): number {
  const [from, to] = [positionOf(a), positionOf(b)];
  return from && to ? way(from, to).distance : Math.abs(a.along - b.along);
}

const positionOf = ({ lat, lon }: Station): [number, number] | null => (lat === null || lon === null ? null : [lon, lat]);
