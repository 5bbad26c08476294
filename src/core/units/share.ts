import { readNumber } from './fraction';

export type Share = { ok: true; value: number } | { ok: false; sentence: string };

const WORDS: Record<string, number> = {
  none: 0,
  'a quarter': 1 / 4,
  quarter: 1 / 4,
  'a third': 1 / 3,
  third: 1 / 3,
  half: 1 / 2,
  'two thirds': 2 / 3,
  'two-thirds': 2 / 3,
  'three quarters': 3 / 4,
  'three-quarters': 3 / 4,
  all: 1,
};

/**
 * Reads a share as people write it: `50`, `50 %`, `½`, `half`, `two thirds`, `2/3`, `0.6`. A number over 1 is per cent.
 *
 * @returns 0 to 1; else what was wrong and what would be right
 */
export function parseShare(text: string): Share {
  const clean = text.trim().toLowerCase();
  const percent = /^(.*?)\s*%$/.exec(clean);
  const number = WORDS[clean] ?? readNumber(percent?.[1] ?? clean);
  const value = number === null ? null : percent || number > 1 ? number / 100 : number;
  if (value === null || value > 1)
    return { ok: false, sentence: `“${text.trim().slice(0, 40)}” is not a share of the whole. Write it like 2/3, half or 60%.` };
  return { ok: true, value };
}
