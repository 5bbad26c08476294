import { dayText, spanText } from '../time/clock';
import type { Frame } from '../units/frame';
import { printLength, printLevel } from '../units/length';

/** What a look at the water said besides its level. */
export interface SeenReading {
  at: Date;
  level: number;
  bound: 'exact' | 'atMost' | 'crest';
  clarity: string;
  since: Date | null;
  doubt: number | null;
}

const CLARITY: Record<string, string> = {
  clear: 'Clear: channels show, and a trap can be checked by sight.',
  stained: 'Stained: channels show in the shallows only.',
  muddy: 'Muddy: it hides channels, and traps from sight.',
};

/** The last clarity looked at, in words with its age; null when nobody looked. */
export function clarityText(readings: readonly SeenReading[], now: Date): string | null {
  const last = [...readings]
    .filter((r) => r.clarity in CLARITY)
    .sort((a, b) => a.at.getTime() - b.at.getTime())
    .at(-1);
  return last ? `${CLARITY[last.clarity]} Looked at ${spanText(now.getTime() - last.at.getTime())} ago.` : null;
}

/** The last crest read from debris, kept apart from gauge readings: a level whose time lies between two dates. */
export function crestText(readings: readonly SeenReading[], frame: Frame): string | null {
  const last = [...readings]
    .filter((r) => r.bound === 'crest')
    .sort((a, b) => a.at.getTime() - b.at.getTime())
    .at(-1);
  return last?.since
    ? `High-water mark ${printLevel(last.level, frame.system)}${last.doubt ? `, give or take ${printLength(last.doubt, frame.system)}` : ''}, between ${dayText(last.since, frame)} and ${dayText(last.at, frame)}.`
    : null;
}
