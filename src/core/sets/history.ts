import { remembered } from '../remembered';
import type { TrapSet } from '../record/kinds';
import { bandNear, type Interval } from '../water/band';
import { bandsBeside, judged, keptBands } from '../water/keptBands';
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

/** The band of one device in a stretch, as far as it is sure and as far as it may work, and the axis it is told along; null where no level moves it or its levels are not known. */
export const bandIn = (set: TrapSet, { laid }: Stretch, device: string, known: Known): BandThen => bandOf(set.type, laid, device, known);

interface BandThen {
  axis: Axis;
  band: Interval | null;
  may: Interval | null;
}

/** What is over does not change: a season is added up again and again from the same settings. */
const bandOf = remembered((type: string, laid: Laid, device: string, known: Known): BandThen => {
  const design = layOut(setTypeOf(type), laid, 'us');
  const own = judged(design, device);
  const { axis } = own;
  if (own.needs.length === 0) return { axis, band: null, may: null };
  const near = (bands: Interval[] | null): Interval | null => bands && bandNear(bands, laid.then[axis] ?? 0);
  return { axis, band: near(keptBands(own, known)), may: near(bandsBeside(own, known, 'perhaps')) };
}, 4000);
