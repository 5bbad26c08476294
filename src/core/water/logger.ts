import { parseLength, type LengthUnit } from '../units/length';
import { momentText, spanText, type Clock } from '../time/clock';
import { readLocalTime } from '../time/localTime';
import { INCH } from '../units/factors';
import { many } from '../units/many';

/** One line of a logger as it is taken: ms, and metres over the gauge's zero. */
export interface Logged {
  at: number;
  level: number;
}

export interface LoggerPlan {
  /** thinned and in the order of time; empty when the file cannot be taken */
  points: Logged[];
  rows: number;
  refused: { row: number; reason: string }[];
  /** what is odd, in words; it can be taken all the same */
  warnings: string[];
  /** why none of it can be taken; null when it can */
  problem: string | null;
  /** m: between two points kept the line is never further from a row that was left out */
  within: number;
}

const COLUMNS = {
  time: ['time', 'at', 'date', 'datetime', 'date time', 'timestamp', 'date and time'],
  level: ['level', 'stage', 'depth', 'water level', 'height', 'gauge'],
};
const HOUR = 3_600_000;
/** Rows further apart than this, or than six times the usual step, leave a gap. [practice] */
const GAP = 3 * HOUR;
/** A level that changes faster than this between two rows is a jump: the sensor was moved, or a figure slipped. [practice] */
const JUMP_PER_HOUR = 0.3;
const JUMP_LEAST = 0.1;
/** What is left out in thinning lies within this. */
export const THIN = INCH / 8;
/** More points than this are not kept as one stretch. */
const MOST = 40_000;
const UNITS: Record<string, LengthUnit> = {
  in: 'in',
  inch: 'in',
  inches: 'in',
  ft: 'ft',
  feet: 'ft',
  cm: 'cm',
  m: 'm',
  metres: 'm',
  meters: 'm',
};

interface Header {
  time: string;
  level: string;
  unit: LengthUnit | null;
}

/** Which column is which; a unit in the header's brackets stands for all its rows. */
function headerOf(columns: readonly string[]): Header | string {
  const bare = (name: string): string =>
    name
      .replace(/[([].*$/, '')
      .replace(/_/g, ' ')
      .trim();
  const find = (names: string[]): string | undefined => columns.find((c) => names.includes(bare(c)));
  const [time, level] = [find(COLUMNS.time), find(COLUMNS.level)];
  if (!time || !level)
    return `The table needs a column “time” and a column “level”; it has ${
      columns
        .slice(0, 6)
        .map((c) => `“${c.slice(0, 20)}”`)
        .join(', ') || 'none'
    }.`;
  const unit = /[([]\s*([a-z]+)\s*[)\]]/.exec(level)?.[1] ?? '';
  if (unit && !UNITS[unit]) return `“${unit}” in the header is not a unit of length: write in, ft, cm or m.`;
  return { time, level, unit: UNITS[unit] ?? null };
}

/**
 * Decides what becomes of a logger's table: time and level in the order they come, before anything is written.
 *
 * @param rows cells by their column's name, lower case
 * @param clock of the reader; a time without its offset is read in its zone
 * @param unit for bare numbers when neither header nor cell names one
 * @param until nothing measured can lie after it, ms
 */
export function planLogger(rows: readonly Record<string, string>[], clock: Clock, unit: LengthUnit, until: number): LoggerPlan {
  const plan: LoggerPlan = { points: [], rows: rows.length, refused: [], warnings: [], problem: null, within: THIN };
  const [first] = rows;
  if (!first) return { ...plan, problem: 'The file has no rows.' };
  const header = headerOf(Object.keys(first));
  if (typeof header === 'string') return { ...plan, problem: header };
  const read: Logged[] = [];
  const units = new Set<string>();
  const times = timeReader(clock.zone);
  rows.forEach((row, index) => {
    const refuse = (reason: string): void => void plan.refused.push({ row: index + 2, reason });
    const time = times(row[header.time] ?? '');
    if (typeof time === 'string') return refuse(time);
    const cell = (row[header.level] ?? '').trim();
    if (cell === '') return refuse('no level');
    const bare = Number(cell);
    const own = /[a-z'"″′]/i.exec(cell);
    units.add(own ? cell.replace(/[-\d.,\s/¼½¾−]/g, '').toLowerCase() : (header.unit ?? unit));
    const level = Number.isFinite(bare)
      ? { ok: true as const, value: bare * METRES[header.unit ?? unit] }
      : parseLength(cell, header.unit ?? unit);
    if (!level.ok) return refuse(level.sentence);
    if (level.value < -10 || level.value > 30) return refuse(`${cell.slice(0, 20)} is no level: between −10 and 30 m on the gauge`);
    read.push({ at: time, level: level.value });
  });
  if (units.size > 1)
    return {
      ...plan,
      problem: `The levels are written in ${many(units.size, 'unit')} (${[...units].slice(0, 4).join(', ')}): make them one, or they mix.`,
    };
  if (read.length === 0) return { ...plan, problem: `None of its ${many(rows.length, 'row')} has a time and a level.` };
  const future = read.filter((r) => r.at > until).length;
  if (future > 0)
    return {
      ...plan,
      problem: `${many(future, 'row')} ${future === 1 ? 'lies' : 'lie'} in the future: the clock or the zone of the file is another one (it is read in ${clock.zone}).`,
    };
  const ordered = inOrder(read, plan);
  oddities(ordered, plan, clock);
  const points = thinned(ordered, THIN);
  if (points.length > MOST)
    return { ...plan, problem: `Even thinned to ⅛ in it has ${points.length} points; ${MOST} are kept at most: split it by months.` };
  return { ...plan, points };
}

const METRES: Record<LengthUnit, number> = { in: INCH, ft: 12 * INCH, cm: 0.01, m: 1 };

/** A reader of times that is quick on many rows: a local time is asked of the zone once an hour of the clock. */
function timeReader(zone: string): (text: string) => number | string {
  const offsets = new Map<string, number>();
  return (text) => {
    const cell = text.trim();
    if (/(Z|[+-]\d{2}:?\d{2})$/.test(cell)) {
      const at = Date.parse(cell.replace(' ', 'T'));
      return Number.isNaN(at) ? `“${cell.slice(0, 30)}” is not a time` : at;
    }
    const parts = /^(\d{4})-(\d{2})-(\d{2})[T ](\d{2}):(\d{2})(?::(\d{2}))?$/.exec(cell);
    if (!parts) {
      const read = readLocalTime(cell, zone, 'first');
      return read.ok ? read.at.getTime() : read.sentence;
    }
    const utc = Date.UTC(
      Number(parts[1]),
      Number(parts[2]) - 1,
      Number(parts[3]),
      Number(parts[4]),
      Number(parts[5]),
      Number(parts[6] ?? 0),
    );
    const hour = cell.slice(0, 13);
    let offset = offsets.get(hour);
    if (offset === undefined) {
      const read = readLocalTime(cell.slice(0, 16).replace(' ', 'T'), zone, 'first');
      if (!read.ok) return read.sentence;
      offset = Math.floor(utc / 60_000) * 60_000 - read.at.getTime();
      offsets.set(hour, offset);
    }
    return utc - offset;
  };
}

/** Rows by time; what stands twice is counted, a backward clock is named. */
function inOrder(read: readonly Logged[], plan: LoggerPlan): Logged[] {
  const back = read.filter((r, i) => i > 0 && r.at < (read[i - 1] as Logged).at).length;
  const sorted = back > 0 ? [...read].sort((a, b) => a.at - b.at) : [...read];
  const once = sorted.filter((r, i) => i === 0 || r.at !== (sorted[i - 1] as Logged).at);
  if (back > 0) plan.warnings.push(`The clock runs backward ${many(back, 'time')}: the rows were put in order.`);
  if (once.length < sorted.length)
    plan.warnings.push(`${many(sorted.length - once.length, 'row')} repeat a time: the first of each is kept.`);
  return once;
}

function oddities(points: readonly Logged[], plan: LoggerPlan, clock: Clock): void {
  const steps = points.slice(1).map((p, i) => p.at - (points[i] as Logged).at);
  const usual = [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 2)] ?? 0;
  const gaps = steps.filter((s) => s > Math.max(GAP, 6 * usual));
  if (gaps.length > 0)
    plan.warnings.push(
      `${many(gaps.length, 'gap')}, the longest ${spanText(Math.max(...gaps))}: over 48 h the way the water took is not known.`,
    );
  const jumps = points.slice(1).filter((p, i) => {
    const before = points[i] as Logged;
    const change = Math.abs(p.level - before.level);
    return change > JUMP_LEAST && change / Math.max((p.at - before.at) / HOUR, 0.25) > JUMP_PER_HOUR;
  });
  if (jumps.length > 0)
    plan.warnings.push(
      `${many(jumps.length, 'jump')} of over 4 in between two rows, the first at ${momentText(new Date(jumps[0]?.at ?? 0), clock)}: was the logger moved? (rule of thumb)`,
    );
}

/** The points between which straight lines stay within a tolerance of every row (the opening window, one pass). */
export function thinned(points: readonly Logged[], within: number): Logged[] {
  const [first] = points;
  if (!first) return [];
  const kept: Logged[] = [first];
  let from = first;
  let [low, high] = [-Infinity, Infinity];
  let before = first;
  for (const p of points.slice(1)) {
    const span = p.at - from.at;
    const slope = (p.level - from.level) / span;
    if (slope < low || slope > high || span > 24 * HOUR) {
      if (before !== from) kept.push(before);
      from = before;
      const next = p.at - from.at;
      [low, high] = [(p.level - within - from.level) / next, (p.level + within - from.level) / next];
    } else {
      low = Math.max(low, (p.level - within - from.level) / span);
      high = Math.min(high, (p.level + within - from.level) / span);
    }
    before = p;
  }
  if (before !== kept.at(-1)) kept.push(before);
  return kept;
}

/** Points as a short text for the way to the server: minutes from the first, tenths of a millimetre. */
export const packed = (points: readonly Logged[]): string => {
  const first = points[0]?.at ?? 0;
  let [minute, tenth] = [0, 0];
  const steps = points.map((p) => {
    const [m, t] = [Math.round((p.at - first) / 60_000), Math.round(p.level * 10_000)];
    const step = `${m - minute} ${t - tenth}`;
    [minute, tenth] = [m, t];
    return step;
  });
  return `${first};${steps.join(',')}`;
};

/** The points out of such a text; null when it is none, or one of them lies beyond what a gauge shows. */
export function unpacked(text: string): Logged[] | null {
  const [first = '', steps = ''] = text.split(';');
  const from = Number(first);
  if (steps === '' || !Number.isFinite(from)) return null;
  let [minute, tenth] = [0, 0];
  const points = steps.split(',').map((step) => {
    const [m = NaN, t = NaN] = step.split(' ').map(Number);
    minute += m;
    tenth += t;
    return { at: from + minute * 60_000, level: tenth / 10_000 };
  });
  const good = points.every(
    (p, i) => Number.isFinite(p.at) && p.level >= -10 && p.level <= 30 && (i === 0 || p.at > (points[i - 1] as Logged).at),
  );
  return good ? points : null;
}
