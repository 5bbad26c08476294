import type { Known } from './levels';
import type { Free, Layout } from './layout';
import { bottomAt, type Part, type PartKind } from './part';

const DEVICES: readonly PartKind[] = ['jaws', 'pan', 'loop'];
const OVERHEAD: readonly PartKind[] = ['ceiling', 'pipe', 'root', 'trunk', 'log', 'stones', 'bar', 'platform', 'box'];

const movable = (part: Part, device: string): boolean => part.device === device && DEVICES.includes(part.kind);

const heights = (parts: readonly Part[], known: Known, of: (part: Part, bottom: number) => number): number[] =>
  parts.flatMap((part) => {
    const bottom = bottomAt(part, known);
    return bottom === null ? [] : [of(part, bottom)];
  });

/** How far a device can go down to the bed, m; null when the bed is not known. */
export function roomBelow(free: Free, layout: Layout, known: Known): number | null {
  if (free.floor === null) return null;
  const lowest = Math.min(
    ...heights(
      layout.parts.filter((p) => movable(p, free.device)),
      known,
      (_, bottom) => bottom,
    ),
  );
  return Number.isFinite(lowest) ? Math.max(0, lowest - free.floor) : null;
}

/** How far a device can go up to the roof, log, lid or bar over it, m; null where nothing is over it. What floats on the water moves with it and closes nothing. */
export function roomAbove(free: Free, layout: Layout, known: Known): number | null {
  const own = layout.parts.filter((p) => movable(p, free.device));
  const top = Math.max(...heights(own, known, (part, bottom) => bottom + part.height));
  const over = layout.parts.filter(
    (p) => OVERHEAD.includes(p.kind) && p.bearer !== 'float' && p.bearer !== 'ice' && own.some((o) => isOver(p, o)),
  );
  // a pipe or a box is around it: its crown is over it
  const lids = heights(over, known, (part, bottom) => (part.kind === 'pipe' || part.kind === 'box' ? bottom + part.height : bottom));
  const lowest = Math.min(...lids.filter((lid) => lid >= top - 1e-6));
  return Number.isFinite(lowest) && Number.isFinite(top) ? Math.max(0, lowest - top) : null;
}

const isOver = (part: Part, own: Part): boolean =>
  Math.abs(part.x - own.x) <= (part.wide + own.wide) / 2 && Math.abs(part.y - own.y) <= (part.across + own.across) / 2;
