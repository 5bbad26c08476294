import { builtText, hourCaught, setYear, stoodFrom } from '#core/ledger/years';
import type { Check, TrapSet } from '#core/record/kinds';
import { settingAt } from '#core/sets/standing';
import { setTypeOf } from '#core/sets/catalogue';
import type { Station } from '#core/stations/placed';
import { dayText, momentText } from '#core/time/clock';
import { levelText } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { many } from '#core/units/many';
import { gaveText, meantText } from '#core/words/years';
import { frameOf } from '#core/ahead/facts';
import { groundOf } from '#lib/season/oneSet';
import { momentsOfSets } from '#lib/season/facts';
import type { Season } from '#lib/season/season';
import { db } from './database';
import { checks } from './repositories/checks';
import { allReadings } from './repositories/readings';
import { cameraRolls, intents, openings, type Watched } from './repositories/scouting';
import { lines, sets as setsOf } from './repositories/sets';
import { caughtAt, levelsOf, type Stood } from './stoodThen';
import { surfacesAt } from './surfaces';
import { firstStay } from '#core/effort/totals';

/** Everything that a place gave and taught, of every season: its sets as they were built, when they caught and how they stood then, its breaks. */
export async function yearsOf(season: Season, station: Station, { who, now }: Pick<App.Locals, 'who' | 'now'>) {
  const { crew } = who;
  const [all, visits, seasons, rolls, breaks, meant] = await Promise.all([
    setsOf(db(), crew, { station: station.id }),
    checks(db(), crew, { station: station.id }),
    lines(db(), crew),
    cameraRolls(db(), crew, { station: station.id }),
    openings(db(), crew, station.water),
    intents(db(), crew, { station: station.id }),
  ]);
  const [readings, surfaces] = await Promise.all([
    allReadings(db(), season.gauges, firstStay(all)),
    surfacesAt(season.gauges, momentsOfSets(all, season.stations)),
  ]);
  const frame = frameOf(season, station.water, who.person.system);
  const stood: Stood = {
    ground: { ...groundOf(season, station), surfaces },
    frame,
    levelOf: levelsOf(season, station.water, readings),
    now,
  };
  const nameOf = Object.fromEntries(seasons.map((l) => [l.id, l.season]));
  const shown = [...all].sort((a, b) => begun(b) - begun(a));
  return {
    sets: shown.map((set) => ({
      ...told(set, { season, stood, rolls, visits: visits.filter((v) => v.set === set.id) }),
      season: nameOf[set.line] ?? '',
    })),
    /** what was looked at and left, or only meant, with the season */
    meant: meant.map(({ id, line, doing, type, because }) => ({
      id,
      text: meantText({ season: nameOf[line] ?? '', doing, type, because }),
    })),
    breaks: breaks
      .filter((b) => ['dam', 'crossover'].includes(station.kind) || all.some((s) => s.id === b.set))
      .map(({ id, opened, mended, states, by, count }) => {
        const last = states.at(-1);
        const size = last ? `${printLength(last.width, frame.system)} wide, down to ${levelText(last.sill, frame)}` : '';
        const end = mended
          ? `plugged within ${many(Math.round((Date.parse(mended) - Date.parse(opened)) / 3_600_000), 'hour')}`
          : 'not seen plugged';
        return { id, text: `${dayText(new Date(opened), season.clock)}, ${count > 1 ? `${count} breaks ` : ''}by ${by}: ${size}; ${end}.` };
      }),
  };
}

const begun = (set: TrapSet): number => stoodFrom(set)?.from.getTime() ?? Date.parse(set.settings[0]?.at ?? '') ?? 0;

interface Around {
  season: Season;
  stood: Stood;
  rolls: readonly Watched[];
  visits: readonly Check[];
}

function told(set: TrapSet, { season, stood, rolls, visits }: Around) {
  const { frame, now } = stood;
  const type = setTypeOf(set.type);
  const span = stoodFrom(set);
  const year = setYear(visits);
  const day = (at: Date): string => dayText(at, season.clock);
  const seen = rolls.flatMap((r) => r.events);
  const looked = [...visits].sort((a, b) => a.at.localeCompare(b.at));
  return {
    id: set.id,
    name: `${set.number} ${type.name}`,
    when: span ? `${day(span.from)} to ${span.to ? day(span.to) : 'now'}` : set.state,
    built: builtText(type, settingAt(set, now), frame.system),
    gave: span ? gaveText(year) : '',
    why: set.leftBecause,
    notReached: year.notReached.map(({ at, why }) => `${day(at)}: ${why}`),
    catches: looked.flatMap((visit, n) => {
      const since = new Date(looked[n - 1]?.at ?? span?.from ?? visit.at);
      const found = new Date(visit.at);
      return caughtAt(set, visit, stood).map((c, k) => {
        const hour = hourCaught(seen, visit.devices.filter((d) => d.catch)[k]?.catch?.species ?? '', since, found);
        return {
          id: `${visit.id} ${k}`,
          text: c.text,
          stood: c.stood,
          hour: hour ? `at the set ${momentText(hour, frame)}, by the camera` : '',
        };
      });
    }),
  };
}
