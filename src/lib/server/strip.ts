import { dayStrip } from '#core/time/dayStrip';
import { many } from '#core/units/many';
import { whenText } from '#core/time/clock';
import type { Season } from '#lib/season/season';

/** The day strip with the season's deadlines, and the sentence at its end. */
export function stripOf(season: Season, now: Date) {
  const deadlines = season.views.flatMap((v) => (v.deadline ? [{ set: `${v.number} ${v.name}`, at: new Date(v.deadline) }] : []));
  const first = [...deadlines].sort((a, b) => Number(a.at) - Number(b.at))[0];
  const overdue = deadlines.filter(({ at }) => at < now).length;
  const owed = !first
    ? 'no checks due'
    : overdue > 0
      ? `${overdue} overdue, ${many(deadlines.length, 'check')} due`
      : `${many(deadlines.length, 'check')} due, first by ${whenText(first.at, now, season.clock)}`;
  return { strip: dayStrip(now, season.clock, season.line, deadlines), owed };
}
