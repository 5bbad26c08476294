export type Tags = { ok: true; tags: string[] } | { ok: false; sentence: string };

/** As many devices are added at once at most. */
const MOST = 100;
const RANGE = /^(.*?)(\d+)\s*(?:to|–|—|\.{2,3}|\s-\s)\s*(.*?)(\d+)$/i;

/**
 * The tags of one or of several devices: `K-01`, or `K-01 to K-12`, counted up with the zeros of the first.
 *
 * @returns them, or the sentence that says what was not understood
 */
export function tagsOf(text: string): Tags {
  const typed = text.trim();
  if (typed === '') return { ok: false, sentence: 'Type the tag, for example K-01; several at once as K-01 to K-12.' };
  const [, start = '', first = '', end = '', last = ''] = RANGE.exec(typed) ?? [];
  if (first === '') return { ok: true, tags: [typed] };
  const [from, to] = [Number(first), Number(last)];
  if (end.trim() !== '' && end.trim() !== start.trim())
    return { ok: false, sentence: `“${typed.slice(0, 40)}” begins with two names: write it like ${start}01 to ${start}12.` };
  if (to <= from) return { ok: false, sentence: `The last number has to come after ${first}: write it like ${start}01 to ${start}12.` };
  if (to - from >= MOST) return { ok: false, sentence: `At most ${MOST} at once; that would be ${to - from + 1}.` };
  return { ok: true, tags: Array.from({ length: to - from + 1 }, (_, n) => start + String(from + n).padStart(first.length, '0')) };
}
