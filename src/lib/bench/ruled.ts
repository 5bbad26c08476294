import { movingOf } from '#core/ahead/moving';
import { judge, type Answer } from '#core/rules/judge';
import type { Rulebook } from '#core/rules/book';
import { seasonAt } from '#core/rules/seasons';
import type { Position } from '#core/ground/geodesic';
import { pointsOf } from '#core/ground/points';
import { awayFrom, standOf, type RuleFacts } from '#core/rules/stand';
import type { TrapSet } from '#core/record/kinds';
import type { SetView } from '#core/sets/standing';
import { setTypeOf } from '#core/sets/catalogue';
import type { Station } from '#core/stations/placed';
import { dateText, wallText } from '#core/time/clock';
import { nextCheck } from '#core/time/deadline';
import { localDate, wallOf } from '#core/time/localTime';
import type { System } from '#core/units/factors';
import { answerText, type RuleReader } from '#core/words/rules';
import { designOf } from '#lib/season/oneSet';
import type { Season } from '#lib/season/season';
import type { Asker } from '#lib/season/who';

/** What the rulebook asks of a place on a day, from the record: date and area, distances, the lowest level to the next check. */
export function factsHere(season: Season, station: Station, view: SetView | undefined, at: Date, now: Date): RuleFacts {
  const { date, clock } = wallOf(at, season.line.zone);
  return {
    day: { date, time: clock, area: season.areas[station.water] ?? '' },
    away: awayFrom(station, season.stations, roadsOf(season)),
    lowest: lowestTo(season, station, nextCheck(view?.deadline ?? null, now, { ...season.line, ...(view && { rule: view.every }) }), now),
  };
}

const roadsOf = ({ ground }: Season): Position[][] => ground.filter((g) => g.kind === 'road').map((g) => pointsOf(g.shape).points);

/** The lowest level of its surface that the forecast holds for possible until a check, m; null where none is forecast. */
function lowestTo(season: Season, { water, surface }: Station, check: Date, now: Date): number | null {
  const outlook = movingOf(season, now).waters[water]?.[surface];
  if (!outlook) return null;
  const seconds = (at: Date): number => (at.getTime() - outlook.from.getTime()) / 1000;
  const ahead = outlook.courses.low.filter((p) => p.at >= seconds(now) - 1800 && p.at <= seconds(check));
  return ahead.length === 0 ? null : Math.min(...ahead.map((p) => p.level));
}

/** Whether the book in force closes the animal of a set today, with the day on which it opens; null where it does not, or an exemption allows it. */
export function closedTo({ rules, line, areas, stations }: Season, set: TrapSet, now: Date): { rule: string; opens: string | null } | null {
  if (!rules || set.exemption !== '') return null;
  const { date, clock } = wallOf(now, line.zone);
  const water = stations.find((s) => s.id === set.station)?.water ?? '';
  const found = seasonAt(rules.book, set.species, { date, time: clock, area: areas[water] ?? '' });
  return found.is === 'closed' ? { rule: found.rule, opens: found.opens?.date ?? null } : null;
}

/** What a book says of a set as it stands. */
export function judged(book: Rulebook, season: Season, set: TrapSet, asker: Asker): Answer[] {
  const { station, type, setting, devices, then, design } = designOf(season, set, asker);
  const view = season.views.find((v) => v.id === set.id);
  const { situation, attested, species } = set;
  const built = { species, situation, attested, design, devices: Object.values(devices), choices: setting.choices, then };
  return judge(
    book,
    standOf(
      { ...built, surface: station.surface, opensDam: type.acts !== undefined },
      factsHere(season, station, view, asker.now, asker.now),
    ),
  );
}

/** How this reader reads an answer. */
export const ruleReader = ({ clock }: Pick<Season, 'clock'>, system: System, now: Date): RuleReader => ({
  system,
  date: (date) => dateText(date, localDate(now, clock.zone), clock.hours),
  time: (time) => wallText(time, clock.hours),
});

/** What a change of the book means for the live sets: the answers that were not the same before. */
export function changedBy(before: Rulebook, after: Rulebook, season: Season, asker: Asker) {
  const reader = ruleReader(season, asker.who.person.system, asker.now);
  const line = (a: Answer): string => `${a.verdict} ${a.code} ${answerText(a as never, reader)}`;
  return season.sets
    .filter((set) => set.state === 'live')
    .flatMap((set) => {
      const was = new Set(judged(before, season, set, asker).map(line));
      const changed = judged(after, season, set, asker).filter((a) => !was.has(line(a)) && a.verdict !== 'silent');
      return changed.map((a) => ({
        id: set.id,
        set: `${set.number} ${set.name}, ${setTypeOf(set.type).name.toLowerCase()}`,
        rule: a.rule ?? '',
        verdict: a.verdict,
        text: answerText(a as never, reader),
      }));
    });
}
