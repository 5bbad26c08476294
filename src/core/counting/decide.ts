import { howManyLeft, type LeftEvidence } from './left';

/** A way to find out whether any is left, and after how many silent nights it has told. */
export interface Settles {
  by: 'camera' | 'break' | 'traps';
  nights: number;
}

/** Further ahead nothing is promised. [practice] */
const MOST = 14;

/**
 * What would make it as sure as wanted that none is left, soonest first: nights before a camera that stays silent, nights of a break that stays
 * open, nights of the traps as they stand. Each alone, if nothing happens; empty where nothing alone does it in two weeks, or where it is sure.
 *
 * @param effort device-nights in range that a night brings now
 */
export function settles(evidence: LeftEvidence, clear: number, effort: number): Settles[] {
  const none = (more: Partial<LeftEvidence>): number => howManyLeft({ ...evidence, ...more }).chances[0] ?? 0;
  if (evidence.mended || none({}) >= clear) return [];
  const after: Record<Settles['by'], (nights: number) => Partial<LeftEvidence>> = {
    camera: (n) => ({ quiet: evidence.quiet + n }),
    break: (n) => ({ unmended: (evidence.unmended ?? 0) + n }),
    traps: (n) => ({ nights: [...evidence.nights, ...Array.from({ length: n }, () => ({ caught: 0, effort }))] }),
  };
  return (Object.keys(after) as Settles['by'][])
    .filter((by) => by !== 'traps' || effort > 0)
    .flatMap((by): Settles[] => {
      const tells = (nights: number): boolean => none(after[by](nights)) >= clear;
      if (!tells(MOST)) return [];
      // silence only ever speaks for none: the first night that tells lies between one that does not and one that does
      let [before, from] = [0, MOST];
      while (from - before > 1) {
        const middle = Math.floor((before + from) / 2);
        if (tells(middle)) from = middle;
        else before = middle;
      }
      return [{ by, nights: from }];
    })
    .sort((a, b) => a.nights - b.nights);
}
