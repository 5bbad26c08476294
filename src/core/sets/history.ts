import type { TrapSet } from '../record/kinds';
import { bandNear, levelBands, type Interval } from '../water/band';
import { axisOf } from '../water/layout';
import type { Axis, Known } from '../water/levels';
import type { System } from '../units/factors';
import { setTypeOf } from './catalogue';
import type { Design } from './design';
import { laidAt, layOut, type Ground, type Laid } from './standing';

/** A time in which a set stood as it was laid at its beginning. */
export interface Stretch {
  from: Date;
  to: Date;
  laid: Laid;
}

/** How a set stood from one time to another, as the stretches between its changes: by the settings and readings that were true then. */
export function stretchesOf(set: TrapSet, from: Date, to: Date, ground: Ground): Stretch[] {
  const changes = set.settings.map((s) => Date.parse(s.at)).filter((at) => at > from.getTime() && at < to.getTime());
  const edges = [...new Set([from.getTime(), ...changes, to.getTime()])].sort((a, b) => a - b);
  return edges.slice(0, -1).flatMap((start, n) => {
    const end = edges[n + 1] ?? start;
    return end > start ? [{ from: new Date(start), to: new Date(end), laid: laidAt(set, new Date(start), ground) }] : [];
  });
}

/** A design as it lay at a moment, and the surface that judged one of its devices. */
export function designAt(set: TrapSet, at: Date, ground: Ground, system: System): Design {
  return layOut(setTypeOf(set.type), laidAt(set, at, ground), system);
}

/** The band of one device in a stretch, and the axis it is told along; null where no level moves it or its levels are not known. */
export function bandIn(set: TrapSet, { laid }: Stretch, device: string, known: Known): { axis: Axis; band: Interval | null } {
  const design = layOut(setTypeOf(set.type), laid, 'us');
  const axis = axisOf(design, device);
  const needs = design.needs.filter((n) => n.device === device && !n.serves);
  const bands = needs.length === 0 ? null : levelBands(needs, design.parts, axis, known);
  return { axis, band: bands && bandNear(bands, laid.then[axis] ?? 0) };
}
