import type { Design } from '../sets/design';
import type { Gear, Way } from '../sim/colony/rules';
import type { Post } from '../sim/colony/night';
import type { StationKind } from '../stations/kinds';
import type { Interval } from '../water/band';
import { judged, keptBands } from '../water/keptBands';
import type { Known } from '../water/levels';
import { topOfCatching } from '../water/part';

/** What a kind of place is to a beaver; the rest it only passes now and then. */
const WAY_OF: Partial<Record<StationKind, Way>> = {
  lodge: 'run',
  'bank den': 'run',
  run: 'run',
  dam: 'dam',
  crossover: 'crossing',
  channel: 'crossing',
  culvert: 'crossing',
  'castor mound': 'mound',
  'feed bed': 'pile',
};
export const wayOf = (kind: StationKind): Way => WAY_OF[kind] ?? 'shore';

/** Of those that come by a place so many come to a set that is built as it should be. [practice] */
const LEADS: Readonly<Record<Way, number>> = { run: 0.9, dam: 0.7, crossing: 0.85, shore: 0.7, mound: 0.7, pile: 0.65 };

/** A set that was built, as far as the animals of a model meet it. */
export interface BuiltSet {
  id: string;
  ground: string;
  kind: StationKind;
  gear: Gear;
  design: Design;
  /** the levels at rest: bands are told from them */
  rest: Known;
  /** 0 to 1, of what it strikes */
  holds?: number;
}

const ALWAYS: readonly Interval[] = [{ min: -Infinity, max: Infinity }];

/** The sets of a model that one design is: each of its devices works at its own levels. */
export function postsOf({ id, ground, kind, gear, design, rest, holds = 1 }: BuiltSet, devices: readonly string[]): Post[] {
  const top = topOfCatching(design.parts, rest) ?? -Infinity;
  return devices.map((device) => ({
    id: `${id}.${device}`,
    ground,
    gear,
    bands: levelsOf(design, device, rest),
    top: top - (rest.pond ?? 0),
    leads: LEADS[wayOf(kind)],
    holds,
  }));
}

/** The levels of the pond at which a device works, from the level at rest; where the water below the dam judges it, all or none. */
function levelsOf(design: Design, device: string, rest: Known): readonly Interval[] {
  const own = judged(design, device);
  const bands = own.needs.length === 0 ? ALWAYS : (keptBands(own, rest) ?? []);
  const level = rest.pond ?? 0;
  if (own.axis === 'pond') return bands.map(({ min, max }) => ({ min: min - level, max: max - level }));
  const here = rest[own.axis];
  return here !== undefined && bands.some(({ min, max }) => here >= min && here <= max) ? ALWAYS : [];
}
