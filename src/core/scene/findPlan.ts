import type { OwnShore } from '../ground/ownShore';
import type { WhereItLies } from '../sets/whereItLies';

export interface FindPlan {
  width: number;
  height: number;
  scale: number;
  anchor: [number, number];
  device: [number, number];
  deep: [number, number] | null;
  /** px */
  tether: number;
  reach: number;
  /** numbers of the places on the drawing */
  spots: { n: number; x: number; y: number }[];
  /** land, px boxes */
  land: { x: number; y: number; width: number; height: number }[];
  /** the water's own shore and dams as paths, and where north lies on the drawing, degrees clockwise from up; null where none was drawn */
  own: { ring: string; dams: string[]; north: number } | null;
}

/** Nearer than this to the drawn shore a place lies on it, m. */
const PINNED = 1;

/**
 * The place from above, to scale: anchor, circles of trap and animal, the numbered places to look at. Water lies to the left, the bank to the right.
 *
 * @param water its own shore, drawn instead of the symbolic one; `open` for a pond of which none is known near the place
 */
export function findPlan(found: WhereItLies, frame: { width: number; height: number }, water: OwnShore | 'open' | null = null): FindPlan {
  const { anchor, device, deep, tether, reach } = found;
  const own = water === 'open' || isUnsure(water, found) ? null : water && shifted(water, found.shore);
  const round = deep ? Math.max(reach - tether, 0.5) : reach;
  const xs = [
    anchor[0] - (deep ? 0.4 : reach),
    anchor[0] + (deep ? 0.4 : reach),
    device[0],
    ...(deep ? [deep[0] - round] : []),
    ...(own ? [bankOf(own, reach)] : []),
  ];
  const ys = [anchor[1] - (deep ? round : reach), anchor[1] + (deep ? round : reach), device[1]];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min((frame.width - 40) / (right - left), (frame.height - 40) / (high - low));
  const put = ([x, y]: [number, number]): [number, number] => [
    frame.width / 2 + (x - (left + right) / 2) * scale,
    frame.height / 2 - (y - (low + high) / 2) * scale,
  ];
  const spots: FindPlan['spots'] = [];
  found.places.forEach(({ at }, i) => {
    if (!at) return;
    const [x, y] = put(at);
    const clash = spots.some((s) => Math.hypot(s.x - x, s.y - y) < 26);
    spots.push({
      n: i + 1,
      x: Math.min(Math.max(clash ? x - 28 : x, 16), frame.width - 16),
      y: Math.min(Math.max(y, 16), frame.height - 16),
    });
  });
  return {
    ...frame,
    scale,
    anchor: put(anchor),
    device: put(device),
    deep: deep && put(deep),
    tether: tether * scale,
    reach: (deep ? round : reach) * scale,
    spots,
    land: water ? [] : landOf(found, put, frame),
    own: own && {
      ring: `${pathOf(own.ring, put)}Z`,
      dams: own.dams.map((dam) => pathOf(dam, put)),
      north: (450 - own.toward) % 360,
    },
  };
}

/** A run in open water whose place was only pinned on the shore: how far out it lies nobody said. */
export const isUnsure = (water: OwnShore | 'open' | null, { shore }: Pick<WhereItLies, 'shore'>): boolean =>
  water === 'open' || (water !== null && Math.abs(water.bank) < PINNED && shore !== null && 'left' in shore);

/** Places are pinned on the line of their water: how far before it a set stands its own drawing knows better. */
function shifted(own: OwnShore, shore: WhereItLies['shore']): OwnShore {
  const by = shore && 'x' in shore && Math.abs(own.bank) < PINNED ? shore.x - own.bank : 0;
  const move = ([x, y]: [number, number]): [number, number] => [x + by, y];
  return { ...own, ring: own.ring.map(move), dams: own.dams.map((dam) => dam.map(move)), bank: own.bank + by };
}

/** The bank is in view unless it lies twice as far as the animal reaches. */
const bankOf = ({ bank }: OwnShore, reach: number): number => Math.min(Math.max(bank + 0.5, 0), 2 * reach);

const pathOf = (line: [number, number][], put: (p: [number, number]) => [number, number]): string =>
  `M${line
    .map((p) =>
      put(p)
        .map((n) => n.toFixed(1))
        .join(' '),
    )
    .join('L')}`;

function landOf(
  { shore }: WhereItLies,
  put: (p: [number, number]) => [number, number],
  { width, height }: { width: number; height: number },
): FindPlan['land'] {
  if (!shore) return [];
  if ('x' in shore) {
    const [x] = put([shore.x, 0]);
    return [{ x, y: 0, width: Math.max(0, width - x), height }];
  }
  const [upper, lower] = [put([0, shore.right])[1], put([0, shore.left])[1]];
  return [
    { x: 0, y: 0, width, height: Math.max(0, upper) },
    { x: 0, y: lower, width, height: Math.max(0, height - lower) },
  ];
}
