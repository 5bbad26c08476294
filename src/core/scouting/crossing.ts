/** Where in a dam a gap lies, seen from below. The middle is looked at first. */
export const GAP_PLACES = ['middle', 'left end', 'right end'] as const;
export type GapPlace = (typeof GAP_PLACES)[number];

/** A gap in the crest as it was found. */
export interface Gap {
  place: GapPlace;
  worn: boolean;
  wet: boolean;
  dark: boolean;
  bare: boolean;
  channel: boolean;
  /** poles lie across it */
  poles?: boolean;
  /** seen not to be in use: green, grown over, mended */
  unused?: boolean;
  width: number | null;
}

/** What speaks for a gap, strongest first, with its weight. [practice] */
const TRAITS: readonly (readonly [key: 'worn' | 'wet' | 'bare' | 'dark' | 'channel', weight: number, said: string])[] = [
  ['worn', 3, 'worn'],
  ['wet', 2, 'wet'],
  ['bare', 2, 'left bare of poles'],
  ['dark', 1, 'dark and muddy'],
  ['channel', 1, 'with a firm clear channel at its foot'],
];
/** What speaks against a gap: it is no crossing then, whatever else is there. [practice] */
const AGAINST = [
  ['poles', 'poles lie across it'],
  ['unused', 'not in use'],
] as const;
/** Under this a gap is no crossing. [practice] */
const LEAST = 3;

/** Everything that is ticked of a gap, as it is said. */
export const GAP_MARKS = [...TRAITS.map(([key, , said]) => [key, said] as const), ...AGAINST];

export interface RankedGap {
  /** its place in the list that was given */
  index: number;
  score: number;
  reason: string;
}

const list = (words: string[]): string => (words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`);

/** The gaps of a dam, the likeliest crossing first; of equals the one nearer the middle of the dam. */
export function rankGaps(gaps: readonly Gap[]): RankedGap[] {
  const ranked = gaps.map((gap, index) => {
    const has = TRAITS.filter(([key]) => gap[key]);
    const against = AGAINST.filter(([key]) => gap[key]).map(([, said]) => said);
    const score = against.length > 0 ? 0 : has.reduce((sum, [, weight]) => sum + weight, 0);
    const seen = has.length === 0 ? 'nothing of a crossing' : list(has.map(([, , said]) => said));
    if (against.length > 0) return { index, score, reason: list([...has.map(([, , said]) => said), ...against]) };
    return { index, score, reason: seen };
  });
  return ranked.sort((a, b) => b.score - a.score || nearMiddle(gaps, a.index) - nearMiddle(gaps, b.index) || a.index - b.index);
}

const nearMiddle = (gaps: readonly Gap[], index: number): number => (gaps[index]?.place === 'middle' ? 0 : 1);

/** The main crossing with the reason for it, or why none is marked. */
export function mainCrossing(gaps: readonly Gap[]): { main: number | null; sentence: string } {
  const [first, second] = rankGaps(gaps);
  const best = first && gaps[first.index];
  if (!first || !best || first.score < LEAST)
    return {
      main: null,
      sentence: 'None of these gaps is worn, wet and bare enough for a crossing: look again after a night of rain, each end from below.',
    };
  const rest = second ? ` The next, at the ${gaps[second.index]?.place}: ${second.reason}.` : '';
  return { main: first.index, sentence: `Main crossing at the ${best.place}: ${first.reason}.${rest}` };
}
