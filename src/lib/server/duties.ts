import { caughtAs, type CaughtAs, type Duty } from '#core/rules/caught';
import type { Species } from '#core/animals/species';
import { whenText } from '#core/time/clock';
import { wallOf } from '#core/time/localTime';
import { db } from './database';
import { catchesOfLine, dutiesDone, versionsOf, type CaughtRow } from './repositories/rules';
import type { Season } from './season';

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

/** What a check says of each animal before it is logged: closed by the book, to be told, with a tag; empty where it says nothing. */
export async function atCatch(season: Season, water: string, { who, now }: App.Locals): Promise<Partial<Record<Species, string>>> {
  const { rules, line, areas } = season;
  if (!rules) return {};
  const { date, clock } = wallOf(now, line.zone);
  const caught = await judgedCatches(season, who.crew);
  const said: Partial<Record<Species, string>> = {};
  for (const species of ['beaver', 'muskrat', 'mink', 'otter', 'raccoon', 'other'] as const) {
    const own = caught.filter((c) => c.row.species === species);
    const onDay = own.filter((c) => wallOf(c.row.at, line.zone).date === date).length;
    const day = { date, time: clock, area: areas[water] ?? '' };
    const as = caughtAs(rules.book, { species, at: now, day, before: { inSeason: own.length, onDay } });
    const told = as.duties.map((d) => `tell ${d.whom} by ${whenText(d.by, now, season.clock)}${d.how ? `, ${d.how}` : ''}`);
    const why =
      as.because === 'closed' ? 'closed' : as.because ? `over the limit of ${as.limit?.most ?? 0} a ${as.limit?.per ?? 'season'}` : '';
    const parts = [
      ...(as.is === 'incidental' ? [`${species} ${why} by your rulebook (${as.rule ?? ''}): it is booked as incidental`] : []),
      ...told,
      ...(as.tag ? [`a tag on it (${as.tag})`] : []),
      ...(as.is !== 'incidental' && as.limit ? [`${as.limit.count} of ${as.limit.most} a ${as.limit.per}`] : []),
    ];
    const sentence = parts.join('; ');
    if (sentence !== '') said[species] = `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
  }
  return said;
}
