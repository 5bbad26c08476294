import type { Ahead } from '../stations/standingAhead';
import type { System } from '../units/factors';
import { printLength } from '../units/length';

export interface WadingSaid {
  sentence: string;
  /** in a few words what keeps a person from the place; empty where nothing does */
  short: string;
}

/** Whether a place can be waded to, now and at the check. @param clock seconds of the course as a time of day */
export function wadingText(ahead: Ahead, clock: (seconds: number) => string, system: System): WadingSaid {
  const { now, atCheck, surely, again, end } = ahead;
  const deep = printLength(ahead.deep, system);
  const back = again === null ? null : clock(again);
  if (now && atCheck && surely) return { sentence: `Wadable now and at the check (${deep} then).`, short: '' };
  if (now && atCheck)
    return { sentence: `Wadable now; maybe too deep at the check (${deep}).`, short: 'maybe too deep to wade by the check' };
  if (now) {
    const later = back === null ? '' : ` Wadable again about ${back}.`;
    return { sentence: `Too deep to wade by the check (${deep}).${later}`, short: 'too deep to wade by the check' };
  }
  const sentence = back === null ? `Too deep to wade until after ${clock(end)}.` : `Too deep to wade now. Wadable again about ${back}.`;
  return { sentence, short: 'too deep to wade' };
}
