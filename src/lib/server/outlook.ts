import { currentOnTrigger, currentText } from '#core/devices/trigger';
import { BODY_GRIPS, FOOTHOLDS } from '#core/devices/sizes';
import { ICE_RATIO, iceAt } from '#core/ice/growth';
import { standerOf } from '#core/stations/standing';
import { standingAhead, type Ahead } from '#core/stations/standingAhead';
import type { Line } from '#core/record/kinds';
import type { Opening } from '#core/water/placed';
import { atPlace, settingAt, type SetView } from '#core/sets/standing';
import { latest } from '#core/stations/measures';
import { clockText, dayText, localDate } from '#core/time/localTime';
import { bedOf } from '#core/stations/placed';
import { INCH, type System } from '#core/units/factors';
import type { Frame } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { levelOn } from '#core/water/balance';
import { breakFlow } from '#core/water/outflow';
import { outlookText } from '#core/water/outlook';
import { widthAt } from '#core/water/pondForecast';
import { halfGone } from '#core/water/streamForecast';
import { surfaceAt } from '#core/water/ownLevel';
import { deviceState, roomBelow, type DeviceState, type Water } from '#core/water/state';
import { AHEAD, shapeOf, type MovingAll, type Outlook } from './moving';
import type { Sheet } from './sheets';
import { frameOf, type Season } from './season';

const DAY = 86_400_000;
const HOUR = 3_600_000;
/** Footholds up to this spread can hold a larger animal badly. */
const SMALL = 5.5 * INCH;

export interface SetOutlook {
  sentence: string;
  remedy: string;
  /** the forecast says more than that it keeps working: it is told */
  tells: boolean;
  /** it stands idle at the next check by the middle of the forecast */
  idle: boolean;
}

/** A time as it is told: the clock alone when it is today. */
export function clockFrom(now: Date, zone: string) {
  return (at: Date): string =>
    localDate(at, zone) === localDate(now, zone) ? clockText(at, zone) : `${dayText(at, zone)} ${clockText(at, zone)}`;
}

const checkOf = (view: Pick<SetView, 'deadline'>, now: Date): Date => {
  const deadline = view.deadline ? new Date(view.deadline) : null;
  return deadline && deadline > now ? deadline : new Date(now.getTime() + DAY);
};

const ruleSpan = ({ rule }: Line): number => (rule.kind === 'elapsed' ? rule.hours * HOUR : rule.days * DAY);

/** What the forecast says of a live set until its check: of its level, of the ice, of the current. Null where there is none. */
export function outlookOf(
  view: SetView,
  state: DeviceState | null,
  season: Season,
  moving: MovingAll,
  locals: App.Locals,
): SetOutlook | null {
  const { now, who } = locals;
  const frame = frameOf(season, view.station.water, who.person.system);
  const clock = clockFrom(now, season.line.zone);
  const levels = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const check = checkOf(view, now);
  const after = new Date(check.getTime() + ruleSpan(season.line));
  const course = state?.axis === 'tail' ? moving.waters[view.station.water]?.tail : moving.waters[view.station.water]?.pond;
  const wet = state && course ? levelOutlook(view, state, course, levels, now, check, after, clock, frame) : null;
  const frost = frostOutlook(view, season.sheets[view.station.water], course ?? null, levels, now, check, after, clock, frame);
  const current = currentOf(view, season, moving.open, levels, now);
  const sentence = [wet?.sentence, frost?.sentence, current].filter(Boolean).join(' ');
  const remedy = frost?.remedy || (wet?.remedy ?? '');
  return sentence === '' && remedy === ''
    ? null
    : {
        sentence,
        remedy,
        tells: (wet?.tells ?? false) || (frost?.tells ?? false) || current !== '',
        idle: (wet?.idle ?? false) || (frost?.idle ?? false),
      };
}

function levelOutlook(
  view: SetView,
  state: DeviceState,
  outlook: Outlook,
  levels: Water,
  now: Date,
  check: Date,
  after: Date,
  clock: (at: Date) => string,
  frame: Frame,
): SetOutlook | null {
  const { system } = frame;
  const { band } = state;
  if (!band) return null;
  const seconds = (at: Date): number => Math.min((at.getTime() - outlook.from.getTime()) / 1000, AHEAD * 3600);
  const free = view.layout.free.find((f) => f.device === state.device) ?? null;
  const axis = state.axis;
  const shared = view.layout.needs.some((n) => n.device === state.device && 'share' in n.of);
  const label = (level: number): string => {
    const then = { ...levels, known: { ...levels.known, [axis]: level }, age: { ...levels.age, [axis]: 0 } };
    return deviceState(view.layout, state.device, atPlace(view, then), frame).label;
  };
  const said = outlookText(
    {
      courses: outlook.courses,
      band,
      now: seconds(now),
      check: seconds(check),
      after: seconds(after),
      then: {
        min: `${label(band.min - 0.01)}${shared ? ', too little loop under water' : ''}`,
        max: `${label(band.max + 0.01)}${shared ? ', too much loop under water' : ''}`,
      },
      say: free?.say ?? null,
      stone: free?.stone ?? 0,
      room: free ? roomBelow(free, view.layout, levels.known) : null,
      clock: (s) => clock(new Date(outlook.from.getTime() + s * 1000)),
    },
    system,
  );
  const then = levelOn(outlook.courses.middle, seconds(check));
  const high = levelOn(outlook.courses.high, seconds(check));
  const small = view.devices.some((d) => d.class === 'foothold' && (FOOTHOLDS[d.size]?.spread ?? 1) <= SMALL);
  const toe = small && high > band.max ? ' A bed that deep can hold a larger animal badly.' : '';
  return {
    sentence: said.sentence + toe,
    remedy: said.remedy,
    tells: !said.certain || toe !== '',
    idle: then < band.min || then > band.max,
  };
}

/** When a set is frozen in by the ice's course, and how much lower it has to hang at the next check to be free until the one after. */
function frostOutlook(
  view: SetView,
  sheet: Sheet | undefined,
  course: Outlook | null,
  levels: Water,
  now: Date,
  check: Date,
  after: Date,
  clock: (at: Date) => string,
  frame: Frame,
): SetOutlook | null {
  const { system } = frame;
  const icy = view.layout.needs.filter((n) => n.from === 'iceUnderside');
  const [first] = icy;
  if (!sheet || !first) return null;
  const frozenAt = (at: number, which: 'middle' | 'high'): boolean => {
    const ice = iceAt(sheet.course, at);
    const pond = course ? levelOn(course.courses.middle, (at - course.from.getTime()) / 1000) : levels.known.pond;
    if (!ice || pond === undefined) return false;
    const then: Water = { known: { ...levels.known, pond, sheet: ice[which] }, age: {}, atMost: {} };
    return icy.some((n) => deviceState(view.layout, n.device, atPlace(view, then), frame).verdict === 'frozen');
  };
  const times = sheet.course.map((p) => p.at).filter((at) => at > now.getTime() && at <= check.getTime());
  const likely = times.find((at) => frozenAt(at, 'middle'));
  const early = times.find((at) => frozenAt(at, 'high'));
  const grown = (iceAt(sheet.course, Math.min(after.getTime(), now.getTime() + AHEAD * HOUR))?.high ?? 0) * view.iceFactor;
  const ice = (levels.known.sheet ?? 0) * view.iceFactor;
  const remedyBy = (grown - ice) * (view.layout.parts.some((p) => p.bearer === 'ice' && p.device) ? 1 : ICE_RATIO);
  const until = frozenAt(Math.min(after.getTime(), now.getTime() + AHEAD * HOUR), 'high');
  const free = view.layout.free.find((f) => f.device === first.device);
  const remedy =
    until && free
      ? `At the check ${free.say.down.toLowerCase()} ${printLength(Math.max(remedyBy, INCH / 4), system)}: ice may reach ${printLength(grown, system)} by ${clock(after)}.`
      : '';
  if (early === undefined) {
    const then = (iceAt(sheet.course, check.getTime())?.high ?? 0) * view.iceFactor;
    return {
      sentence: `The ice there may be ${printLength(then, system)} by ${clock(check)}: it stays clear of it.`,
      remedy,
      tells: true,
      idle: false,
    };
  }
  return {
    sentence: `Frozen in by about ${likely === undefined ? `${clock(new Date(early))} at the earliest, maybe not before the check` : `${clock(new Date(likely))}, at the earliest ${clock(new Date(early))}`}.`,
    remedy,
    tells: true,
    idle: likely !== undefined,
  };
}

/** What the current does to a trigger: where a flow was measured, or a break draws through its channel. Empty when it holds, unless it is always asked. */
export function currentOf(view: SetView, season: Season, open: Opening[], levels: Water, now: Date, always = false): string {
  const grip = view.devices.find((d) => d.class === 'bodyGrip');
  const set = season.sets.find((s) => s.id === view.id);
  if (!grip || !set) return '';
  const speed = speedAt(view, open, levels);
  if (speed === null) return '';
  const current = currentOnTrigger(speed, BODY_GRIPS[grip.size]?.opening ?? 10 * INCH, settingAt(set, now).choices.notch ?? 'middle');
  return current.verdict === 'holds' && !always ? '' : currentText(current, speed, season.frames[view.station.water]?.system ?? 'us');
}

/** Speed of the water at a set, m/s: measured there, else what its pond's breaks draw through the section of its channel; null when neither is known. */
function speedAt(view: SetView, open: Opening[], levels: Water): number | null {
  const measured = latest(view.station.measures, 'flow');
  if (measured) return measured.value;
  const pond = levels.known.pond;
  if (!['dam', 'channel'].includes(view.station.kind) || pond === undefined || !view.station.bed) return null;
  const depth = pond - view.station.bed.level + view.station.bed.depth;
  const flow = open
    .filter((o) => o.water === view.station.water)
    .reduce((sum, o) => sum + o.count * breakFlow(shapeOf(o, pond), pond - o.sill, (levels.known.tail ?? -100) - o.sill), 0);
  const width = latest(view.station.measures, 'widthSurface')?.value ?? 0.9;
  return flow === 0 || depth <= 0.05 ? null : flow / (width * depth);
}

/** Whether the place of a set can be waded now, at its check, and from when again; null where bed or forecast are not known. */
export function standingOf(
  view: Pick<SetView, 'station' | 'follows' | 'deadline'>,
  moving: MovingAll,
  season: Season,
  locals: App.Locals,
): Ahead | null {
  const { station, follows } = view;
  const course = moving.waters[station.water]?.[station.surface === 'tail' ? 'tail' : 'pond'];
  const bed = bedOf(station);
  if (!course || bed === null) return null;
  const { now, who } = locals;
  const clock = clockFrom(now, season.line.zone);
  const seconds = (at: Date): number => (at.getTime() - course.from.getTime()) / 1000;
  return standingAhead(
    bed,
    latest(station.measures, 'sink')?.value ?? null,
    standerOf(who.words),
    course.courses,
    seconds(now),
    seconds(checkOf(view, now)),
    (s) => clock(new Date(course.from.getTime() + s * 1000)),
    who.person.system,
    follows ? (level) => surfaceAt(follows, level) : undefined,
  );
}

/** Where the forecast has a surface a day from now. */
export function tomorrowOf({ from, courses }: Outlook, now: Date): { low: number; middle: number; high: number } {
  const at = (now.getTime() + DAY - from.getTime()) / 1000;
  return { low: levelOn(courses.low, at), middle: levelOn(courses.middle, at), high: levelOn(courses.high, at) };
}

/** Why the band a day ahead is as wide as it is, the largest doubt first. */
export function reasonsText({ from, courses, fit }: Outlook, now: Date, system: System): string {
  const at = (now.getTime() + DAY - from.getTime()) / 1000;
  const doubts = widthAt(courses, at);
  if (doubts.length === 0) return '';
  const named = doubts.slice(0, 4).map((d) => `${d.called} ${printLength(d.by, system)}`);
  const by = fit
    ? fit.steps === 0
      ? 'rules of thumb (few readings so far)'
      : `its own ${fit.steps} steps between readings: half of a rise is gone in ${Math.round(halfGone(fit))} h, an inch of rain lifts it ${printLength(fit.r * 25.4, system)}`
    : 'the water balance of the pond';
  return `Based on ${by}. 8 in 10 readings should land in the shaded range. Main doubt a day from now: ${named.join(', ')}, up or down.`;
}
