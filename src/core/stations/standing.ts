import { iceShort, type IceHere } from '../ice/bearing';
import { inches } from '../units/factors';
import { TYPICAL_BODY } from '../units/bodyGauge';
import type { Gauge } from '../units/length';
import { found, type Finding } from '../words/finding';

/** Water may come this near to the top of the waders. [practice] */
export const FREEBOARD = inches(6);

export interface Stander {
  /** top of the waders over the sole, m; `own` when the person measured them */
  waders: number;
  knee: number;
  own: boolean;
}

/** A person as far as his waders and knees go: his own measures, or else typical ones; without waders measured the waist stands for them. */
export const standerOf = (measures: Gauge): Stander => ({
  waders: measures.waders ?? measures.waist ?? TYPICAL_BODY.waist,
  knee: measures.knee ?? TYPICAL_BODY.knee,
  own: 'waders' in measures || 'waist' in measures,
});

/**
 * Whether a person can stand at a place: water plus sink against the waders, and the sink against the knee.
 * It says what was computed and never that a place is safe.
 *
 * @param depth water there now, m; null when not known
 * @param sink how far a boot sinks, m; null when not measured
 * @param ice what is known of the ice there: it speaks instead of the water
 */
export function standingAt(
  { depth, sink, ice = null }: { depth: number | null; sink: number | null; ice?: IceHere | null },
  { waders, knee, own }: Stander,
): Finding {
  const origin = own ? 'yours' : 'practice';
  if (sink !== null && sink > knee) return found('sinks', 'fails', origin, { mud: sink });
  if (ice) return found('onIce', iceShort(ice) ? 'fails' : 'unknown', 'published', ice);
  const water = depth === null ? null : Math.max(0, depth);
  const values = { water, mud: sink, waders };
  const left = waders - (water ?? 0) - (sink ?? 0);
  if (water === null) return found('wadeUnknown', 'unknown', origin, values);
  if (left < 0) return found('wadeTooDeep', 'fails', origin, values);
  if (left < FREEBOARD) return found('wadeBarely', 'warns', origin, values);
  return sink === null ? found('wadeNoBottom', 'unknown', origin, values) : found('wade', 'holds', origin, values);
}
