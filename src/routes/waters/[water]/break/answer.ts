import { clockText } from '#core/time/clock';
import { stillToGo } from '#core/ledger/stillToGo';
import { courseChart } from '#core/scene/courseChart';
import { statesOf } from '#core/sets/standing';
import { spanText } from '#core/time/clock';
import { INCH } from '#core/units/factors';
import { levelText, type Frame } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { speedText } from '#core/units/speed';
import { levelOn, type PondModel } from '#core/water/balance';
import {
  breakCourses,
  largestBreak,
  leaving,
  resized,
  sizeText,
  smallestBreak,
  type BreakPlan,
  type Leaving,
} from '#core/water/breakDesign';
import { breakFlow, criticalSpeed } from '#core/water/outflow';
import { widthAt } from '#core/water/pondForecast';
import { bandText } from '#core/water/state';
import { clockFrom } from '#core/ahead/setOutlook';
import { type MovingAll } from '#core/ahead/moving';
import { wideningIn } from '#core/ahead/ponds';
import type { waterOf } from '$lib/server/scouting';
import type { Asked } from './asked';

type Place = Awaited<ReturnType<typeof waterOf>>;

/** Sets of the pond with the band of each; two traps of a set at one height answer once. */
function bandsOf({ season, water, levels, frame }: Place) {
  const all = season.views
    .filter((v) => v.station.water === water.id && v.state === 'live')
    .flatMap((v) =>
      statesOf(v, levels, frame)
        .filter((s) => s.axis === 'pond' && s.band)
        .map((s) => ({ id: `${v.id} ${s.device}`, set: v.id, name: `${v.number} ${v.name}`, band: s.band ?? { min: 0, max: 0 } })),
    );
  // an open end is no number that could be taken from another
  const same = (a: number, b: number): boolean => a === b || Math.abs(a - b) < 1e-6;
  return all.filter((s, i) => all.findIndex((o) => o.set === s.set && same(o.band.min, s.band.min) && same(o.band.max, s.band.max)) === i);
}

/** The pond as it is calculated, what moves it, and how far ahead. */
interface Ahead {
  model: PondModel;
  moving: MovingAll;
  hours: number;
}

/** Everything the designer answers, both ways. */
export function answerOf(asked: Asked, place: Place, { model, moving, hours }: Ahead, { now }: App.Locals) {
  const { water, frame, levels } = place;
  const { system } = frame;
  const start = asked.start ?? 0;
  const told = clockFrom(now, frame);
  const when = (seconds: number): string => told(new Date(now.getTime() + seconds * 1000));
  const seconds = (at: Date): number => (at.getTime() - now.getTime()) / 1000;
  const { breaks: running, ...rest } = model;
  const widens = asked.widens ? wideningIn(moving.hours, now.getTime()) : undefined;
  const plan: BreakPlan = {
    start,
    model: rest,
    shape: asked.shape,
    sill: asked.sill,
    count: asked.count,
    opened: asked.opened ? Math.max(0, seconds(asked.opened)) : 0,
    running,
    mended: asked.mended ? Math.max(60, seconds(asked.mended)) : null,
    ...(widens ? { widens } : {}),
    hours,
  };
  const courses = breakCourses(plan);
  const bands = bandsOf(place);
  const print = (level: number): string => levelText(level, frame);
  const last = (course: typeof courses.middle): number => course.at(-1)?.level ?? start;
  const end = last(courses.middle);
  const by = when(hours * 3600);
  const flow = asked.count * breakFlow(asked.shape, asked.depth, (levels.known.tail ?? -100) - asked.sill);
  const size = sizeText(asked.shape, asked.shape.kind === 'V' ? asked.shape.side : asked.width, system);
  const many = asked.count > 1 ? `${asked.count} breaks alike, each ` : 'Break ';
  const goal = goalLevel(asked, bands, start, water.safe?.level ?? null);
  const doubts = widthAt(courses, Math.min(hours, 24) * 3600).slice(0, 3);
  return {
    sentence: `${print(start)} to ${print(end)} by ${by} (likely ${print(last(courses.low))} to ${print(last(courses.high))})${asked.mended === null ? ', if nobody plugs it.' : `, if beaver plug it about ${told(asked.mended)}${asked.typed.mended === 'dusk' ? ', two hours after sunset (rule of thumb)' : ''}.`}${asked.opened ? ` Opened ${told(asked.opened)}.` : ''}`,
    reasons:
      doubts.length > 0
        ? `8 in 10 readings should land in the shaded range. Main doubt: ${doubts.map((d) => `${d.called} ${printLength(d.by, system)}`).join(', ')}, up or down.`
        : '',
    current: `${system === 'us' ? `${(flow * 35.3147).toFixed(1)} cubic feet` : `${flow.toFixed(2)} m³`} a second at first, ${speedText(criticalSpeed(asked.shape, asked.depth), system)} in the break: it may fire the trigger, and brings sticks and mud.${widens ? ' Rain is expected: soft fill cuts wider (rule of thumb).' : ''}`,
    reach: goal === null ? null : goalAnswer(plan, goal, Math.max(600, seconds(asked.by)), frame, asked.goal),
    safe: water.safe ? stillToGo(water.safe, end, frame).replace(': ', `, by ${by}: `) : null,
    report: `${many}${size}, bottom at ${print(asked.sill)} on the gauge, opened ${when(plan.opened)}: the pond is expected at ${print(end)} by ${by} (likely ${print(last(courses.low))} to ${print(last(courses.high))}).`,
    sets: bands.map((s) => ({
      ...s,
      band: bandText(s.band, frame, 'pond'),
      leaves: leavingText(leaving(courses, s.band), when),
      works: worksFor(leaving(courses, s.band), hours * 3600),
    })),
    chart: courseChart({
      courses,
      bands,
      size: { width: 1100, height: 320 },
      hourText: (s) => clockText(new Date(now.getTime() + s * 1000), frame),
      levelText: print,
      step: system === 'us' ? 2 * INCH : 0.05,
    }),
    table: courses.middle
      .filter((p) => Math.abs(p.at % 10_800) < 1)
      .map((p) => ({
        at: when(p.at),
        level: print(p.level),
        low: print(levelOn(courses.low, p.at)),
        high: print(levelOn(courses.high, p.at)),
      })),
  };
}

/** The shares of the hours looked at for which a set surely works, and may. */
function worksFor({ earliest, latest }: Leaving, span: number): { earliest: number; latest: number } {
  const share = (seconds: number | null): number => (seconds === null ? 1 : Math.min(1, seconds / span));
  return { earliest: share(earliest), latest: share(latest) };
}

/** The level that is wanted: typed, the highest foot of a band that holds now, or that at which what is endangered is safe. */
function goalLevel(
  { goal, goalLevel: typed, errors }: Asked,
  bands: { band: { min: number; max: number } }[],
  start: number,
  safe: number | null,
): number | null {
  if (errors.goal || errors.want || errors.by) return null;
  if (goal === 'level') return typed;
  if (goal === 'safe') return safe;
  if (goal !== 'sets') return null;
  const standing = bands.map((b) => b.band).filter((b) => start >= b.min && start <= b.max && Number.isFinite(b.min));
  return standing.length === 0 ? null : Math.max(...standing.map((b) => b.min));
}

function leavingText({ middle, earliest, latest }: Leaving, when: (s: number) => string): string {
  if (earliest === null) return 'keeps working';
  if (middle === 0 && latest === 0) return 'not working now';
  if (middle === null) return `likely keeps working; fails at ${when(earliest)} at the earliest`;
  return `fails about ${when(middle)} (${when(earliest)} to ${latest === null ? 'not within the forecast' : when(latest)})`;
}

function goalAnswer(plan: BreakPlan, goal: number, at: number, frame: Frame, kind: Asked['goal']): string {
  const { system } = frame;
  const level = levelText(goal, frame);
  const calculated = { ...plan, hours: Math.max(plan.hours, at / 3600) };
  const size = (n: number): string => sizeText(resized(plan.shape, n), n, system);
  const each = plan.count > 1 ? 'each ' : '';
  const keeps = largestBreak(calculated, goal, at);
  const keep =
    keeps === 0
      ? `Even with no break, the pond will be below ${level} by then.`
      : keeps === Infinity
        ? `A break this deep cannot lower it below ${level}.`
        : `To keep ${level}: at most ${each}${size(keeps)}.`;
  if (kind === 'sets') return `Wanted: every set that works now still works in ${spanText(at * 1000)}. ${keep}`;
  const reaches = smallestBreak(calculated, goal, at);
  const reach =
    reaches !== null && reaches < 0.005
      ? `Without a break it is down at ${level} by then.`
      : reaches === null
        ? `To reach ${level}, cut deeper or open earlier.`
        : `To be down at ${level}: at least ${each}${size(reaches)}.`;
  return kind === 'safe'
    ? `Wanted: down to the safe level in ${spanText(at * 1000)}. ${reach}`
    : `In ${spanText(at * 1000)} from now. ${keep} ${reach}`;
}
