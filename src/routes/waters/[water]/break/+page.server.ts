import { areaOf } from '#core/ground/geodesic';
import { sunOf } from '#core/time/sun';
import { clockText, dayText, localDate, spanText, toField, readLocalTime } from '#core/time/localTime';
import { parseLength, printLength, printLevel, smallUnit, type LengthUnit } from '#core/units/length';
import { statesOf } from '#core/sets/standing';
import { bandText } from '#core/water/state';
import {
  BREAK_CAUTION,
  breakCourses,
  largestBreak,
  leaving,
  resized,
  sizeText,
  smallestBreak,
  type BreakPlan,
  type Leaving,
} from '#core/water/breakDesign';
import { levelOn } from '#core/water/balance';
import { criticalSpeed, type BreakShape } from '#core/water/outflow';
import { courseChart } from '#core/scene/courseChart';
import { stillToGo } from '#core/ledger/stillToGo';
import { INCH } from '#core/units/factors';
import { db } from '$lib/server/database';
import { grounds } from '$lib/server/repositories/scouting';
import { waterOf } from '$lib/server/scouting';
import type { PageServerLoad } from './$types';

const SQUARE_FOOT = 0.3048 ** 2;
/** A mending begins this long after sunset. [practice] */
const MENDED_AFTER = 2 * 3_600_000;
const HOURS = 24;
const KINDS = ['rectangle', 'V', 'trapezoid'] as const;

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { water, season, levels, zero, stations } = await waterOf(locals, params.water);
  const { system } = locals.who.person;
  const { zone } = season.line;
  const small = smallUnit(system);
  const errors: Record<string, string> = {};
  const asked = (name: string): string => url.searchParams.get(name)?.trim() ?? '';
  const length = (name: string, otherwise: number, least: number, most: number, say: string, unit: LengthUnit = small): number => {
    if (asked(name) === '') return otherwise;
    const parsed = parseLength(asked(name), unit, locals.who.words);
    if (!parsed.ok) errors[name] = parsed.sentence;
    else if (parsed.value < least || parsed.value > most) errors[name] = say;
    return parsed.ok && !errors[name] ? parsed.value : otherwise;
  };

  const shore = (await grounds(db(), locals.who.crew)).find(
    (g) => g.water === water.id && g.kind === 'shore' && g.shape.type === 'Polygon',
  );
  const drawn = shore?.shape.type === 'Polygon' ? areaOf(shore.shape.coordinates[0] ?? []).area : null;
  const square = system === 'us' ? SQUARE_FOOT : 1;
  const typedArea = asked('area') === '' ? null : Number(asked('area').replace(/[ ,]/g, ''));
  if (typedArea !== null && !(typedArea > 0 && typedArea * square < 1e7))
    errors.area = 'The area of the pond is above 0 and under 1000 hectares.';
  const area = typedArea !== null && !errors.area ? typedArea * square : drawn;

  const start = levels.known.pond ?? null;
  const dam = stations.find((s) => s.kind === 'dam');
  const width = length('width', 12 * INCH, 0.02, 20, 'A break is between 1 in and 65 ft wide.');
  const rise = length('rise', 0, 0, 1, 'A pond rises between 0 and 3 ft in a day.');
  const sillLevel = start === null ? 0 : length('sill', start - zero - 8 * INCH, -10, 30, 'A level lies between −32 and 98 ft.') + zero;
  if (start !== null && start - sillLevel > 3)
    errors.sill = 'That break is over 10 ft deep: its sill lies under the pond. Type the level of its sill on the gauge.';
  const goal = asked('goal') === '' ? null : length('goal', 0, -10, 30, 'A level lies between −32 and 98 ft.') + zero;
  const by = asked('by') === '' ? null : readLocalTime(asked('by'), zone, 'first');
  if (by && !by.ok) errors.by = by.sentence;
  const kind = KINDS.find((k) => k === asked('shape')) ?? 'rectangle';
  const depth = start === null ? 0 : start - sillLevel;
  const shape: BreakShape =
    kind === 'rectangle'
      ? { kind, width }
      : kind === 'V'
        ? { kind, side: Math.max(0.05, width / (2 * Math.max(depth, 0.05))) }
        : { kind, width, side: 0.5 };

  const today = localDate(locals.now, zone);
  const sunset = sunOf(today, zone, season.line).sunset;
  const after = sunset ? sunset.getTime() + MENDED_AFTER - locals.now.getTime() : HOURS * 3_600_000;
  const mended = asked('mended') === 'never' ? null : Math.max(60, after / 1000);
  const typed = {
    shape: kind,
    width: asked('width') || printLength(width, system),
    sill: asked('sill') || (start === null ? '' : printLevel(sillLevel - zero, system)),
    rise: asked('rise') || printLength(rise, system),
    area: asked('area') || (area === null ? '' : String(Math.round(area / square))),
    mended: asked('mended') || 'dusk',
    goal: asked('goal'),
    by: asked('by') || toField(new Date(locals.now.getTime() + 24 * 3_600_000), zone),
  };
  const base = {
    water,
    typed,
    errors,
    kinds: KINDS,
    caution: BREAK_CAUTION,
    areaFrom: typedArea !== null ? 'yours' : drawn === null ? '' : 'the shore drawn on the map',
    system,
  };
  if (start === null || area === null || depth <= 0 || errors.area || errors.sill)
    return {
      ...base,
      answer: null,
      why:
        start === null
          ? 'The gauge was never read: save a reading of this water first.'
          : area === null
            ? 'The area of the pond is not known: draw its shore on the map, or type the area.'
            : depth <= 0
              ? 'The sill stands over the water: nothing would run out.'
              : 'Look at the marked fields.',
    };

  const plan: BreakPlan = {
    start,
    model: { area: [{ level: start, area }], inflow: (rise / 86_400) * area, seepage: 0, tail: levels.known.tail ?? -100, pipes: [] },
    shape,
    sill: sillLevel,
    mended,
    hours: HOURS,
  };
  const courses = breakCourses(plan);
  const when = (seconds: number): string => {
    const at = new Date(locals.now.getTime() + seconds * 1000);
    return `${localDate(at, zone) === today ? '' : `${dayText(at, zone)} `}${clockText(at, zone)}`;
  };
  const sets = season.views
    .filter((v) => v.station.water === water.id && v.state === 'live')
    .flatMap((v) =>
      statesOf(v, levels, system)
        .filter((s) => s.axis === 'pond' && s.band)
        .map((s) => ({ id: `${v.id} ${s.device}`, set: v.id, name: `${v.number} ${v.name}`, band: s.band ?? { min: 0, max: 0 } })),
    );
  // two traps of a set at one height answer once
  const bands = sets.filter(
    (s, i) => sets.findIndex((o) => o.set === s.set && Math.abs(o.band.min - s.band.min) + Math.abs(o.band.max - s.band.max) < 1e-6) === i,
  );
  const end = courses.middle.at(-1)?.level ?? start;
  const reach =
    goal === null || (by && !by.ok)
      ? null
      : goalAnswer(plan, goal, by?.ok ? Math.max(600, (by.at.getTime() - locals.now.getTime()) / 1000) : 86_400, zero, shape, system);
  return {
    ...base,
    why: null,
    answer: {
      sentence: `From ${printLevel(start - zero, system)} to ${printLevel(end - zero, system)} by ${when(HOURS * 3600)}, between ${printLevel((courses.low.at(-1)?.level ?? end) - zero, system)} and ${printLevel((courses.high.at(-1)?.level ?? end) - zero, system)}. ${mended === null ? 'Never mended.' : `Mended about ${when(mended)}, two hours after sunset (practice).`}`,
      current: `In the break itself the water runs about ${criticalSpeed(shape, depth).toFixed(1)} m/s at first: it pushes on a trigger and brings sticks and mud.`,
      reach,
      safe: water.safe ? stillToGo(water.safe, end, zero, system).replace(': ', `, by ${when(HOURS * 3600)}: `) : null,
      report: `Break ${sizeText(shape, shape.kind === 'V' ? shape.side : width, system)}, sill at ${printLevel(sillLevel - zero, system)} on the gauge, opened ${when(0)}: the pond is expected at ${printLevel(end - zero, system)} by ${when(HOURS * 3600)}.`,
      sets: bands.map((s) => ({
        ...s,
        band: bandText({ min: s.band.min - zero, max: s.band.max - zero }, system),
        leaves: leavingText(leaving(courses, s.band), when),
      })),
      chart: courseChart({
        courses,
        bands,
        size: { width: 1100, height: 320 },
        hourText: (s) => clockText(new Date(locals.now.getTime() + s * 1000), zone),
        levelText: (l) => printLevel(l - zero, system),
        step: system === 'us' ? 2 * INCH : 0.05,
      }),
      table: courses.middle
        .filter((_, i) => i % 12 === 0)
        .map((p) => ({
          at: when(p.at),
          level: printLevel(p.level - zero, system),
          low: printLevel(levelOn(courses.low, p.at) - zero, system),
          high: printLevel(levelOn(courses.high, p.at) - zero, system),
        })),
    },
  };
};

function leavingText({ middle, earliest, latest }: Leaving, when: (s: number) => string): string {
  if (earliest === null) return 'stays in its band all the time';
  if (middle === 0 && latest === 0) return 'is out of its band already';
  const range = latest === null ? `not before ${when(earliest)}, perhaps never` : `between ${when(earliest)} and ${when(latest)}`;
  return middle === null ? `holds on the middle course; leaves its band ${range}` : `leaves its band about ${when(middle)}, ${range}`;
}

function goalAnswer(plan: BreakPlan, goal: number, at: number, zero: number, shape: BreakShape, system: 'us' | 'metric'): string {
  const level = printLevel(goal - zero, system);
  const keeps = largestBreak(plan, goal, at);
  const reaches = smallestBreak(plan, goal, at);
  const size = (n: number): string => sizeText(resized(shape, n), n, system);
  const keep =
    keeps === 0
      ? `Even without a break the pond does not stand at ${level} then.`
      : keeps === Infinity
        ? `No break with this sill takes it under ${level} by then.`
        : `To keep ${level}: at most ${size(keeps)}.`;
  const reach =
    reaches === null
      ? `To come down to ${level} by then the sill has to lie lower, or the break open earlier.`
      : `To be down at ${level}: at least ${size(reaches)}.`;
  return `In ${spanText(at * 1000)}: ${keep} ${reach}`;
}
