/** A cross-section of a run, left to right as the animal comes: metres across, elevation of bed and banks. */
export type Section = [y: number, z: number][];

export interface Frame {
  /** middle of the frame across, its bottom, its width and height, m */
  y: number;
  z: number;
  across: number;
  height: number;
}

/** Elevation of the ground at a place across; the banks' tops hold beyond the ends. */
export function groundAt(section: Section, y: number): number {
  const first = section[0];
  if (!first) throw new RangeError('a section has two points at least');
  let before = first;
  for (const point of section) {
    if (point[0] >= y)
      return point[0] === before[0]
        ? Math.max(point[1], before[1])
        : before[1] + ((y - before[0]) / (point[0] - before[0])) * (point[1] - before[1]);
    before = point;
  }
  return before[1];
}

/** ∫ of what a function of two elevations gives across the section; exact, since it is linear between the cuts. */
function across(section: Section, cuts: number[], [from, to]: [number, number], f: (ground: number) => number): number {
  const ys = new Set<number>([from, to]);
  for (let i = 0; i < section.length; i += 1) {
    const [a, b] = [section[i], section[i + 1]];
    if (!a) continue;
    if (a[0] > from && a[0] < to) ys.add(a[0]);
    if (!b || a[1] === b[1]) continue;
    for (const cut of cuts) {
      const share = (cut - a[1]) / (b[1] - a[1]);
      const y = a[0] + share * (b[0] - a[0]);
      if (share > 0 && share < 1 && y > from && y < to) ys.add(y);
    }
  }
  const sorted = [...ys].sort((a, b) => a - b);
  return sorted.reduce((sum, y, i) => {
    const next = sorted[i + 1];
    if (next === undefined) return sum;
    const middle = (y + next) / 2;
    return sum + (next - y) * f(groundAt(section, middle));
  }, 0);
}

/** Area of water in the section at a level, m². */
export function wettedArea(section: Section, level: number): number {
  const [first, last] = [section[0], section.at(-1)];
  if (!first || !last) return 0;
  return across(section, [level], [first[0], last[0]], (ground) => Math.max(0, level - ground));
}

/**
 * Share of the wetted section that leads through the frame, 0 to 1; 0 where there is no water.
 *
 * @source areas of trapezoids; checked against a fine grid in the tests
 */
export function shareThrough(section: Section, level: number, { y, z, across: width, height }: Frame): number {
  const all = wettedArea(section, level);
  if (all <= 0) return 0;
  const top = Math.min(level, z + height);
  const inside = across(section, [z, top], [y - width / 2, y + width / 2], (ground) => Math.max(0, top - Math.max(ground, z)));
  return Math.min(1, inside / all);
}

/** Width of the openings beside the frame at an elevation, left and right, sticks taken out: the widest clear one of each side, m. */
export function gapsAt(section: Section, z: number, frame: Frame, sticks: { y: number; thick: number }[]): { left: number; right: number } {
  const [left, right] = [frame.y - frame.across / 2, frame.y + frame.across / 2];
  return { left: widest(edge(section, z, frame.y, -1), left, sticks), right: widest(right, edge(section, z, frame.y, 1), sticks) };
}

/** Where the bank stands at an elevation, outward from the middle of the frame. */
function edge(section: Section, z: number, from: number, way: 1 | -1): number {
  const points = way > 0 ? section : [...section].reverse();
  let before: [number, number] = [from, groundAt(section, from)];
  if (before[1] > z + 1e-9) return from;
  for (const point of points) {
    if ((point[0] - from) * way <= 0) continue;
    if (point[1] >= z) {
      const share = point[1] === before[1] ? 1 : (z - before[1]) / (point[1] - before[1]);
      return before[0] + share * (point[0] - before[0]);
    }
    before = point;
  }
  return before[0];
}

function widest(from: number, to: number, sticks: { y: number; thick: number }[]): number {
  let at = from;
  let found = 0;
  for (const { y, thick } of [...sticks].sort((a, b) => a.y - b.y)) {
    if (y <= from || y >= to) continue;
    found = Math.max(found, y - thick / 2 - at);
    at = Math.max(at, y + thick / 2);
  }
  return Math.max(0, found, to - at);
}

/**
 * The gap beside the frame that an animal would find: per side the narrowest over every height from `low` to `high`, since it needs the width all the way.
 * The gap is linear between the section's corners, so its ends and corners decide.
 *
 * @param route along the bed from `low` up, or at the surface down from `high`; m
 */
export function gapBeside(
  section: Section,
  frame: Frame,
  sticks: { y: number; thick: number }[],
  route: { low: number; high: number },
): { left: number; right: number } {
  const heights = [route.low, route.high, ...section.map(([, z]) => z).filter((z) => z > route.low && z < route.high)];
  const gaps = heights.map((z) => gapsAt(section, z, frame, sticks));
  return { left: Math.min(...gaps.map((g) => g.left)), right: Math.min(...gaps.map((g) => g.right)) };
}

/** How deep the lower corners of the frame are buried in the bed, m; 0 when free. */
export const cornersBuried = (section: Section, { y, z, across: width }: Frame): number =>
  Math.max(0, groundAt(section, y - width / 2) - z, groundAt(section, y + width / 2) - z);
