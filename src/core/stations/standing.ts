import { iceShort, iceStanding, type IceHere } from '../ice/bearing';
import type { System } from '../units/factors';
import { inches } from '../units/factors';
import { TYPICAL_BODY } from '../units/bodyGauge';
import { printLength, type Gauge } from '../units/length';
import type { Told } from '../words/finding';

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
  system: System,
): Told {
  const base = { id: 'standing', about: 'Wading', origin: own ? ('yours' as const) : ('practice' as const) };
  const print = (metres: number): string => printLength(metres, system);
  if (sink !== null && sink > knee)
    return {
      ...base,
      verdict: 'fails',
      figure: `sinks ${print(sink)}`,
      sentence: `Stay out: you sink ${print(sink)}, past the knee.`,
    };
  if (ice)
    return {
      id: 'standing',
      about: 'Ice',
      origin: 'published',
      verdict: iceShort(ice) ? 'fails' : 'unknown',
      figure: printLength(ice.thin, system),
      sentence: iceStanding(ice, system),
    };
  if (depth === null)
    return {
      ...base,
      verdict: 'unknown',
      figure: 'depth not known',
      sentence: 'Depth unknown: feel it with a stick before you step in.',
    };
  const wet = Math.max(0, depth) + (sink ?? 0);
  const sum =
    sink === null
      ? `${print(Math.max(0, depth))} water, mud depth not measured`
      : `${print(Math.max(0, depth))} water + ${print(sink)} mud`;
  if (wet > waders)
    return {
      ...base,
      verdict: 'fails',
      figure: print(wet),
      sentence: `Too deep to wade: ${sum}; waders ${print(waders)}. Boat, pole or another day.`,
    };
  if (wet > waders - FREEBOARD)
    return {
      ...base,
      verdict: 'warns',
      figure: print(wet),
      sentence: `Only ${print(waders - wet)} of waders left: ${sum}. A current or one wrong step takes that.`,
    };
  if (sink === null)
    return {
      ...base,
      verdict: 'unknown',
      figure: print(wet),
      sentence: `${sum}: ${print(waders - wet)} of waders left, less what your boot sinks. Feel the bottom with a stick first.`,
    };
  return {
    ...base,
    verdict: 'holds',
    figure: print(wet),
    sentence: `${sum}: ${print(waders - wet)} of waders left. Feel each step: bottoms change.`,
  };
}
