import type { System } from '../units/factors';
import { printLength } from '../units/length';
import type { Layout } from '../water/layout';
import type { Known } from '../water/levels';
import { ICE_RATIO } from '../ice/growth';
import { datumAt, heightAt } from '../water/need';
import { bottomAt, type Part } from '../water/part';

/** What a height is told from. */
const OF: Record<string, string> = {
  iceUnderside: 'the underside of the ice',
  iceTop: 'the top of the ice',
  bed: 'the bed',
  ceiling: 'the ceiling',
  crest: 'the crest',
  part: 'its mate',
};

export interface DrawnPart {
  id: string;
  kind: Part['kind'];
  /** px: left, top, width, height of its box */
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Dimension {
  x: number;
  from: number;
  to: number;
  text: string;
  /** left of its line when there is no room to the right */
  left: boolean;
}

export interface SideScene {
  width: number;
  height: number;
  /** px per metre, both ways */
  scale: number;
  ground: [number, number][];
  water: { y: number; text: string } | null;
  /** the sheet: top and thickness in px */
  ice: { y: number; height: number; text: string } | null;
  parts: DrawnPart[];
  dimensions: Dimension[];
  /** the same numbers in words */
  twin: string[];
}

/**
 * A set from the side, to one scale: x along the travel, y elevation. What is drawn is the parts list, part for part.
 *
 * @param surface the surface that stands there
 */
export function sideView(
  layout: Layout,
  known: Known,
  surface: 'pond' | 'tail',
  size: { width: number; height: number },
  system: System,
): SideScene {
  const level = known[surface] ?? null;
  const boxes = layout.parts.map((part) => ({ part, bottom: bottomAt(part, known) ?? part.z.k }));
  const xs = [...boxes.flatMap(({ part }) => [part.x - part.wide / 2, part.x + part.wide / 2]), ...layout.ground.map(([x]) => x)];
  const zs = [
    ...boxes.flatMap(({ part, bottom }) => [bottom, bottom + part.height]),
    ...layout.ground.map(([, z]) => z),
    ...(level === null ? [] : [level, level + 0.15]),
  ];
  if (xs.length === 0) return { ...size, scale: 1, ground: [], water: null, ice: null, parts: [], dimensions: [], twin: [] };
  const [left, right, low, high] = [Math.min(...xs) - 0.1, Math.max(...xs) + 0.35, Math.min(...zs) - 0.12, Math.max(...zs) + 0.08];
  const scale = Math.min(size.width / (right - left), size.height / (high - low));
  const offset = (size.width - (right - left) * scale) / 2;
  const xOf = (x: number): number => offset + (x - left) * scale;
  const yOf = (z: number): number => size.height - (z - low) * scale;
  const dimensions = level === null ? [] : dimensionsOf(layout, known, level, xOf, yOf, size.width, system);
  return {
    ...size,
    scale,
    ground: groundOf(layout, xOf, yOf, size.width),
    water: level === null ? null : { y: yOf(level), text: surface === 'tail' ? 'tailwater' : 'water' },
    ice:
      level !== null && known.sheet
        ? { y: yOf(level + (1 - ICE_RATIO) * known.sheet), height: known.sheet * scale, text: `${printLength(known.sheet, system)} of ice` }
        : null,
    parts: boxes.map(({ part, bottom }) => ({
      id: part.id,
      kind: part.kind,
      x: xOf(part.x - part.wide / 2),
      y: yOf(bottom + part.height),
      width: part.wide * scale,
      height: part.height * scale,
    })),
    dimensions,
    twin: layout.needs.flatMap((need) => {
      const height = heightAt(need, layout.parts, known);
      return height === null
        ? []
        : [
            `The ${need.called} ${need.device === 'trap' || need.device === 'snare' ? '' : `(${need.device}) `}lies ${printLength(Math.abs(height), system)} ${height > 0 ? 'over' : 'under'} ${OF[typeof need.from === 'string' ? need.from : (Object.keys(need.from)[0] ?? '')] ?? 'the water'}.`,
          ];
    }),
  };
}

function groundOf(layout: Layout, xOf: (x: number) => number, yOf: (z: number) => number, width: number): [number, number][] {
  const points = layout.ground.map(([x, z]): [number, number] => [xOf(x), yOf(z)]);
  const [first, last] = [points[0], points.at(-1)];
  return first && last ? [[-5, first[1]], ...points, [width + 5, last[1]]] : [];
}

function dimensionsOf(
  layout: Layout,
  known: Known,
  level: number,
  xOf: (x: number) => number,
  yOf: (z: number) => number,
  width: number,
  system: System,
): Dimension[] {
  const found: Dimension[] = [];
  for (const need of layout.needs) {
    const part = layout.parts.find((p) => p.id === need.of.part);
    const height = heightAt(need, layout.parts, known);
    if (!part || height === null || Math.abs(height) < 0.004) continue;
    const half = part.kind === 'jaws' ? part.height * 0.45 : Math.max(part.wide, 0.1) / 2;
    const x = xOf(part.x + half) + 16 + found.length * 4;
    const datum = datumAt(need, layout.parts, known) ?? level;
    found.push({ x, from: yOf(datum), to: yOf(datum + height), text: printLength(Math.abs(height), system), left: x > width - 70 });
  }
  const trap = layout.parts.find((p) => p.device && p.bearer === 'bed');
  const floor = trap && layout.ground.length > 0 ? interpolate(layout.ground, trap.x) : null;
  if (trap && floor !== null && level - floor > 0.02) {
    const x = xOf(trap.x) - Math.max(54, (trap.height * 0.5) / 1);
    found.push({ x: Math.max(x, 48), from: yOf(level), to: yOf(floor), text: `${printLength(level - floor, system)} deep`, left: true });
  }
  return found;
}

function interpolate(points: [number, number][], x: number): number | null {
  for (let i = 0; i + 1 < points.length; i += 1) {
    const [a, b] = [points[i], points[i + 1]];
    if (a && b && x >= a[0] && x <= b[0]) return a[1] + ((x - a[0]) / (b[0] - a[0] || 1)) * (b[1] - a[1]);
  }
  return null;
}
