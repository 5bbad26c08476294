import type { Forecast } from '#core/water/pondForecast';
import { fitStream, streamForecast } from '#core/water/streamForecast';
import { levelOn } from '#core/water/balance';
import type { Reading } from '#core/water/series';
import { merged, type WeatherStretch } from '#core/weather/hours';
import { simulateExpected, simulateHours, type SimulatedDay } from '#core/sim/weather';
import { thinned, THIN } from '#core/water/logger';
import { addDays, instantOf, localDate, wholeMinute } from '#core/time/localTime';
import { inches } from '#core/units/factors';
import type { DemoContext } from './scouting';

const HOUR = 3_600_000;
/** Days before today on which the still waters froze over. */
export const FROZE = 5;
const STATION = 'Kettle Row mast (simulated)';
/** How far ahead the simulated station looks. */
const LOOKS = 72;

/** The days of the season with three more: autumn cools, a storm, then frost; tonight it turns and rains. */
export function demoDays(rain: readonly number[], days: number): SimulatedDay[] {
  const past = rain.slice(0, days + 1).map((fell, day): SimulatedDay => {
    const back = days - day;
    const mean = back > FROZE ? 9 - day * 0.2 : back === 0 ? -3 : -8 + (FROZE - back) * 0.4;
    return { mean, rain: Math.round(fell * 25.4 * 10) / 10 };
  });
  const last = past.at(-1);
  return [
    ...past.slice(0, -1),
    { mean: last?.mean ?? -3, rain: 16, atNight: true },
    { mean: 4, rain: 2 },
    { mean: 2, rain: 0 },
    { mean: -2, rain: 0 },
  ];
}

/** What the simulated station told each evening and this morning: the day that was, and what it expected. */
export function demoWeather(seed: number, now: Date, zone: string, rain: readonly number[], days: number): WeatherStretch[] {
  const today = localDate(now, zone);
  const start = instantOf(addDays(today, -days), '00:00', zone).getTime();
  const truth = simulateHours(seed, Math.floor(start / HOUR) * HOUR, demoDays(rain, days));
  const tellings = Array.from({ length: days }, (_, n) => instantOf(addDays(today, n - days), '16:30', zone)).filter((at) => at < now);
  return [...tellings, wholeMinute(new Date(now.getTime() - 6 * 60_000))].map((made, n) => {
    const told = made.getTime();
    const seen = truth.filter((h) => h.at >= told - 25 * HOUR && h.at + HOUR <= told);
    const ahead = truth.filter((h) => h.at + HOUR > told && h.at < told + LOOKS * HOUR);
    return { made: told, hours: [...seen, ...simulateExpected(seed + 100 + n, ahead, told)] };
  });
}

interface MovingInput {
  context: DemoContext;
  weather: WeatherStretch[];
  /** readings of a gauge by its key */
  readings: Record<string, Reading[]>;
  days: number;
}

/** Weather, ice, a logger's stretch, and what was forecast each evening. */
export function addMoving({ context, weather, readings, days }: MovingInput): void {
  const { at, idOf, make, add, now } = context;
  for (const { made, hours } of weather) {
    const told = new Date(made);
    add(
      'weather',
      { id: make(told), station: STATION, made: told.toISOString(), source: 'simulated', hours: [...hours], note: '' },
      told,
      null,
    );
  }
  addIce(context);
  addLogger(context, readings['ponds-pond'] ?? [], days);
  for (const key of ['header-pond', 'race-pond', 'ditch-pond', 'upper-pond', 'spill-pond']) {
    for (let day = 15; day >= 1; day -= 1) {
      // the drawdown of the last night is reckoned by the break, not by what the gauge did before
      if (key === 'header-pond' && day === 1) continue;
      const made = at(day, '16:50');
      const known = (readings[key] ?? []).filter((r) => r.at <= made);
      const last = known.at(-1);
      if (!last || made > now || made.getTime() - last.at.getTime() > 24 * HOUR) continue;
      const hours = merged(weather.filter((w) => w.made <= made.getTime()));
      const fit = fitStream(known, hours);
      const courses = streamForecast(fit, last.level, last.at.getTime(), 40, hours);
      add(
        'forecast',
        { id: make(made), gauge: idOf(key), made: made.toISOString(), points: pointsOf(courses, last.at.getTime()), note: '' },
        made,
        null,
      );
    }
  }
}

/** A course as it is kept: a point every two hours. */
export function pointsOf({ low, middle, high }: Forecast, from: number) {
  const end = middle.at(-1)?.at ?? 0;
  const short = (n: number): number => Math.round(n * 1e5) / 1e5;
  return Array.from({ length: Math.floor(end / 7200) + 1 }, (_, n) => n * 7200).map((s) => ({
    at: from + s * 1000,
    low: short(levelOn(low, s)),
    middle: short(levelOn(middle, s)),
    high: short(levelOn(high, s)),
  }));
}

function addIce({ at, idOf, make, add, now }: DemoContext): void {
  const seen = (
    water: string,
    station: string | null,
    day: number,
    clock: string,
    thickness: number,
    what: 'froze over' | 'measured',
    note: string,
  ): void => {
    const when = at(day, clock);
    if (when > now) return;
    add(
      'ice',
      {
        id: make(when),
        water: idOf(water),
        station: station && idOf(`station ${station}`),
        at: when.toISOString(),
        seen: what,
        thickness: inches(thickness),
        white: false,
        snow: 0,
        by: idOf('wren'),
        note,
      },
      when,
    );
  };
  seen('moss', null, FROZE, '09:10', 0.25, 'froze over', 'skim from shore to shore');
  seen('upper', null, FROZE - 1, '10:20', 0.25, 'froze over', 'open at the springs');
  seen('moss', null, 3, '12:40', 2.75, 'measured', 'clear, at the feed pile');
  seen('moss', 'mossrun', 3, '12:55', 1.25, 'measured', 'over the run');
  seen('moss', null, 1, '12:30', 4, 'measured', 'clear');
  seen('upper', null, 1, '14:40', 3.25, 'measured', 'by the dam');
}

/** A logger that hung in the settling ponds for a week, its clock an hour's steps, thinned as a file is. */
function addLogger({ at, idOf, make, add }: DemoContext, readings: Reading[], days: number): void {
  const [from, to] = [at(days - 2, '12:00'), at(days - 9, '12:00')];
  const base = readings.find((r) => r.at >= from)?.level ?? inches(20);
  const rows = Array.from({ length: Math.floor((to.getTime() - from.getTime()) / HOUR) + 1 }, (_, n) => ({
    at: from.getTime() + n * HOUR,
    level: base + inches(0.3 * Math.sin(n / 19) + 0.08 * Math.sin(n * 2.3)),
  }));
  const read = at(days - 9, '13:00');
  add(
    'logged',
    {
      id: make(read),
      gauge: idOf('ponds-pond'),
      name: 'settling ponds, hourly (simulated)',
      from: from.toISOString(),
      to: to.toISOString(),
      rows: rows.length,
      points: thinned(rows, THIN),
      note: '',
    },
    read,
  );
}
