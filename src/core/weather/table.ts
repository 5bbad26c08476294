import { readLocalTime } from '../time/localTime';
import type { WeatherHour } from './hours';

export interface WeatherPlan {
  hours: WeatherHour[];
  /** hours that the record holds already */
  here: number;
  refused: { row: number; reason: string }[];
  warnings: string[];
  problem: string | null;
}

const HOUR = 3_600_000;
const FIND: Record<keyof Omit<WeatherHour, 'at'>, string[]> = {
  temperature: ['temperature', 'temp', 'air temperature'],
  wind: ['wind', 'wind speed'],
  from: ['from', 'wind from', 'wind direction', 'direction'],
  rain: ['rain', 'precipitation', 'rainfall'],
  snow: ['snow', 'new snow', 'snowfall'],
};
const UNIT: Record<string, (n: number) => number> = {
  c: (n) => n,
  '°c': (n) => n,
  f: (n) => ((n - 32) * 5) / 9,
  '°f': (n) => ((n - 32) * 5) / 9,
  'm/s': (n) => n,
  mph: (n) => n * 0.44704,
  'km/h': (n) => n / 3.6,
  mm: (n) => n,
  cm: (n) => n,
  in: (n) => n * 25.4,
};
const POINTS = ['N', 'NNE', 'NE', 'ENE', 'E', 'ESE', 'SE', 'SSE', 'S', 'SSW', 'SW', 'WSW', 'W', 'WNW', 'NW', 'NNW'];

/**
 * Decides what becomes of a table of hours: time, temperature, and what else it has of wind, rain and snow. Units stand in the header's brackets,
 * `temperature (F)`; without them °C, m/s, mm of rain and cm of snow are meant.
 *
 * @param known begins of hours that the record holds, ms
 * @param zone of times without an offset
 */
export function planWeather(rows: readonly Record<string, string>[], known: ReadonlySet<number>, zone: string): WeatherPlan {
  const plan: WeatherPlan = { hours: [], here: 0, refused: [], warnings: [], problem: null };
  const columns = Object.keys(rows[0] ?? {});
  const bare = (name: string): string =>
    name
      .replace(/[([].*$/, '')
      .replace(/_/g, ' ')
      .trim();
  const column = (names: string[]): string | undefined => columns.find((c) => names.includes(bare(c)));
  const time = column(['time', 'at', 'date', 'datetime', 'timestamp', 'hour']);
  const temperature = column(FIND.temperature);
  if (rows.length === 0) return { ...plan, problem: 'The file has no rows.' };
  if (!time || !temperature) return { ...plan, problem: 'The table needs a column “time” and a column “temperature”.' };
  const cell = (row: Record<string, string>, what: keyof typeof FIND): number | null => {
    const name = column(FIND[what]);
    const text = name ? (row[name] ?? '').trim() : '';
    if (text === '') return 0;
    if (what === 'from' && POINTS.includes(text.toUpperCase())) return POINTS.indexOf(text.toUpperCase()) * 22.5;
    const unit = /[([]\s*([^)\]]+?)\s*[)\]]/.exec(name ?? '')?.[1] ?? '';
    const value = Number(text.replace('−', '-'));
    const inches = what === 'snow' && unit === 'in' ? value * 2.54 : (UNIT[unit] ?? ((n: number) => n))(value);
    return Number.isFinite(inches) ? inches : null;
  };
  const seen = new Set<number>();
  rows.forEach((row, index) => {
    const refuse = (reason: string): void => void plan.refused.push({ row: index + 2, reason });
    const text = (row[time] ?? '').trim();
    const zoned = /(Z|[+-]\d{2}:?\d{2})$/.test(text);
    const read = zoned ? { ok: !Number.isNaN(Date.parse(text)), at: new Date(text) } : readLocalTime(text.replace(' ', 'T'), zone, 'first');
    if (!read.ok || !('at' in read)) return refuse(`“${text.slice(0, 30)}” is not a time`);
    if ((row[temperature] ?? '').trim() === '') return refuse('no temperature');
    const hour = {
      at: Math.floor(read.at.getTime() / HOUR) * HOUR,
      temperature: cell(row, 'temperature'),
      wind: cell(row, 'wind'),
      from: cell(row, 'from'),
      rain: cell(row, 'rain'),
      snow: cell(row, 'snow'),
    };
    const odd = Object.entries(hour).find(([, v]) => v === null);
    if (odd) return refuse(`its ${odd[0]} is not a number`);
    const whole = hour as WeatherHour;
    if (whole.temperature < -60 || whole.temperature > 60)
      return refuse(`${whole.temperature.toFixed(0)} °C is no air temperature: is the column in °F? Write temperature (F).`);
    if (whole.rain < 0 || whole.rain > 200 || whole.snow < 0 || whole.snow > 100 || whole.wind < 0 || whole.wind > 80)
      return refuse('rain, snow or wind beyond what weather does');
    if (seen.has(whole.at)) return;
    seen.add(whole.at);
    if (known.has(whole.at)) plan.here += 1;
    else plan.hours.push({ ...whole, from: ((whole.from % 360) + 360) % 360 });
  });
  plan.hours.sort((a, b) => a.at - b.at);
  const times = [...seen].sort((a, b) => a - b);
  const gaps = times.slice(1).filter((t, i) => t - (times[i] as number) > HOUR).length;
  if (gaps > 0) plan.warnings.push(`${gaps} ${gaps === 1 ? 'gap' : 'gaps'}: of those hours nothing is known.`);
  if (plan.hours.length > 0 && plan.hours.every((h) => h.temperature > 25))
    plan.warnings.push('Every hour is over 25 °C: is the column in °F? Write temperature (F).');
  return plan;
}
