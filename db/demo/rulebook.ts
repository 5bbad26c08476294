import { rulebookSchema, type Rulebook } from '#core/rules/book';
import { TARN_DISTRICT } from '#core/rules/examples';
import { addDays } from '#core/time/localTime';

/** The rulebook of the demo: its seasons lie round the day it is told from, otter are closed for a while. */
export function rulebookFor(today: string): Rulebook {
  const day = (offset: number): string => addDays(today, offset).slice(5);
  return rulebookSchema.parse({
    ...TARN_DISTRICT,
    seasons: TARN_DISTRICT.seasons?.map((season) => ({ ...season, opens: day(-45), closes: day(120) })),
    closures: TARN_DISTRICT.closures?.map((closure) => ({ ...closure, from: addDays(today, -500), until: addDays(today, 600) })),
  });
}
