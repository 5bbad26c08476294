/**
 * A pure function that remembers what it answered last. The key is all that it was asked, so no answer can be out of date,
 * whoever else writes to the record; a process that has just begun computes it anew.
 *
 * @param most answers that are kept, the oldest asked go first
 * @param keyOf all that the answer rests on, as text
 */
export function remembered<Asked extends unknown[], Answer>(
  work: (...asked: Asked) => Answer,
  most = 64,
  keyOf: (...asked: Asked) => string = (...asked) => JSON.stringify(asked),
): (...asked: Asked) => Answer {
  const known = new Map<string, Answer>();
  return (...asked) => {
    const key = keyOf(...asked);
    const answer = known.has(key) ? (known.get(key) as Answer) : work(...asked);
    known.delete(key);
    known.set(key, answer);
    for (const [oldest] of known) {
      if (known.size <= most) break;
      known.delete(oldest);
    }
    return answer;
  };
}
