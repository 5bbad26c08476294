import type { Setting } from '../record/kinds';
import type { Layout } from '../water/layout';
import type { Known } from '../water/levels';
import { heightAt } from '../water/need';
import { numberSpec, type SetType } from './setType';

/** A set as it was laid, and the water at which it is put lower or higher. */
export interface Restand {
  /** the levels when it was made */
  then: Known;
  layout: Layout;
  surface: 'pond' | 'tail';
  /** the levels now */
  known: Known;
  /** m, negative when higher */
  lower: number;
}

/**
 * The numbers of a set as they would be measured at the levels of now, for a remake that puts it lower or higher.
 * A number that no longer can be (a depth where the bed is dry) is left out.
 */
export function restated(
  type: SetType,
  setting: Pick<Setting, 'numbers'>,
  { then, layout, surface, known, lower }: Restand,
): Record<string, number> {
  const rise = (known[surface] ?? 0) - (then[surface] ?? known[surface] ?? 0);
  const numbers: Record<string, number> = {};
  for (const [key, value] of Object.entries(setting.numbers)) {
    const spec = numberSpec(type, key);
    if (!spec) continue;
    const now = value + (spec.withLevel ?? 0) * rise;
    if (now >= spec.min && now <= spec.max) numbers[key] = now;
  }
  const height = seenHeight(type, layout, known);
  const key = type.seen;
  if (!key || height === null) return numbers;
  delete numbers.share;
  numbers[key] = numberSpec(type, key)?.withLevel === -1 ? height - lower : lower - height;
  if (numbers.innerTopUnder !== undefined) numbers.innerTopUnder += lower;
  return numbers;
}

/** How high the device's spot stands over the surface that judges it, m (or the spot that its number speaks of). */
function seenHeight(type: SetType, layout: Layout, known: Known): number | null {
  const need = layout.needs[0];
  if (!need) return null;
  const height = heightAt(need, layout.parts, known);
  const tall = layout.parts.find((p) => p.id === need.of.part)?.height ?? 0;
  if (height === null || !type.seenAt) return height;
  const bottom = 'spot' in need.of && need.of.spot === 'top' ? height - tall : height;
  return bottom + { bottom: 0, middle: tall / 2, top: tall }[type.seenAt];
}
