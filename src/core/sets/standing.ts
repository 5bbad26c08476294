import type { CheckRule } from '../time/deadline';
import { withLures } from '../lure/lure';
import { filled, handsOf } from './fills';
import { spentWords, type Spent } from '../check/spent';
import type { Device, Setting, TrapSet } from '../record/kinds';
import type { Station } from '../stations/placed';
import type { System } from '../units/factors';
import type { Frame } from '../units/frame';
import type { Gauge } from '../units/length';
import { bedOf } from '../stations/placed';
import { knownAt, type Surfaces } from '../water/levelAt';
import type { Known } from '../water/levels';
import type { Layout } from '../water/layout';
import { NOTHING, type Design } from './design';
import { onGauge, surfaceAt, type Follows } from '../water/ownLevel';
import { deviceState, worst, type DeviceState, type Water } from '../water/state';
import { setTypeOf } from './catalogue';
import type { FilledPosition, Laying, Place, SetType } from './setType';

/** The devices a type is calculated with while no tag is chosen. */
export function usualDevices(type: SetType): Record<string, FilledPosition> {
  return Object.fromEntries(type.positions.filter((p) => !p.optional).map((p) => [p.id, type.usual]));
}

/** A change takes its place in the order of time: what was set later stays as it was set. */
export const withSetting = (settings: readonly Setting[], setting: Setting): Setting[] =>
  [...settings.filter((s) => s.at !== setting.at), setting].sort((a, b) => a.at.localeCompare(b.at));

/** What a set type is told of its station. */
export const placeOf = (station: Station, follows: Follows | null = null): Place => ({
  kind: station.kind,
  surface: station.surface,
  bed: bedOf(station),
  follows,
  measures: station.measures,
});

/** The setting that held at a time; the first one before that. */
export function settingAt(set: Pick<TrapSet, 'settings'>, at: Date): Setting {
  const past = inOrder(set.settings).filter((s) => new Date(s.at) <= at);
  const found = past.at(-1) ?? inOrder(set.settings)[0];
  if (!found) throw new RangeError('a set has one setting at least');
  return found;
}

const inOrder = (settings: readonly Setting[]): Setting[] => [...settings].sort((a, b) => a.at.localeCompare(b.at));

/** How a set lay before what was done at a moment: a check finds it so, and what the check changed begins then. */
export const justBefore = (at: Date): Date => new Date(at.getTime() - 1);

/** The devices that stand in a set at a time, by position; the usual ones of its type when none does. */
export function devicesAt(
  set: Pick<TrapSet, 'stays' | 'type'>,
  at: Date,
  shed: Record<string, Pick<Device, 'class' | 'size'>>,
): Record<string, FilledPosition> {
  const type = setTypeOf(set.type);
  const standing = set.stays.filter((stay) => new Date(stay.from) <= at && (stay.to === null || new Date(stay.to) > at));
  // in the order of the type: what stands outside stands outside, whichever was entered first
  const filled = type.positions.flatMap(({ id }) => {
    const known = shed[standing.find((stay) => stay.position === id)?.device ?? ''];
    return known ? [[id, { class: known.class, size: known.size }] as const] : [];
  });
  return filled.length > 0 ? Object.fromEntries(filled) : usualDevices(type);
}

/** A set as it was laid at a place: its numbers and choices, the levels they were measured from, and the devices in it. */
export interface Laid {
  numbers: Setting['numbers'];
  choices: Setting['choices'];
  /** what draws to it, where somebody said */
  lures?: Setting['lures'] | undefined;
  /** the surfaces when it was laid; a missing one was not read */
  then: Known;
  place: Place;
  devices: Record<string, FilledPosition>;
  /** what the person who reads it measured of himself, m, by word */
  hands?: Gauge;
}

/** What is asked to say how a set stood at some moment. */
export interface Ground {
  station: Station;
  follows: Follows | null;
  surfaces: Surfaces;
  shed: Record<string, Pick<Device, 'class' | 'size'>>;
  hands?: Gauge;
}

/** The levels that a setting was measured from: by the readings beside its moment, else as the first version noted them. */
export function thenOf({ at, noted }: Setting, { water }: Pick<Station, 'water'>, surfaces: Surfaces): Known {
  const before: Known = {};
  for (const surface of ['pond', 'tail'] as const) {
    const shown = noted?.[surface];
    if (shown !== undefined) before[surface] = surfaces.elevation(water, surface, at, shown);
  }
  return { ...before, ...knownAt(surfaces, water, at) };
}

/** How a set was laid at a moment, by the settings, devices and readings that were true then and are known now. */
export function laidAt(set: TrapSet, at: Date, { station, follows, surfaces, shed, hands }: Ground): Laid {
  const setting = settingAt(set, at);
  const { numbers, choices, lures } = setting;
  return {
    numbers,
    choices,
    then: thenOf(setting, station, surfaces),
    place: placeOf(station, follows),
    devices: devicesAt(set, at, shed),
    ...(hands ? { hands } : {}),
    ...(lures ? { lures } : {}),
  };
}

/** The parts and needs of a set that was laid so. */
export function layOut(
  type: SetType,
  { numbers, choices, lures, then, place, devices, hands = {} }: Laid,
  system: System,
  ahead: Pick<Laying, 'iceNext' | 'frostToCheck'> = {},
): Design {
  if (type.positions.every(({ id }) => !devices[id])) return NOTHING;
  const { surface, follows } = place;
  const gauge = then[surface];
  const own = follows && gauge !== undefined ? { ...then, [surface]: surfaceAt(follows, gauge) } : then;
  const defaults = Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [key, choice.default]));
  const known = Object.fromEntries(Object.entries(filled(type, place, then, { numbers, devices })).map(([key, { value }]) => [key, value]));
  const built = type.layOut({
    numbers: { ...handsOf(type, hands), ...known, ...numbers },
    choices: { ...defaults, ...choices },
    place,
    devices,
    then: own,
    system,
    ...ahead,
  });
  const layout = withLures(built, lures);
  return follows ? onGauge(layout, surface, follows) : layout;
}

/** A check that did not get to the set: when, and why. */
export interface Missed {
  at: string;
  why: string;
}

export interface DeviceView {
  stay: string;
  position: string;
  label: string;
  device: string;
  tag: string;
  class: Device['class'];
  size: string;
  since: string;
  lastLook: string;
  /** it was found so at its last look and left so */
  spent: Spent | null;
  /** somebody set out for it since its last look and did not get there */
  missed: Missed | null;
}

/** A set as every room shows it: plain values, so that the browser can ask it about any level. */
export interface SetView {
  id: string;
  number: number;
  name: string;
  type: string;
  typeName: string;
  species: TrapSet['species'];
  state: TrapSet['state'];
  opens: string | null;
  /** why a planned one was not set; empty where nobody said */
  leftBecause: string;
  anchor: string;
  station: Station;
  /** the levels that it was measured from */
  then: Known;
  /** how the surface at its place follows the gauge; null where it stands at the gauge's level */
  follows: Follows | null;
  /** ice over its place against that of the open sheet; 1 where it is the same */
  iceFactor: number;
  layout: Layout;
  devices: DeviceView[];
  /** how often it is checked, by the rulebook or its line */
  every: CheckRule;
  /** ISO; null when nothing of it is live */
  deadline: string | null;
  /** somebody set out for it since its last look and did not get there */
  missed: Missed | null;
  lastLook: string | null;
}

/** The levels as they are over a place: its ice is that of the sheet times its factor. */
export const atPlace = ({ iceFactor }: Partial<Pick<SetView, 'iceFactor'>>, water: Water): Water =>
  iceFactor === undefined || iceFactor === 1 || water.known.sheet === undefined
    ? water
    : { ...water, known: { ...water.known, sheet: water.known.sheet * iceFactor } };

/** What is asked of a set: its layout and the ice of its place. */
export type Standing = Pick<SetView, 'layout' | 'devices'> & Partial<Pick<SetView, 'iceFactor'>>;

/** How every device of a set stands; of a set that is not live, how it would. */
export function statesOf(view: Standing, water: Water, frame: Frame): DeviceState[] {
  const here = atPlace(view, water);
  return [...new Set(view.layout.needs.map((need) => need.device))].map((device) => {
    const state = deviceState(view.layout, device, here, frame);
    const spent = view.devices.find((d) => d.position === device)?.spent;
    if (!spent) return state;
    const { order, ...words } = spentWords(spent, frame);
    const { remedy } = state;
    return { ...state, ...words, remedy: { ...remedy, order: remedy.order ? `${order}. ${remedy.order}` : order } };
  });
}

/** The state that speaks for a set. */
export const stateOf = (view: Standing, water: Water, frame: Frame): DeviceState | null => worst(statesOf(view, water, frame));
