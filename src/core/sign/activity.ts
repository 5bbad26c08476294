import type { Told } from '../words/finding';
import { FRESHNESS, signKind, type Freshness } from './kinds';

/** One sign as it was found. */
export interface FoundSign {
  kind: string;
  freshness: Freshness;
  at: Date;
  species: string;
}

const DAY = 86_400_000;
/** Under this a place counts as not in use: the first suspect when nothing was ever touched. [practice] */
const IDLE = 0.15;
/** From this it counts as in use. [practice] */
const BUSY = 0.4;

/** How much a sign still counts at a moment, 0 to its weight: halved with every half-life. */
export function evidence(sign: FoundSign, now: Date, halfLife?: number): number {
  const kind = signKind(sign.kind);
  const age = Math.max(0, (now.getTime() - sign.at.getTime()) / DAY) + FRESHNESS[sign.freshness];
  return kind.weight * 2 ** (-age / (halfLife ?? kind.halfLife));
}

/**
 * Activity of a station, 0 to 1: `(1 − Π(1 − e)) over use × Π(1 − e) over contrary sign`.
 *
 * @param signs of one species, or of all
 * @param halfLives the user's own, days, by kind
 * @source common practice; no published source
 */
export function activity(signs: FoundSign[], now: Date, halfLives: Readonly<Record<string, number>> = {}): number {
  let unused = 1;
  let unhindered = 1;
  for (const sign of signs) {
    if (sign.at > now) continue;
    const counts = 1 - evidence(sign, now, halfLives[sign.kind]);
    if (signKind(sign.kind).tells === 'use') unused *= counts;
    else unhindered *= counts;
  }
  return (1 - unused) * unhindered;
}

const ageText = (at: Date, now: Date): string => {
  const days = Math.round((now.getTime() - at.getTime()) / DAY);
  return days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
};

/** What a station's sign says of its use, as a sentence with its reasons; never a bare figure. */
export function useOf(signs: FoundSign[], now: Date, halfLives: Readonly<Record<string, number>> = {}): Told {
  const base = { id: 'inUse', about: 'In use', origin: 'practice' as const };
  if (signs.length === 0)
    return {
      ...base,
      verdict: 'unknown',
      figure: 'no sign noted',
      sentence: 'No sign recorded. Scout before you set.',
    };
  const value = activity(signs, now, halfLives);
  const counting = [...signs]
    .filter((s) => s.at <= now)
    .sort((a, b) => evidence(b, now, halfLives[b.kind]) - evidence(a, now, halfLives[a.kind]));
  const said = (tells: 'use' | 'contrary'): string =>
    counting
      .filter((s) => signKind(s.kind).tells === tells)
      .slice(0, 3)
      .map(
        (s) =>
          `${signKind(s.kind).label} ${{ hours: '', days: 'days old ', weeks: 'weeks old ', old: 'old ' }[s.freshness]}${ageText(s.at, now)}`,
      )
      .join(', ');
  const [forIt, against] = [said('use'), said('contrary')];
  const told = (side: string, list: string): string => (list ? `${side}: ${list}. ` : '');
  const figure = `use score ${Math.round(value * 10)}/10`;
  if (value < IDLE)
    return {
      ...base,
      verdict: 'fails',
      figure,
      sentence: `Likely not in use. ${told('For', forIt)}${told('Against', against)}`.trim(),
    };
  if (value < BUSY)
    return {
      ...base,
      verdict: 'warns',
      figure,
      sentence: `Maybe in use. ${told('For', forIt)}${told('Against', against)}Look again before you set.`,
    };
  return { ...base, verdict: 'holds', figure, sentence: `In use. ${told('For', forIt)}${told('Against', against)}`.trim() };
}
