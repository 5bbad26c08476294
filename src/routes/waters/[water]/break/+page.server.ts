import { error, redirect } from '@sveltejs/kit';
import { BREAK_KINDS } from '#core/record/places';
import { sunOf } from '#core/time/sun';
import { clockText, dayText, localDate, readLocalTime, spanText, toField, wholeMinute } from '#core/time/localTime';
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
import { attempt, reader, refused } from '$lib/server/form';
import { newId } from '$lib/server/newId';
import { drawnArea, shapeOf } from '$lib/server/moving';
import { record } from '$lib/server/record/write';
import { grounds, openings } from '$lib/server/repositories/scouting';
import { waterOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

const SQUARE_FOOT = 0.3048 ** 2;
/** A mending begins this long after sunset. [practice] */
const MENDED_AFTER = 2 * 3_600_000;
const HOURS = 24;

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { water, season, levels, zero } = await waterOf(locals, params.water);
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

  const [ground, opened] = await Promise.all([grounds(db(), locals.who.crew), openings(db(), locals.who.crew, water.id)]);
  const drawn = drawnArea(ground, water.id);
  const square = system === 'us' ? SQUARE_FOOT : 1;
  const typedArea = asked('area') === '' ? null : Number(asked('area').replace(/[ ,]/g, ''));
  if (typedArea !== null && !(typedArea > 0 && typedArea * square < 1e7))
    errors.area = 'The area of the pond is above 0 and under 1000 hectares.';
  const area = typedArea !== null && !errors.area ? typedArea * square : drawn;

  const start = levels.known.pond ?? null;
  const width = length('width', 12 * INCH, 0.02, 20, 'A break is between 1 in and 65 ft wide.');
  const rise = length('rise', water.rise ?? 0, 0, 1, 'A pond rises between 0 and 3 ft in a day.');
  const sillLevel = start === null ? 0 : length('sill', start - zero - 8 * INCH, -10, 30, 'A level lies between −32 and 98 ft.') + zero;
  if (start !== null && start - sillLevel > 3)
    errors.sill = 'That break is over 10 ft deep: its sill lies under the pond. Type the level of its sill on the gauge.';
  const goal = asked('goal') === '' ? null : length('goal', 0, -10, 30, 'A level lies between −32 and 98 ft.') + zero;
  const by = asked('by') === '' ? null : readLocalTime(asked('by'), zone, 'first');
  if (by && !by.ok) errors.by = by.sentence;
  const kind = BREAK_KINDS.find((k) => k === asked('shape')) ?? 'rectangle';
  const depth = start === null ? 0 : start - sillLevel;
  const shape = shapeOf({ shape: kind, width, sill: sillLevel }, start ?? sillLevel);

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
  const running = opened
    .filter((o) => !o.mended)
    .map((o) => ({
      id: o.id,
      entry: o.entry,
      text: `${o.shape === 'V' ? 'V-shaped, ' : ''}${printLength(o.width, system)} wide, sill at ${printLevel(o.sill - zero, system)}, open since ${dayText(new Date(o.opened), zone)} ${clockText(new Date(o.opened), zone)}, by ${o.by}`,
    }));
  const base = {
    running,
    ids: { entry: newId(), id: newId(), mend: newId() },
    nowField: toField(locals.now, zone),
    water,
    typed,
    errors,
    kinds: BREAK_KINDS,
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
    count: 1,
    opened: 0,
    sill: sillLevel,
    running: opened
      .filter((o) => !o.mended)
      .map((o) => ({ shape: shapeOf(o, start), sill: o.sill, from: (Date.parse(o.opened) - locals.now.getTime()) / 1000, to: Infinity })),
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

export const actions: Actions = {
  /** Keeps a break that was opened, or found open: the forecast of every set on this pond begins with it. */
  open: async ({ request, locals, params }) => {
    const { season, zero } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const at = read.instant('opened', season.line.zone);
    const width = read.length('openWidth');
    const sill = read.length('openSill');
    if (width === undefined) read.refuse('openWidth', 'Type how wide it is at the water, for example 12 in.');
    if (sill === undefined) read.refuse('openSill', 'Type the level of its lowest point on the gauge.');
    if (at && at > locals.now) read.refuse('opened', 'A break that is not open yet is a what-if: work it out above.');
    if (!at || width === undefined || sill === undefined || !read.ok()) return refused(read);
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: locals.who.crew,
          kind: 'opening',
          occurredAt: at,
          by: locals.who.person.id,
          body: {
            id: read.text('id'),
            water: params.water,
            shape: (read.text('openShape') || 'rectangle') as 'V',
            width,
            sill: sill + zero,
            opened: at.toISOString(),
            by: (read.text('openedBy') || 'us') as 'us',
            note: read.text('note'),
          },
        }),
      (path) => ({ width: 'openWidth', sill: 'openSill' })[path] ?? path,
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/break?opened=1`);
  },

  /** A break that was found mended: what runs out ends there. */
  mend: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const open = (await openings(db(), locals.who.crew, params.water)).find((o) => o.id === read.text('opening'));
    if (!open) error(404, 'There is no such break in this record.');
    const { entry: _, ...body } = open;
    const at = wholeMinute(locals.now);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('mendEntry'),
        crew: locals.who.crew,
        kind: 'opening',
        occurredAt: at,
        by: locals.who.person.id,
        body: { ...body, mended: at.toISOString() },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/break?mended=1`);
  },
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
