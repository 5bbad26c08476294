import { parseLength, type Gauge, type LengthUnit } from '../units/length';
import type { Layout } from '../water/layout';
import type { Known } from '../water/levels';
import { axesOf } from '../water/linear';
import type { Need } from '../water/need';
import { bottomAt } from '../water/part';

export type SeenLevel = { ok: true; surface: 'pond' | 'tail'; level: number; bound: 'exact' | 'atMost' } | { ok: false; sentence: string };

/** A set as it lies, and the device whose spot was looked at. */
export interface SeenAt {
  layout: Layout;
  device: string;
  /** levels on which other parts may depend */
  known: Known;
}

const EXAMPLE = 'Write it like “pan 4 in dry”, “3 in under”, or only “dry”.';

/** The surface that a need is measured from, at a place with a relation of its own too. */
function surfaceOf({ from }: Need): 'pond' | 'tail' | null {
  if (from === 'pond' || from === 'tail') return from;
  if (typeof from !== 'object' || !('line' in from)) return null;
  const [axis] = axesOf(from.line);
  return axis === 'pond' || axis === 'tail' ? axis : null;
}

/**
 * Without a gauge a set is the gauge: what was seen at a device as a level of the water. `4 in dry` is a reading; `dry` alone an upper bound.
 */
export function seenAsLevel(text: string, { layout, device, known }: SeenAt, unit: LengthUnit, words: Gauge = {}): SeenLevel {
  const need = layout.needs.find((n) => n.device === device && surfaceOf(n) !== null);
  const part = need && layout.parts.find((p) => p.id === need.of.part);
  const surface = need && surfaceOf(need);
  if (!need || !part || !surface)
    return { ok: false, sentence: 'This set has nothing that the water is measured at: read the gauge instead.' };
  if (part.bearer === 'float')
    return { ok: false, sentence: 'A float follows the water and tells nothing of its level: read the gauge instead.' };
  const bottom = bottomAt(part, known) ?? part.z.k;
  const spot = bottom + ('share' in need.of || need.of.spot === 'bottom' ? 0 : part.height);
  const line = typeof need.from === 'object' && 'line' in need.from ? need.from.line : null;
  /** the surface at the place as a level of its gauge */
  const onGauge = (level: number): number => (line ? (level - line.k) / (line[surface] ?? 1) : level);
  const said = text
    .trim()
    .toLowerCase()
    .replace(/^(?:the )?(?:pan|top|jaws|loop|trap|lowest point|bed)\s+/, '');
  if (said === 'dry' || said === 'dry by far') return { ok: true, surface, level: onGauge(spot), bound: 'atMost' };
  const match = /^(.*?)\s*(dry|proud|over|above|under|below|deep)$/.exec(said);
  if (!match) return { ok: false, sentence: `“${text.trim().slice(0, 40)}” does not say where the water stands. ${EXAMPLE}` };
  const length = parseLength(match[1] ?? '', unit, words);
  if (!length.ok) return { ok: false, sentence: `${length.sentence} ${EXAMPLE}` };
  const over = ['dry', 'proud', 'over', 'above'].includes(match[2] ?? '');
  return { ok: true, surface, level: onGauge(over ? spot - length.value : spot + length.value), bound: 'exact' };
}
