import { currentOnTrigger, currentText } from '../devices/trigger';
import { BODY_GRIPS, FOOTHOLDS } from '../devices/sizes';
import { ICE_RATIO, iceAt } from '../ice/growth';
import { standerOf } from '../stations/standing';
import { standingAhead, type Reach } from '../stations/standingAhead';
import { wadingText, type WadingSaid } from '../words/wading';
import type { Opening } from '../water/placed';
import { setTypeOf } from '../sets/catalogue';
import { atPlace, settingAt, type SetView } from '../sets/standing';
import { latest } from '../stations/measures';
import { nextCheck } from '../time/deadline';
import { shortText, type Clock } from '../time/clock';
import { bedOf } from '../stations/placed';
import { INCH, type System } from '../units/factors';
import type { Frame } from '../units/frame';
import { printLength } from '../units/length';
import { levelOn } from '../water/balance';
import { breakFlow } from '../water/outflow';
import { outlookText, swingOf } from '../water/outlook';
import { widthAt } from '../water/pondForecast';
import { halfGone } from '../water/streamForecast';
import { surfaceAt } from '../water/ownLevel';
import { NO_REMEDY, type Remedy } from '../water/remedy';
import { roomAbove, roomBelow } from '../water/room';
import { deviceState, type DeviceState, type Water } from '../water/state';
import { iceStanding } from '../words/ice';
import { iceHere, type Sheet } from '../ice/sheets';
import { frameOf, type Facts, type Reader } from './facts';
import type { MovingAll } from './moving';
import { shapeOf, type Outlook } from './ponds';

const DAY = 86_400_000;
/** Footholds up to this spread can hold a larger animal badly. */
const SMALL = 5.5 * INCH;

export interface SetOutlook {
  sentence: string;
  remedy: Remedy;
  /** the forecast says more than that it keeps working: it is told */
  tells: boolean;
  /** it stands idle at the next check by the middle of the forecast */
  idle: boolean;
}

/** A time as it is told at `now`. */
export const clockFrom =
  (now: Date, clock: Clock) =>
  (at: Date): string =>
    shortText(at, now, clock);

/** The time that an outlook looks at: from now to the next check, and from there to the one after. */
interface Span {
  now: Date;
  check: Date;
  after: Date;
  levels: Water;
  frame: Frame;
  clock: (at: Date) => string;
}

const NO_LEVELS: Water = { known: {}, age: {}, atMost: {} };

/** What the forecast says of a live set until its check: of its level, of the ice, of the current. Null where there is none. */
export function outlookOf(
  view: SetView,
  state: DeviceState | null,
  season: Facts,
  moving: MovingAll,
  { now, who }: Reader,
): SetOutlook | null {
  const water = view.station.water;
  const byRule = { ...season.line, rule: view.every };
  const check = nextCheck(view.deadline, now, byRule);
  // what lies sprung catches nothing at any level
  if (state?.verdict === 'spent') return null;
  const span: Span = {
    now,
    check,
    after: nextCheck(null, check, byRule),
    levels: season.levels[water] ?? NO_LEVELS,
    frame: frameOf(season, water, who.person.system),
    clock: clockFrom(now, season.clock),
  };
  const course = moving.waters[water]?.[state?.axis === 'tail' ? 'tail' : 'pond'] ?? null;
  const frost = frostOutlook(view, season.sheets[water], course, span);
  const wet = state && course ? levelOutlook(view, state, course, span, frost !== null) : null;
  const current = currentOf(view, season, { open: moving.open, levels: span.levels, now });
  const sentence = [wet?.sentence, frost?.sentence, current].filter(Boolean).join(' ');
  const remedy = frost?.remedy.order ? frost.remedy : (wet?.remedy ?? NO_REMEDY);
  if (sentence === '' && remedy.order === '') return null;
  const either = (told: 'tells' | 'idle'): boolean => (wet?.[told] ?? false) || (frost?.[told] ?? false);
  return { sentence, remedy, tells: either('tells') || current !== '', idle: either('idle') };
}

/** @param iced the ice's course is told beside it: it knows of the level too, and what it ends is told once */
function levelOutlook(view: SetView, state: DeviceState, outlook: Outlook, span: Span, iced: boolean): SetOutlook | null {
  const { band, axis, device } = state;
  if (!band) return null;
  const { now, check, after, levels, frame, clock } = span;
  const seconds = (at: Date): number => (at.getTime() - outlook.from.getTime()) / 1000;
  const free = view.layout.free.find((f) => f.device === device) ?? null;
  const shared = view.layout.needs.some((n) => n.device === device && 'share' in n.of);
  const stateAt = (level: number): DeviceState => {
    const then = { ...levels, known: { ...levels.known, [axis]: level }, age: { ...levels.age, [axis]: 0 } };
    return deviceState(view.layout, device, atPlace(view, then), frame);
  };
  if (iced && stateAt(band.min - 0.01).verdict === 'frozen') return null;
  const said = outlookText(
    {
      courses: outlook.courses,
      band,
      now: seconds(now),
      check: seconds(check),
      after: seconds(after),
      then: {
        min: `${stateAt(band.min - 0.01).label}${shared ? ', too little loop under water' : ''}`,
        max: `${stateAt(band.max + 0.01).label}${shared ? ', too much loop under water' : ''}`,
      },
      say: free?.say ?? null,
      stone: free?.stone ?? 0,
      room: free ? roomBelow(free, view.layout, levels.known) : null,
      above: free ? roomAbove(free, view.layout, levels.known) : null,
      clock: (s) => clock(new Date(outlook.from.getTime() + s * 1000)),
    },
    frame.system,
  );
  const then = levelOn(outlook.courses.middle, seconds(check));
  const rides = ridesBetter(view, band, swingOf(outlook.courses, seconds(now), seconds(check)), frame.system);
  const toe = holdsBadly(view, levelOn(outlook.courses.high, seconds(check)) > band.max);
  return {
    // until when it works the ice says too, and says it last
    sentence: (iced && said.certain ? '' : said.sentence) + rides + toe,
    remedy: said.remedy,
    tells: !said.certain || rides !== '' || toe !== '',
    idle: then < band.min || then > band.max,
  };
}

/** What follows a level that moves farther than a fixed set works over; empty where it keeps within, or nothing does. @param swing until the check, m */
function ridesBetter({ type }: Pick<SetView, 'type'>, band: { min: number; max: number }, swing: number, system: System): string {
  const { afloat } = setTypeOf(type);
  const works = band.max - band.min;
  return afloat && swing > works + INCH / 4
    ? ` The level moves ${printLength(swing, system)} until the check and it works over ${printLength(works, system)}: a ${setTypeOf(afloat).name.toLowerCase()} rides with it.`
    : '';
}

function holdsBadly({ devices }: Pick<SetView, 'devices'>, deep: boolean): string {
  const small = devices.some((d) => d.class === 'foothold' && (FOOTHOLDS[d.size]?.spread ?? 1) <= SMALL);
  return small && deep ? ' A bed that deep can hold a larger animal badly.' : '';
}

/** When a set is frozen in by the ice's course, and how much lower it has to hang at the next check to be free until the one after. */
function frostOutlook(view: SetView, sheet: Sheet | undefined, course: Outlook | null, span: Span): SetOutlook | null {
  const icy = view.layout.needs.filter((n) => n.from === 'iceUnderside');
  const [first] = icy;
  if (!sheet || !first) return null;
  const { now, check, after, levels, frame, clock } = span;
  const thickest = (at: number): number => (iceAt(sheet.course, at)?.high ?? 0) * view.iceFactor;
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
  const ends = sheet.course.at(-1)?.at ?? now.getTime();
  const [seen, until] = [Math.min(check.getTime(), ends), Math.min(after.getTime(), ends)];
  const remedy = frozenAt(until, 'high')
    ? lowerBy(view, first.device, { grown: thickest(until), until: new Date(until) }, span)
    : NO_REMEDY;
  const sentence =
    early === undefined
      ? `The ice there may be ${printLength(thickest(seen), frame.system)} by ${clock(new Date(seen))}: it stays clear of it.`
      : `Frozen in by about ${likely === undefined ? `${clock(new Date(early))} at the earliest, maybe not before the check` : `${clock(new Date(likely))}, at the earliest ${clock(new Date(early))}`}.`;
  return { sentence, remedy, tells: true, idle: likely !== undefined };
}

/** What is done at the check so that the ice of the one after does not reach it. @param grown ice of then, m */
function lowerBy(view: SetView, device: string, { grown, until }: { grown: number; until: Date }, { levels, frame, clock }: Span): Remedy {
  const free = view.layout.free.find((f) => f.device === device);
  if (!free) return NO_REMEDY;
  const onIce = view.layout.parts.some((p) => p.bearer === 'ice' && p.device);
  const by = (grown - (levels.known.sheet ?? 0) * view.iceFactor) * (onIce ? 1 : ICE_RATIO);
  const down = Math.max(by, INCH / 4);
  return {
    order: `${free.say.down} ${printLength(down, frame.system)} at the check`,
    then: `The ice may reach ${printLength(grown, frame.system)} by ${clock(until)}.`,
    by: -down,
  };
}

/** What runs at a moment. */
interface Running {
  open: Opening[];
  levels: Water;
  now: Date;
}

/** What the current does to a trigger: where a flow was measured, or a break draws through its channel. Empty when it holds, unless it is always asked. */
export function currentOf(view: SetView, season: Facts, { open, levels, now }: Running, always = false): string {
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

/** From when and until when a place can be stood at; null where nothing is foreseen that keeps one away. */
interface Window {
  opens: Date | null;
  shuts: Date | null;
}
const ALWAYS: Window = { opens: null, shuts: null };

/** Whether the place of a set can be waded now, at its check, and from when again; under ice what the ice says instead. Null where bed or forecast are not known. */
export function standingOf(
  view: Pick<SetView, 'station' | 'follows' | 'deadline'> & Partial<Pick<SetView, 'every'>>,
  moving: MovingAll,
  season: Facts,
  reader: Reader,
): (Reach & WadingSaid & Window) | null {
  const { station, follows } = view;
  const ice = iceHere(station, season.sheets[station.water], season.ice, reader.now);
  if (ice)
    return {
      now: false,
      atCheck: false,
      surely: false,
      again: null,
      until: null,
      ...ALWAYS,
      short: 'on ice: read its caution',
      sentence: iceStanding(ice, reader.who.person.system),
    };
  const course = moving.waters[station.water]?.[station.surface === 'tail' ? 'tail' : 'pond'];
  const bed = bedOf(station);
  if (!course || bed === null) return null;
  const { now, who } = reader;
  const clock = clockFrom(now, season.clock);
  const seconds = (at: Date): number => (at.getTime() - course.from.getTime()) / 1000;
  const moment = (s: number | null): Date | null => (s === null ? null : new Date(course.from.getTime() + s * 1000));
  const place = { bed, sink: latest(station.measures, 'sink')?.value ?? null };
  const ground = follows ? { ...place, follows: (level: number) => surfaceAt(follows, level) } : place;
  const check = nextCheck(view.deadline, now, { ...season.line, ...(view.every && { rule: view.every }) });
  const ahead = standingAhead(ground, standerOf(who.words), course.courses, { now: seconds(now), check: seconds(check) });
  const { now: wadable, again, until } = ahead;
  const said = wadingText(ahead, (s) => clock(new Date(course.from.getTime() + s * 1000)), who.person.system);
  return { ...ahead, ...said, opens: moment(wadable ? null : again), shuts: moment(until) };
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
