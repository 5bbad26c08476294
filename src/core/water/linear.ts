import { AXES, type Axis, type Known } from './levels';

/** An elevation as `k + Σ coefficient · axis`, metres. */
export type Linear = { k: number } & Partial<Record<Axis, number>>;

/** A fixed elevation. */
export const fixed = (k: number): Linear => ({ k });

/** An elevation that follows one axis at a constant offset. */
export const follows = (axis: Axis, offset = 0): Linear => ({ k: offset, [axis]: 1 });

/** Sum of two elevations, the second times `factor`. */
export function plus(a: Linear, b: Linear, factor = 1): Linear {
  const sum: Linear = { k: a.k + factor * b.k };
  for (const axis of AXES) {
    const coefficient = (a[axis] ?? 0) + factor * (b[axis] ?? 0);
    if (coefficient !== 0) sum[axis] = coefficient;
  }
  return sum;
}

/** The axes that a linear value depends on. */
export const axesOf = (value: Linear): Axis[] => AXES.filter((axis) => (value[axis] ?? 0) !== 0);

/** The value at known levels, or null when it depends on an axis that is not known. */
export function evaluate(value: Linear, known: Known): number | null {
  let sum = value.k;
  for (const axis of AXES) {
    const coefficient = value[axis] ?? 0;
    if (coefficient === 0) continue;
    const level = known[axis];
    if (level === undefined) return null;
    sum += coefficient * level;
  }
  return sum;
}
