import { v7 } from 'uuid';
import { seeded } from '#core/sim/random';

/** Ids that are the same at every loading of the demo. */
export function idMaker(seed: number): (at?: Date) => string {
  const random = seeded(seed);
  return (at = new Date('2026-01-01T00:00:00Z')) =>
    v7({
      msecs: at.getTime(),
      random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)),
      seq: Math.floor(random() * 0x7fffffff),
    });
}
