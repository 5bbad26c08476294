import type { System } from '../units/factors';
import { inches } from '../units/factors';
import { TYPICAL_BODY } from '../units/bodyGauge';
import { printLength, type Gauge } from '../units/length';
import type { Finding } from '../water/finding';

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
 */
export function standingAt(depth: number | null, sink: number | null, { waders, knee, own }: Stander, system: System): Finding {
  const base = { id: 'standing', about: 'Standing there', origin: own ? ('yours' as const) : ('practice' as const) };
  const print = (metres: number): string => printLength(metres, system);
  const tall = `${print(waders)} of waders`;
  if (sink !== null && sink > knee)
    return {
      ...base,
      verdict: 'fails',
      figure: `sinks ${print(sink)}`,
      sentence: `Sinks past the knee (${print(sink)}): do not step in, and no bed holds here.`,
    };
  if (depth === null)
    return {
      ...base,
      verdict: 'unknown',
      figure: 'depth not known',
      sentence: 'The depth here is not known: feel it with a stick before stepping in.',
    };
  const wet = Math.max(0, depth) + (sink ?? 0);
  const sum =
    sink === null
      ? `${print(Math.max(0, depth))} of water, the sink not measured`
      : `${print(Math.max(0, depth))} of water and ${print(sink)} of sink`;
  if (wet > waders)
    return {
      ...base,
      verdict: 'fails',
      figure: print(wet),
      sentence: `Cannot be reached on foot: ${sum} make ${print(wet)}, over ${tall}. Boat, pole or another day.`,
    };
  if (wet > waders - FREEBOARD)
    return {
      ...base,
      verdict: 'warns',
      figure: print(wet),
      sentence: `${print(waders - wet)} short of the top of the waders: ${sum} make ${print(wet)}, of ${tall}. A current or one wrong step takes that.`,
    };
  if (sink === null)
    return {
      ...base,
      verdict: 'unknown',
      figure: print(wet),
      sentence: `${sum}: ${print(waders - wet)} are left to the top of the waders, less what a boot sinks. Feel the bed with a stick first.`,
    };
  return {
    ...base,
    verdict: 'holds',
    figure: print(wet),
    sentence: `${sum} make ${print(wet)}; ${print(waders - wet)} are left to the top of the waders. Feel each step: beds change.`,
  };
}
