import { caughtAs, type CaughtAs, type Duty } from '#core/rules/caught';
import type { Species } from '#core/animals/species';
import type { Caught } from '#lib/check/atCatch';
import { whenText } from '#core/time/clock';
import { wallOf } from '#core/time/localTime';
import { db } from './database';
import { catchesOfLine, dutiesDone, versionsOf, type CaughtRow } from './repositories/rules';
import type { Season } from '#lib/season/season';

/** Catches as the rulebook in force has them, and who is to be told of them. */

export interface Judged {
  row: CaughtRow;
  as: CaughtAs;
}

/** Every catch of the line by the book as it was when it was made; those of its kind before it count towards its limit. */
export async function judgedCatches({ line, rules, areas }: Season, crew: string): Promise<Judged[]> {
  if (!rules) return [];
  const [rows, versions] = await Promise.all([catchesOfLine(db(), crew, line.id), versionsOf(db(), crew, rules.id)]);
  const season: Partial<Record<Species, number>> = {};
  const days: Record<string, number> = {};
  return rows.flatMap((row): Judged[] => {
    const then = versions.findLast((v) => v.from <= row.at);
    const { date, clock } = wallOf(row.at, line.zone);
    const { species } = row;
    const before = { inSeason: season[species] ?? 0, onDay: days[`${species} ${date}`] ?? 0 };
    season[species] = before.inSeason + 1;
    days[`${species} ${date}`] = before.onDay + 1;
    if (!then) return [];
    return [{ row, as: caughtAs(then.book, { species, at: row.at, day: { date, time: clock, area: areas[row.water] ?? '' }, before }) }];
  });
}

/** A duty as Rounds and the report show it; `done` where somebody was told. */
export const dutyShown = (duty: Duty, done: { at: Date; note: string } | undefined, { clock }: Pick<Season, 'clock'>, now: Date) => ({
  rule: duty.rule,
  whom: duty.whom,
  how: duty.how,
  by: whenText(duty.by, now, clock),
  overdue: !done && duty.by < now,
  done: done ? `${whenText(done.at, now, clock)}${done.note ? `: ${done.note}` : ''}` : '',
});

/** What is still to be told, the first due first. */
export async function openDuties(season: Season, { who, now }: App.Locals) {
  if (!season.rules || season.rules.book.tell.length === 0) return [];
  const [caught, done] = await Promise.all([judgedCatches(season, who.crew), dutiesDone(db(), who.crew)]);
  return caught
    .flatMap(({ row, as }) => as.duties.filter((d) => !done.has(`${row.id} ${d.rule}`)).map((duty) => ({ row, duty })))
    .sort((a, b) => a.duty.by.getTime() - b.duty.by.getTime())
    .map(({ row, duty }) => ({
      catch: row.id,
      text: `${row.species} at ${row.number} ${row.name}`,
      dueAt: duty.by,
      ...dutyShown(duty, undefined, season, now),
    }));
}

/** What was caught until now, for what the book says of the next one. */
export const caughtSoFar = async (season: Season, { who }: Pick<App.Locals, 'who'>): Promise<Caught[]> =>
  (await judgedCatches(season, who.crew)).map(({ row: { species, at } }) => ({ species, at }));
