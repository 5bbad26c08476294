import { INCH, type System } from '../units/factors';
import { levelText, type Frame } from '../units/frame';
import { printLength, printLevel } from '../units/length';
import { spanText } from '../time/clock';
import { bandNear, needBand, type Interval } from './band';
import { endFact, endLabel, youngSays } from '../words/ends';
import { bandsBeside, judged, keptBands, type Judged } from './keptBands';
import type { Layout } from './layout';
import type { Axis, Known } from './levels';
import { endAt, ENDS, heightAt, targetHeight, youngPass, type End, type Need, type Verdict } from './need';
import { roomAbove, roomBelow } from './room';
import { NO_REMEDY, type Remedy } from './remedy';

/** A level older than this, without a forecast, no longer says how a set stands. [practice] */
export const READING_LASTS = 24 * 3_600_000;

/** What is known of the levels at a moment, and how old each reading is, ms. */
export interface Water {
  known: Known;
  age: Partial<Record<Axis, number>>;
  /** the level is only an upper bound: a set was seen dry */
  atMost: Partial<Record<Axis, boolean>>;
  /** what the forecast says of now, of a surface whose reading is old; 8 in 10 lie between its ends */
  foretold?: Partial<Record<Axis, { low: number; middle: number; high: number }>>;
}

export interface DeviceState {
  device: string;
  verdict: Verdict;
  axis: Axis;
  /** the level now, m; null when never read */
  level: number | null;
  /** the band that holds the level or lies nearest, m: there it surely works */
  band: Interval | null;
  /** the levels at which it stands as it is aimed, m */
  aim: Interval | null;
  /** the levels to which it may work, where they go further than its band, m */
  perhaps: Interval | null;
  /** two words: `fine`, `dry`, `too shallow` */
  label: string;
  sentence: string;
  /** why hands do not reach it, while it fishes on; empty when they do, or nobody knows */
  beyond: string;
  /** the change that brings it back */
  remedy: Remedy;
  /** to the nearest end of the band, m; negative outside it, null where there is none or the level is not known */
  spare: number | null;
  /** no reading is young enough: it stands so by the forecast */
  foretold?: true;
}

/** How near to a band's end is near: an inch, or a quarter of a narrower band. [practice] */
export const nearMargin = ({ min, max }: Interval): number => Math.min(INCH, (max - min) / 4);

/**
 * How one device of a set stands at the levels of a moment, as a verdict with its sentence and its way out.
 *
 * @param water the levels known, and their ages; of a reading older than 24 h the forecast is asked; without one it is `unknown`
 * @param frame in what its sentence is read
 */
export function deviceState(layout: Layout, device: string, water: Water, frame: Frame): DeviceState {
  const own = judged(layout, device);
  const { needs, axis } = own;
  const level = water.known[axis] ?? null;
  if (needs.length === 0) return told(own, level, null, 'fine', 'working', 'No water level stops it.');
  if (level === null) return unread(own, level, `No reading yet ${axis === 'tail' ? 'below the dam' : 'here'}. Read the gauge.`);
  const bands = keptBands(own, water.known);
  if (!bands) return unread(own, level, 'The ice here was never measured. Save a measurement.');
  const band = bandNear(bands, level);
  if (!band) {
    // what hangs from the ice stays where it is to it at every level: it is that which ends it
    const never = worstUnmet(
      { ...own, needs: needs.filter((n) => needBand(n, layout.parts, axis, water.known)?.length === 0) },
      water.known,
    );
    if (!never) return unread(own, level, noLevelText(needs));
    return broken(told(own, level, null, 'fine', '', ''), { own, ...never, water, frame });
  }
  const age = water.age[axis] ?? 0;
  if (age > READING_LASTS) return old(own, level, band, water, frame);
  const beyond = beyondOf(own, water.known, frame.system);
  const aim = nearOf(bandsBeside(own, water.known, 'aim'), level);
  const perhaps = needs.some((need) => need.perhaps) ? nearOf(bandsBeside(own, water.known, 'perhaps'), level) : null;
  const here = { ...told(own, level, band, 'fine', 'working', ''), beyond, aim, perhaps };
  const unmet = worstUnmet(own, water.known);
  return unmet ? broken(here, { own, ...unmet, water, frame }) : good(here, band, level, youngText(own, water.known), frame);
}

const nearOf = (bands: Interval[] | null, level: number): Interval | null => bands && bandNear(bands, level);

/** The first need that surely does not hold, else the first that is in doubt. */
function worstUnmet({ needs, layout }: Judged, known: Known): { need: Need; height: number; end: End; sure: boolean } | null {
  let doubt = null;
  for (const need of needs) {
    const height = heightAt(need, layout.parts, known);
    const ended = height === null ? null : endAt(need, layout.parts, height);
    if (height === null || !ended) continue;
    if (ended.sure) return { need, height, ...ended };
    doubt ??= { need, height, ...ended };
  }
  return doubt;
}

/** Beyond the reach of hands it fishes on, and its check stays owed. */
function beyondOf({ services, layout }: Judged, known: Known, system: System): string {
  for (const need of services) {
    const height = heightAt(need, layout.parts, known);
    if (height !== null && endAt(need, layout.parts, height))
      return `The ${need.called} lies ${printLength(-height, system)} deep: out of reach, still fishing.`;
  }
  return '';
}

/** Who passes already where it still works for adults, as a sentence. */
function youngText({ needs, layout }: Judged, known: Known): string {
  for (const need of needs) {
    const height = need.young && heightAt(need, layout.parts, known);
    if (need.young && typeof height === 'number' && youngPass(need, height)) return ` ${youngSays(need.young.who)}`;
  }
  return '';
}

/** A state without a way out. */
function told(
  { device, axis }: Judged,
  level: number | null,
  band: Interval | null,
  ...[verdict, label, sentence]: [verdict: Verdict, label: string, sentence: string]
): DeviceState {
  return { device, verdict, axis, level, band, aim: null, perhaps: null, label, sentence, beyond: '', remedy: NO_REMEDY, spare: null };
}

const unread = (own: Judged, level: number | null, sentence: string, band: Interval | null = null): DeviceState =>
  told(own, level, band, 'unknown', 'no reading', sentence);

/** Of an old reading: what the forecast says of now where it is sure, a doubt where its band leaves that of the device, unknown where there is none. */
function old(own: Judged, level: number, band: Interval, { age, foretold }: Water, frame: Frame): DeviceState {
  const { axis } = own;
  const works = `Works at ${bandText(band, frame, axis)}.`;
  const read = `The last reading is ${spanText(age[axis] ?? 0)} old`;
  const ahead = foretold?.[axis];
  if (!ahead) return unread(own, level, `${read}. ${works}`, band);
  const said = `${read}; by the forecast ${levelText(ahead.low, frame, axis)} to ${levelText(ahead.high, frame, axis)} now. ${works}`;
  const state =
    ahead.low >= band.min && ahead.high <= band.max
      ? told(own, ahead.middle, band, 'fine', 'working, by the forecast', said)
      : told(own, ahead.middle, band, 'perhaps', 'perhaps not working', `${said} Read the gauge.`);
  return { ...state, foretold: true };
}

/** The state with its distance from the nearest end of its band. */
function spared(state: DeviceState, { min, max }: Interval, level: number): DeviceState {
  const spare = Math.min(level - min, max - level);
  if (Number.isFinite(spare)) state.spare = spare;
  return state;
}

function good(state: DeviceState, band: Interval, level: number, young: string, frame: Frame): DeviceState {
  const works = `Works at ${bandText(band, frame, state.axis)}.${young}`;
  const down = level - band.min;
  const up = band.max - level;
  const left = Math.min(down, up);
  state.sentence = works;
  if (left < nearMargin(band) - 1e-9) {
    state.verdict = 'nearEdge';
    state.label = 'near the limit';
    const way = down < up ? 'falls' : 'rises';
    state.sentence =
      left < INCH / 8
        ? `Fails if the water ${way} at all. ${works}`
        : `Fails if the water ${way} ${printLength(left, frame.system)}. ${works}`;
  }
  return spared(state, band, level);
}

/** `can fall 14 in`, `6¾ in too low`: how far the level is from the nearest end of the band, and on which side. Empty where there is none. */
export function spareText({ spare, level, band }: Pick<DeviceState, 'spare' | 'level' | 'band'>, system: System): string {
  if (spare === null || level === null || !band) return '';
  const lower = level - band.min < band.max - level;
  const length = printLevel(Math.abs(spare), system);
  return spare < 0 ? `${length} too ${lower ? 'low' : 'high'}` : `can ${lower ? 'fall' : 'rise'} ${length}`;
}

/** `27¾ in or higher`, `36 in or lower`, `27¾ in to 36 in`: the levels of a band as the gauge of its surface shows them. */
export function bandText({ min, max }: Interval, frame: Frame, axis: Axis): string {
  const print = (level: number): string => levelText(level, frame, axis);
  if (!Number.isFinite(min) && !Number.isFinite(max)) return 'any level';
  if (!Number.isFinite(max)) return `${print(min)} or higher`;
  if (!Number.isFinite(min)) return `${print(max)} or lower`;
  return `${print(min)} to ${print(max)}`;
}

/** Which needs exclude each other, as a person would look for them. */
function noLevelText(needs: readonly Need[]): string {
  const [a, b] = [...new Set(needs.map((n) => n.called))];
  return a && b ? `No water level suits both the ${a} and the ${b}. Measure again.` : 'No water level suits this set. Measure again.';
}

/** A need that does not hold, with all that its sentence and its way out are made from. */
interface Unmet {
  own: Judged;
  need: Need;
  height: number;
  end: End;
  /** it surely no longer works; else it may */
  sure: boolean;
  water: Water;
  frame: Frame;
}

function broken(state: DeviceState, unmet: Unmet): DeviceState {
  const { need, height, end, sure, water, frame } = unmet;
  const { axis, perhaps, band } = state;
  const level = state.level ?? 0;
  const now = `${water.atMost[axis] ? 'at most ' : ''}${levelText(level, frame, axis)}`;
  const doubt = perhaps && !sure ? `; perhaps at ${bandText(perhaps, frame, axis)}` : '';
  state.verdict = sure ? ENDS[end] : 'perhaps';
  state.label = `${sure ? '' : 'perhaps '}${endLabel(end, height)}`;
  state.sentence = `${sure ? '' : 'In doubt. '}${endFact(end, { called: need.called, height }, frame.system, sure)}${band ? ` Works at ${bandText(band, frame, axis)}${doubt}; now ${now}.` : ''}${!sure && need.decides ? ` ${need.decides}.` : ''}`;
  state.remedy = remedyOf(unmet);
  return band ? spared(state, band, level) : state;
}

/** The quarter inch, in which a change is told. */
const STEP = INCH / 4;

function remedyOf({ own, need, height, water, frame }: Unmet): Remedy {
  const { layout, axis } = own;
  const { system } = frame;
  const part = layout.parts.find((p) => p.id === need.of.part);
  if (part?.kind === 'slideStop') return { ...NO_REMEDY, order: 'Move the stop to deeper water, or change to a live restraint' };
  const free = layout.free.find((f) => f.device === need.device);
  if (!free || part?.device !== need.device) return NO_REMEDY;
  const wanted = Math.round((targetHeight(need, layout.parts) - height) / STEP) * STEP;
  const room = wanted < 0 ? roomBelow(free, layout, water.known) : roomAbove(free, layout, water.known);
  if (room !== null && room < STEP)
    return wanted < 0
      ? { order: 'Dig, or move it to deeper water', then: 'It is already on the bottom.', by: 0 }
      : { order: 'Pull it, or wait for lower water', then: 'It cannot go higher: what is over it is in the way.', by: 0 };
  const by = room !== null && Math.abs(wanted) > room ? Math.sign(wanted) * Math.floor(room / STEP + 1e-6) * STEP : wanted;
  const level = water.known[axis] ?? 0;
  const bands = keptBands(own, water.known, by);
  const band = bands && bandNear(bands, level);
  if (!band || level < band.min || level > band.max) {
    const needs = `needs ${printLength(Math.abs(wanted), system)}`;
    return wanted < 0
      ? {
          order: 'Move it to deeper water',
          then: `It can go down only ${printLength(Math.abs(by), system)}; ${Math.abs(by) === Math.abs(wanted) ? 'that is not enough here' : needs}.`,
          by: 0,
        }
      : {
          order: 'Move it to shallower water',
          then: `It ${needs} more height${room === null ? '' : `; only ${printLength(by, system)} stay free below what is over it`}.`,
          by: 0,
        };
  }
  const order = `${by < 0 ? free.say.down : free.say.up} ${printLength(Math.abs(by), system)}`;
  return { order, then: `Then works at ${bandText(band, frame, axis)}.`, by };
}

/** The worst of a set's devices speaks for the set. */
export function worst(states: DeviceState[]): DeviceState | null {
  const order: Verdict[] = [
    'spent',
    'outOfWater',
    'heldUnder',
    'aground',
    'frozen',
    'noLongerSubmerging',
    'tooDeep',
    'perhaps',
    'nearEdge',
    'unknown',
    'fine',
  ];
  return [...states].sort((a, b) => order.indexOf(a.verdict) - order.indexOf(b.verdict))[0] ?? null;
}
