import type { Survey } from '../record/kinds';
import type { MeasureId } from '../stations/measures';
import type { StationKind } from '../stations/kinds';
import { BROOK_MARKS } from './brook';
import { likelyRuns } from './lodge';

/** A place that a guided reading found, as the station it becomes: with all that was read of it. */
export interface FoundPlace {
  name: string;
  kind: StationKind;
  /** m along the water; null: where the station of the reading lies */
  along: number | null;
  /** it belongs to the station that was read */
  child: boolean;
  /** water over the bed, m */
  depth: number | null;
  measures: { what: MeasureId; value: number }[];
  /** sign that was read there */
  signs: string[];
}

const KIND: Record<(typeof BROOK_MARKS)[number], StationKind> = {
  bend: 'point',
  undercut: 'undercut',
  'root wad': 'undercut',
  pool: 'point',
  'log across': 'log crossing',
  'bridge or culvert': 'bridge',
  den: 'bank den',
  latrine: 'latrine',
};

const known = (what: MeasureId, value: number | null): FoundPlace['measures'] => (value === null ? [] : [{ what, value }]);

/** The place with that number in a guided reading: a gap of a dam, a mark of a brook, a likely run of a lodge; null where there is none. */
export function foundPlace(found: Survey['found'], nth: number): FoundPlace | null {
  if (found.kind === 'crossing') {
    const gap = found.gaps[nth];
    return gap
      ? {
          ...{ name: `crossing, ${gap.place}`, kind: 'crossover', along: null, child: true, depth: null },
          measures: [...known('width', gap.width), ...(gap.channel ? known('footClear', 1) : [])],
          signs: gap.poles || gap.unused ? ['polesAcross'] : gap.worn || gap.wet ? ['wornGap'] : [],
        }
      : null;
  }
  if (found.kind === 'lodge') {
    const run = likelyRuns(found.ledge, found.pile)[nth];
    return run
      ? {
          ...{ name: `run ${run.bearing}°`, kind: 'run', along: null, child: true, depth: null },
          measures: known('bearing', run.bearing),
          signs: [],
        }
      : null;
  }
  const mark = found.marks[nth];
  if (!mark) return null;
  const kind = KIND[mark.mark];
  return {
    ...{ name: `${mark.mark} ${nth + 1}`, kind, along: mark.along, child: false, depth: mark.depth },
    measures: kind === 'undercut' ? [...known('trapDepth', mark.depth), ...known('roof', mark.roof)] : [],
    signs: mark.mark === 'latrine' ? ['latrine'] : [],
  };
}
