import type { CoursePoint } from '../water/balance';
import type { Courses } from '../water/pondForecast';
import type { Interval } from '../water/band';

/** The course of a level with its band, and the bands of the sets beside it, on one axis of time; px. */
export interface CourseChart {
  width: number;
  height: number;
  area: string;
  line: string;
  hours: { x: number; text: string }[];
  levels: { y: number; text: string }[];
  sets: { id: string; name: string; x: number; top: number; bottom: number }[];
}

interface Input {
  courses: Courses;
  bands: readonly { id: string; name: string; band: Interval }[];
  size: { width: number; height: number };
  hourText: (seconds: number) => string;
  levelText: (level: number) => string;
  /** distance of two marks of the level axis, m */
  step: number;
}

const PAD = { left: 62, right: 14, top: 14, bottom: 28 };

/** Lays out the chart; the bands of the sets stand as bars along its right half, in the order given; a band that lies wholly outside the drawing is left out. */
export function courseChart({ courses, bands, size, hourText, levelText, step }: Input): CourseChart {
  const all = [...courses.low, ...courses.middle, ...courses.high].map((p) => p.level);
  const low = Math.min(...all) - step / 2;
  const high = Math.max(...all) + step / 2;
  const end = courses.middle.at(-1)?.at ?? 1;
  const shown = bands.filter(({ band }) => band.max > low && band.min < high);
  const bars = shown.length * 26 + (shown.length > 0 ? 16 : 0);
  const right = size.width - PAD.right - bars;
  const x = (at: number): number => PAD.left + (at / end) * (right - PAD.left);
  const y = (level: number): number => PAD.top + ((high - level) / (high - low)) * (size.height - PAD.top - PAD.bottom);
  const clamp = (level: number): number => Math.min(Math.max(level, low), high);
  const path = (points: readonly CoursePoint[]): string => points.map((p) => `${x(p.at).toFixed(1)} ${y(p.level).toFixed(1)}`).join('L');
  const first = Math.ceil(low / step);
  return {
    width: size.width,
    height: size.height,
    area: `M${path(courses.high)}L${path([...courses.low].reverse())}Z`,
    line: `M${path(courses.middle)}`,
    hours: Array.from({ length: Math.floor(end / 10_800) + 1 }, (_, i) => ({ x: x(i * 10_800), text: hourText(i * 10_800) })),
    levels: Array.from({ length: Math.max(0, Math.floor(high / step) - first + 1) }, (_, i) => ({
      y: y((first + i) * step),
      text: levelText((first + i) * step),
    })),
    sets: shown.map(({ id, name, band }, i) => ({ id, name, x: right + 22 + i * 26, top: y(clamp(band.max)), bottom: y(clamp(band.min)) })),
  };
}
