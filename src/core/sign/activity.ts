import { found, type Finding, type FindingValues } from '../words/finding';
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

/** So many signs of a side are named. */
const NAMED = 3;

/** What a station's sign says of its use, with its reasons, the weightiest first; never a bare figure. */
export function useOf(signs: FoundSign[], now: Date, halfLives: Readonly<Record<string, number>> = {}): Finding {
  const named = (
    says: 'notInUse' | 'maybeInUse' | 'inUse',
    verdict: 'fails' | 'warns' | 'holds',
    values: FindingValues<'inUse'>,
  ): Finding => found(says, verdict, 'practice', values, { id: 'inUse' });
  if (signs.length === 0) return found('useUnknown', 'unknown', 'practice', {}, { id: 'inUse' });
  const score = activity(signs, now, halfLives);
  const counting = [...signs]
    .filter((s) => s.at <= now)
    .sort((a, b) => evidence(b, now, halfLives[b.kind]) - evidence(a, now, halfLives[a.kind]));
  const telling = (side: 'use' | 'contrary') =>
    counting
      .filter((s) => signKind(s.kind).tells === side)
      .slice(0, NAMED)
      .map(({ kind, freshness, at }) => ({ kind, freshness, days: Math.round((now.getTime() - at.getTime()) / DAY) }));
  const values = { score, use: telling('use'), contrary: telling('contrary') };
  if (score < IDLE) return named('notInUse', 'fails', values);
  return score < BUSY ? named('maybeInUse', 'warns', values) : named('inUse', 'holds', values);
}
