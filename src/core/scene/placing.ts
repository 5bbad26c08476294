/** Boxes of labels on a drawing, px; left and top corner. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

export const overlap = (a: Box, b: Box, gap = 0): boolean =>
  a.x < b.x + b.width + gap && b.x < a.x + a.width + gap && a.y < b.y + b.height + gap && b.y < a.y + a.height + gap;

/** A line that a label had better not cover: from, to. */
export type Segment = [x1: number, y1: number, x2: number, y2: number];

export interface Wish {
  width: number;
  height: number;
  /** where the middle of the label wants to be, best first */
  spots: [x: number, y: number][];
}

const GAP = 2;

/**
 * Places labels one after the other, each as near to its first wish as it can without covering another, inside the frame.
 * Lines are crossed only where nothing else is free.
 *
 * @param soft boxes of what had better not be covered: traps and loops
 * @returns boxes in the order of the wishes; a label for which the frame has no room lies over its first wish
 */
export function placeAround(wishes: Wish[], frame: { width: number; height: number }, lines: Segment[] = [], soft: Box[] = []): Box[] {
  const placed: Box[] = [];
  return wishes.map(({ width, height, spots }) => {
    const at = ([x, y]: [number, number]): Box => ({
      x: Math.min(Math.max(x - width / 2, 2), frame.width - width - 2),
      y: Math.min(Math.max(y - height / 2, 2), frame.height - height - 2),
      width,
      height,
    });
    const first = spots[0] ?? [0, 0];
    let best: { box: Box; cost: number } | null = null;
    for (const spot of [...spots, ...ring(first, height)]) {
      const box = at(spot);
      if (placed.some((other) => overlap(box, other, GAP))) continue;
      const away = Math.hypot(box.x + width / 2 - first[0], box.y + height / 2 - first[1]);
      const cost = away + 26 * lines.filter((line) => crosses(box, line)).length + 34 * soft.filter((other) => overlap(box, other)).length;
      if (!best || cost < best.cost) best = { box, cost };
      if (best.cost < 1) break;
    }
    const box = best?.box ?? at(first);
    placed.push(box);
    return box;
  });
}

/** Places around a spot, outward, the whole frame within reach. */
function ring([x, y]: [number, number], step: number): [number, number][] {
  const found: [number, number][] = [];
  for (let r = step; r <= step * 22; r += step) {
    const count = Math.max(8, Math.round((2 * Math.PI * r) / (step * 2.5)));
    for (let i = 0; i < count; i += 1)
      found.push([x + r * Math.cos((2 * Math.PI * i) / count) * 1.6, y + r * Math.sin((2 * Math.PI * i) / count)]);
  }
  return found;
}

/** Whether a line runs through a box. @source clipping of Liang and Barsky, from memory */
export function crosses({ x, y, width, height }: Box, [x1, y1, x2, y2]: Segment): boolean {
  const [dx, dy] = [x2 - x1, y2 - y1];
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [-dx, x1 - x],
    [dx, x + width - x1],
    [-dy, y1 - y],
    [dy, y + height - y1],
  ] as const) {
    if (p === 0) {
      if (q < 0) return false;
      continue;
    }
    const t = q / p;
    if (p < 0) from = Math.max(from, t);
    else to = Math.min(to, t);
    if (from > to) return false;
  }
  return true;
}
