import { areaOf } from '#core/ground/geodesic';
import type { Ground, Line, Opening, WaterBody } from '#core/record/kinds';
import type { SetView } from '#core/sets/standing';
import { clockText, dayText, localDate } from '#core/time/localTime';
import { levelOn, pondCourse, type PondModel } from '#core/water/balance';
import { CD_OFF, INFLOW_OFF, type Courses } from '#core/water/breakDesign';
import type { BreakShape } from '#core/water/outflow';
import { outlookText } from '#core/water/outlook';
import { deviceState, roomBelow, type DeviceState, type Water } from '#core/water/state';
import { db } from './database';
import { grounds, openings } from './repositories/scouting';
import type { Season } from './season';

/** The courses of a pond, from its last reading on. */
export interface Outlook {
  from: Date;
  courses: Courses;
}

const HOURS = 72;
const DAY = 86_400_000;

/** The shape of a break as it stands in the water at a level. */
export function shapeOf({ shape, width, sill }: Pick<Opening, 'shape' | 'width' | 'sill'>, level: number): BreakShape {
  const depth = Math.max(0.05, level - sill);
  if (shape === 'rectangle') return { kind: shape, width };
  return shape === 'V' ? { kind: shape, side: width / (2 * depth) } : { kind: shape, width: Math.max(0.02, width - depth), side: 0.5 };
}

/** The area of a pond at its shore as drawn on the map, m²; null when it was not drawn. */
export function drawnArea(ground: Ground[], water: string): number | null {
  const shore = ground.find((g) => g.water === water && g.kind === 'shore' && g.shape.type === 'Polygon');
  return shore?.shape.type === 'Polygon' ? areaOf(shore.shape.coordinates[0] ?? []).area : null;
}

function courseOf(water: WaterBody, levels: Water, area: number, breaks: Opening[], from: Date): Courses | null {
  const start = levels.known.pond;
  if (start === undefined) return null;
  const inflow = ((water.rise ?? 0) / 86_400) * area;
  const run = (cd: number, share: number) => {
    const model: PondModel = {
      area: [{ level: start, area }],
      inflow: inflow * share,
      seepage: 0,
      tail: levels.known.tail ?? -100,
      pipes: [],
      breaks: breaks.map((b) => ({
        shape: shapeOf(b, start),
        sill: b.sill,
        from: (Date.parse(b.opened) - from.getTime()) / 1000,
        to: b.mended ? (Date.parse(b.mended) - from.getTime()) / 1000 : Infinity,
        cd,
      })),
    };
    return pondCourse(model, start, HOURS, 1800);
  };
  return { low: run(1 + CD_OFF, 1 - INFLOW_OFF), middle: run(1, 1), high: run(1 - CD_OFF, 1 + INFLOW_OFF) };
}

/** Forecasts of the ponds that have a break open: by water, from the last reading of each; a reading older than a day begins none. */
export async function outlooks({ who, now }: App.Locals, season: Season): Promise<Record<string, Outlook>> {
  const [open, ground] = await Promise.all([openings(db(), who.crew), grounds(db(), who.crew)]);
  const running = open.filter((o) => Date.parse(o.opened) <= now.getTime() && (!o.mended || Date.parse(o.mended) > now.getTime()));
  const found: Record<string, Outlook> = {};
  for (const water of season.waters) {
    const breaks = running.filter((o) => o.water === water.id);
    const levels = season.levels[water.id];
    const area = breaks.length > 0 ? drawnArea(ground, water.id) : null;
    const age = levels?.age.pond ?? Infinity;
    if (!levels || area === null || age > DAY) continue;
    const from = new Date(now.getTime() - age);
    const courses = courseOf(water, levels, area, breaks, from);
    if (courses) found[water.id] = { from, courses };
  }
  return found;
}

/** What the forecast says of a live set until its check; of the device that leaves first. Null where there is none, or the set does not hang on the pond. */
export function outlookOf(
  view: SetView,
  state: DeviceState | null,
  outlook: Outlook | undefined,
  levels: Water,
  { who, now }: App.Locals,
  { zone, rule }: Line,
) {
  if (!outlook || !state?.band || state.axis !== 'pond') return null;
  const { system } = who.person;
  const seconds = (at: Date): number => (at.getTime() - outlook.from.getTime()) / 1000;
  const check = Math.min(seconds(view.deadline ? new Date(view.deadline) : new Date(now.getTime() + DAY)), HOURS * 3600);
  if (check <= seconds(now)) return null;
  const free = view.layout.free.find((f) => f.device === state.device) ?? null;
  const under = { ...levels, known: { ...levels.known, pond: state.band.min - 0.01 }, age: { ...levels.age, pond: 0 } };
  const said = outlookText(
    {
      courses: outlook.courses,
      band: state.band,
      now: seconds(now),
      check,
      after: Math.min(check + (rule.kind === 'elapsed' ? rule.hours : rule.days * 24) * 3600, HOURS * 3600),
      then: deviceState(view.layout, state.device, under, system).label,
      say: free?.say ?? null,
      room: free ? roomBelow(free, view.layout, levels.known) : null,
      clock: (s) => {
        const at = new Date(outlook.from.getTime() + s * 1000);
        return localDate(at, zone) === localDate(now, zone) ? clockText(at, zone) : `${dayText(at, zone)} ${clockText(at, zone)}`;
      },
    },
    system,
  );
  return said.sentence === '' && said.remedy === '' ? null : said;
}

/** Where the forecast has the pond a day from now. */
export function tomorrowOf({ from, courses }: Outlook, now: Date): { low: number; middle: number; high: number } {
  const at = (now.getTime() + DAY - from.getTime()) / 1000;
  return { low: levelOn(courses.low, at), middle: levelOn(courses.middle, at), high: levelOn(courses.high, at) };
}
