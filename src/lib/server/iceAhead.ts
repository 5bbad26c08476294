import { movingOf } from '#core/ahead/moving';
import { carriedOn, freezingDegreeDays, unknownHours } from '#core/weather/hours';
import { iceAt } from '#core/ice/growth';
import { factorAt } from '#core/ice/sheets';
import type { TrapSet } from '#core/record/kinds';
import type { Station } from '#core/stations/placed';
import { nextCheck } from '#core/time/deadline';
import { dayText } from '#core/time/clock';
import { printLength } from '#core/units/length';
import type { Season } from '#lib/season/season';

/** The ice over a station now and, thick end of the forecast, at the next check, m; and the frost until then. */
export function iceAhead(season: Season, station: Station, set: Pick<TrapSet, 'id'> | undefined, locals: App.Locals) {
  const sheet = season.sheets[station.water];
  const { hours } = movingOf(season, locals.now);
  const view = set && season.views.find((v) => v.id === set.id);
  const { now } = locals;
  const check = nextCheck(view?.deadline ?? null, now, { ...season.line, ...(view && { rule: view.every }) });
  const ahead = carriedOn(hours, check.getTime());
  // of weather that nobody told the ice is not computed: the rule of thumb of the type stands
  const isTold = unknownHours(ahead, now.getTime(), check.getTime()) < 1;
  const told = hours.at(-1)?.at ?? 0;
  const { factor } = factorAt(station, sheet, season.ice);
  const print = (m: number): string => printLength(m, locals.who.person.system);
  const [here, then] = [sheet && iceAt(sheet.course, now.getTime()), sheet && isTold && iceAt(sheet.course, check.getTime())];
  return {
    now: here ? here.middle * factor : null,
    iceNext: then ? then.high * factor : null,
    frostToCheck: isTold ? freezingDegreeDays(ahead, now.getTime(), check.getTime()) : null,
    text:
      here && then
        ? `By its course ${print(here.middle * factor)} of ice are over this place now, ${print(then.low * factor)} to ${print(then.high * factor)} at the next check, ${dayText(check, season.clock)}.${told + 3_600_000 < check.getTime() ? ` Weather told to ${dayText(new Date(told), season.clock)}; after that its cold is taken to go on (rule of thumb).` : ''} Measure before the wire is cut.`
        : here
          ? `By its course ${print(here.middle * factor)} of ice are over this place now. No weather is told to the next check, ${dayText(check, season.clock)}: its growth until then is a rule of thumb.`
          : 'No ice was recorded on this water: measure it in the hole.',
  };
}
