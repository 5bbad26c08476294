/** Gravity, m/s². */
const G = 9.81;

/** A break in a dam by its shape over the sill: metres; `side` is the way out for each metre up, on each side. */
export type BreakShape =
  { kind: 'rectangle'; width: number } | { kind: 'V'; side: number } | { kind: 'trapezoid'; width: number; side: number };

/** A drain pipe through a dam. */
export interface Pipe {
  diameter: number;
  /** share of its section that is stopped up, 0 to 1 */
  plugged: number;
}

const widthOf = (shape: BreakShape): number => (shape.kind === 'V' ? 0 : shape.width);
const sideOf = (shape: BreakShape): number => (shape.kind === 'rectangle' ? 0 : shape.side);

/** Flow area of a break under a depth over its sill, m². */
export function breakArea(shape: BreakShape, depth: number): number {
  const y = Math.max(0, depth);
  return widthOf(shape) * y + sideOf(shape) * y * y;
}

/** Flow area of a pipe under a depth over its sill, m². @source circular segment, any handbook of mathematics */
function pipeArea({ diameter, plugged }: Pipe, depth: number): number {
  const r = diameter / 2;
  const h = Math.min(Math.max(depth, 0), diameter);
  const centre = r - h;
  return (1 - plugged) * (r * r * Math.acos(Math.min(1, Math.max(-1, centre / r))) - centre * Math.sqrt(Math.max(0, 2 * r * h - h * h)));
}

/** The depth at which a break runs free under a head: the greatest of A²·(H − y), `5z·y² + (3b − 4zH)·y − 2bH = 0`; 2H/3 in a rectangle, 4H/5 in a V. */
function criticalDepth(shape: BreakShape, head: number): number {
  const [b, z] = [widthOf(shape), sideOf(shape)];
  if (z === 0) return (2 / 3) * head;
  const linear = 3 * b - 4 * z * head;
  return (Math.sqrt(linear * linear + 40 * z * b * head) - linear) / (10 * z);
}

/** The depth of greatest flow between two limits, by golden section: the flow has one hump. */
function deepest(flow: (y: number) => number, from: number, to: number): number {
  const ratio = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [from, to];
  let [c, d] = [b - ratio * (b - a), a + ratio * (b - a)];
  let [fc, fd] = [flow(c), flow(d)];
  for (let n = 0; n < 60 && b - a > 1e-12; n += 1) {
    if (fc > fd) {
      [b, d, fd] = [d, c, fc];
      c = b - ratio * (b - a);
      fc = flow(c);
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + ratio * (b - a);
      fd = flow(d);
    }
  }
  return (a + b) / 2;
}

/**
 * Flow through a break, free or drowned, m³/s: `Cd · max over y in [max(h2, 0), H] of A(y)·√(2g(H − y))`.
 * A rectangle runs at y = 2H/3, a V at 4H/5, until the tailwater stands over that.
 *
 * @param head energy head over the sill, m
 * @param tail tailwater over the sill, m; negative when it stands under it
 * @param cd discharge coefficient, 1 for a well rounded crest
 * @source energy equation with critical flow over a broad crest (Bos, from memory): rectangle 1.7046·b·H^1.5, V of 90° 1.268·H^2.5
 */
export function breakFlow(shape: BreakShape, head: number, tail: number, cd = 1): number {
  if (head <= 0 || tail >= head) return 0;
  const y = Math.max(criticalDepth(shape, head), tail, 0);
  return cd * breakArea(shape, y) * Math.sqrt(2 * G * Math.max(0, head - y));
}

/**
 * Flow through a drain pipe, m³/s: as a weir of its own section while it runs part full, as an orifice under the difference of the levels when it is full.
 *
 * @source orifice `Cd·A·√(2gΔh)`, Cd 0.6, any handbook of hydraulics, from memory
 */
export function pipeFlow(pipe: Pipe, head: number, tail: number): number {
  if (head <= 0 || tail >= head) return 0;
  const y = Math.min(Math.max(criticalInPipe(head / pipe.diameter) * pipe.diameter, tail), head, pipe.diameter);
  const weir = tail < Math.min(head, pipe.diameter) ? pipeArea(pipe, y) * Math.sqrt(2 * G * Math.max(0, head - y)) : Infinity;
  // an orifice is measured from its middle; one that is not full, from the middle of what runs in it, where it is the weir that rules
  const drop = head - Math.max(tail, Math.min(head, pipe.diameter) / 2);
  const orifice = 0.6 * pipeArea(pipe, pipe.diameter) * Math.sqrt(2 * G * Math.max(0, drop));
  return Math.min(weir, orifice);
}

/** Head over the sill of a pipe, in diameters, up to which its critical depth is kept in a table; over that it runs full. */
const FULL = 2;
const STEPS = 400;
let critical: number[] | null = null;

/** Critical depth in a pipe as a share of its diameter, by the head in diameters: the same for every size. */
function criticalInPipe(head: number): number {
  const unit = { diameter: 1, plugged: 0 };
  critical ??= Array.from({ length: STEPS + 1 }, (_, n) => {
    const h = (n * FULL) / STEPS;
    return deepest((y) => pipeArea(unit, y) * Math.sqrt(2 * G * Math.max(0, h - y)), 0, Math.min(h, 1));
  });
  if (head >= FULL) return 1;
  const n = (head / FULL) * STEPS;
  const i = Math.floor(n);
  const [a, b] = [critical[i] ?? 1, critical[i + 1] ?? 1];
  return a + (n - i) * (b - a);
}

/** Speed at the critical depth of a break, m/s: what a trigger set in it has to stand. @source √(2gH/3) in a rectangle, √(2gH/5) in a V; from memory */
export const criticalSpeed = (shape: BreakShape, head: number): number =>
  head <= 0 ? 0 : Math.sqrt(2 * G * head * (shape.kind === 'V' ? 1 / 5 : 1 / 3));
