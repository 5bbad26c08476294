import { partsOf } from '#core/run/whose';
import { MODES, type Mode } from '#core/run/travel';
import { wallSaid } from '#core/time/clock';
import { instantOf, localDate, readLocalTime, toField } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { accessPoints, dayRun } from '#lib/season/dayRun';
import type { Season } from '#lib/season/season';
import type { Asker } from '#lib/season/who';

/** A beginning that is not longer ago is that of the run under way, ms. */
const LATELY = 12 * 3_600_000;
const LUNCHES = ['0', '20', '30', '45', '60'];

/** What a run knows besides the season. */
export interface RunKnown {
  /** the share of checks that found a catch */
  catches: number;
  people: readonly { id: string; name: string }[];
}

/**
 * The run of a day as its page shows it: its stops, and the minutes between them; the same on the desk and on a device.
 *
 * @param said what the address asks for
 */
export function runPage(season: Season, said: URLSearchParams, { catches, people: crew }: RunKnown, asker: Asker) {
  const { now, who } = asker;
  const { zone } = season.line;
  const text = (name: string): string => said.get(name)?.trim() ?? '';
  const from = text('from') || toField(now, zone);
  const read = readLocalTime(from, zone, text('from.which'), wallSaid(season.clock.hours));
  const past = read.ok ? now.getTime() - read.at.getTime() : 0;
  const problem = read.ok ? (past > LATELY ? 'That is past already. Say when you begin.' : '') : read.sentence;
  // who is on his way already goes on from now
  const start = read.ok && past <= 0 ? read.at : now;
  const mode: Mode = Object.hasOwn(MODES, text('by')) ? (text('by') as Mode) : 'foot';
  const people: 1 | 2 = text('people') === '2' ? 2 : 1;
  const lunch = LUNCHES.includes(text('lunch')) ? text('lunch') : '0';
  const found = dayRun(season, { start, mode, access: text('begin') }, asker);
  const shared = season.shares.find((s) => s.day === localDate(start, zone));
  const sun = sunOf(localDate(start, zone), zone, season.line);
  return {
    line: season.line.name,
    clock: season.clock,
    system: who.person.system,
    asked: { from: problem === '' && past > 0 ? toField(now, zone) : from, by: mode, people, lunch, begin: found.begin },
    problem,
    now: now.getTime(),
    start: start.getTime(),
    date: localDate(start, zone),
    /** minutes until noon; 0 where it is past */
    noon: Math.max(0, (instantOf(localDate(start, zone), '12:00', zone).getTime() - start.getTime()) / 60_000),
    light: sun.dawn && sun.dusk ? { from: sun.dawn.getTime(), to: sun.dusk.getTime() } : null,
    accesses: accessPoints(season).map(({ id, name }) => ({ value: id, text: name })),
    catches,
    people: crew,
    me: who.person.id,
    /** who goes where, as it was said, and what of it is left */
    parts: partsOf(
      season.shares,
      localDate(start, zone),
      found.stops.map((s) => s.id),
    ).map((part) => ({
      ...part,
      name: crew.find((p) => p.id === part.person)?.name ?? 'Somebody',
    })),
    opened: shared?.entry ?? '',
    note: shared?.note ?? '',
    minutes: season.minutes,
    ...found,
  };
}

export type RunDay = ReturnType<typeof runPage>;
