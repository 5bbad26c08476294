import type { Gap } from '../scouting/crossing';
import { likelyRuns, offset, type Hole } from '../scouting/lodge';
import type { BrookMark } from '../scouting/brook';
import type { System } from '../units/factors';
import { FOOT } from '../units/factors';
import { printWay } from '../units/length';

/** The plan of a lodge from above, north up: px in a square, `scale` px a metre. */
export interface LodgePlan {
  size: number;
  middle: number;
  scale: number;
  radius: number;
  holes: { n: number; x: number; y: number; felt: Hole['felt'] }[];
  pile: { x: number; y: number } | null;
  ledge: { x: number; y: number } | null;
  runs: { n: string; x1: number; y1: number; x2: number; y2: number; why: string; bearing: number }[];
  bar: { px: number; text: string };
}

const HALF = 0.44;
/** A lodge that was not measured is drawn this wide, m. [practice] */
const USUAL_RADIUS = 2.5;

/** Lays out lodge, pile, likely runs and numbered holes, so that everything fits. */
export function lodgePlan(
  found: { holes: readonly Hole[]; pile: number | null; ledge: number | null; radius: number | null },
  size: number,
  system: System,
): LodgePlan {
  const radius = found.radius ?? USUAL_RADIUS;
  const furthest = Math.max(radius * 2.2, ...found.holes.map((h) => h.distance * 1.12));
  const scale = (size * HALF) / furthest;
  const middle = size / 2;
  const at = (distance: number, bearing: number) => {
    const { east, north } = offset({ distance, bearing });
    return { x: middle + east * scale, y: middle - north * scale };
  };
  const unit = system === 'us' ? 10 * FOOT : 3;
  return {
    size,
    middle,
    scale,
    radius: radius * scale,
    holes: found.holes.map((h, i) => ({ n: i + 1, ...at(h.distance, h.bearing), felt: h.felt })),
    pile: found.pile === null ? null : at(radius * 1.75, found.pile),
    ledge: found.ledge === null ? null : at(radius * 0.55, found.ledge),
    runs: likelyRuns(found.ledge, found.pile).map(({ bearing, why }, i) => {
      const [from, to] = [at(radius * 0.8, bearing), at(radius * 1.9, bearing)];
      return { n: 'abc'[i] ?? '', x1: from.x, y1: from.y, x2: to.x, y2: to.y, why, bearing };
    }),
    bar: { px: unit * scale, text: printWay(unit, system) },
  };
}

export interface DamGap {
  n: number;
  at: number;
  place: Gap['place'];
  /** how deep it is drawn, 0 to 1: a dip where nothing of a crossing was seen, a worn trough */
  cut: number;
  wet: boolean;
  poles: boolean;
}

/** A dam seen from below: the gaps in their places, 0 (left end) to 1 (right end), drawn as they were found. Widths are symbolic. */
export const damGaps = (gaps: readonly Gap[]): DamGap[] => {
  const seen: Record<string, number> = {};
  return gaps.map(({ place, worn, wet, bare, dark, poles = false, unused = false }, i) => {
    const cut = unused ? 0.2 : worn ? 1 : wet || bare || dark ? 0.6 : 0.2;
    const nth = (seen[place] = (seen[place] ?? 0) + 1) - 1;
    const base = { middle: 0.5, 'left end': 0.12, 'right end': 0.88 }[place];
    const step = 0.11 * Math.ceil(nth / 2) * (nth % 2 === 1 ? 1 : -1);
    const at = base + (place === 'right end' ? -Math.abs(step) : place === 'left end' ? Math.abs(step) : step);
    return { n: i + 1, at, place, cut, wet, poles };
  });
};

export interface BrookStrip {
  marks: { n: number; x: number; y: number; along: string }[];
  path: string;
  width: number;
  height: number;
}

/** A brook as a strip: marks at their true way along it, the line wavy where bends were marked (symbolic). */
export function brookStrip(marks: readonly BrookMark[], width: number, system: System): BrookStrip {
  const height = 150;
  const [left, right] = [40, width - 40];
  const ways = marks.map((m) => m.along);
  const [from, to] = [Math.min(...ways), Math.max(...ways)];
  const span = to - from || 1;
  const order = marks.map((mark, i) => ({ mark, i })).sort((a, b) => a.mark.along - b.mark.along);
  const placed = order.map(({ mark, i }, k) => ({
    n: i + 1,
    x: left + ((mark.along - from) / span) * (right - left),
    y: height / 2 + (mark.outside || mark.mark === 'bend' ? (k % 2 === 0 ? -26 : 26) : 0),
    along: printWay(mark.along, system),
  }));
  const points = [{ x: 0, y: height / 2 }, ...placed, { x: width, y: height / 2 }];
  const path = points.slice(1).reduce(
    (d, p, i) => {
      const before = points[i] ?? p;
      const half = (before.x + p.x) / 2;
      return `${d}C${half} ${before.y} ${half} ${p.y} ${p.x} ${p.y}`;
    },
    `M0 ${height / 2}`,
  );
  return { marks: placed, path, width, height };
}
