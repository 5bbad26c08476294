import type { Device, Setting, Station, TrapSet } from '../record/kinds';
import type { System } from '../units/factors';
import type { Layout } from '../water/layout';
import type { Design } from './design';
import { onGauge, surfaceAt, type Follows } from '../water/ownLevel';
import { deviceState, worst, type DeviceState, type Water } from '../water/state';
import { setTypeOf } from './catalogue';
import type { FilledPosition, Laying, Place, SetType } from './setType';

/** The devices a type is reckoned with while no tag is chosen. */
export function usualDevices(type: SetType): Record<string, FilledPosition> {
  return Object.fromEntries(type.positions.filter((p) => !p.optional).map((p) => [p.id, type.usual]));
}

/** What a set type is told of its station. */
export const placeOf = (station: Station, follows: Follows | null = null): Place => ({
  kind: station.kind,
  surface: station.surface,
  bed: station.bed ? station.bed.level - station.bed.depth : null,
  follows,
});

/** The setting that held at a time; the first one before that. */
export function settingAt(set: Pick<TrapSet, 'settings'>, at: Date): Setting {
  const past = set.settings.filter((s) => new Date(s.at) <= at);
  const found = past.at(-1) ?? set.settings[0];
  if (!found) throw new RangeError('a set has one setting at least');
  return found;
}

/** The devices that stand in a set at a time, by position; the usual ones of its type when none does. */
export function devicesAt(
  set: Pick<TrapSet, 'stays' | 'type'>,
  at: Date,
  shed: Record<string, Pick<Device, 'class' | 'size'>>,
): Record<string, FilledPosition> {
  const standing = set.stays.filter((stay) => new Date(stay.from) <= at && (stay.to === null || new Date(stay.to) > at));
  const filled = standing.flatMap(({ position, device }) => {
    const known = shed[device];
    return known ? [[position, { class: known.class, size: known.size }] as const] : [];
  });
  return filled.length > 0 ? Object.fromEntries(filled) : usualDevices(setTypeOf(set.type));
}

/** A set laid out as it stood under one setting. */
export function layOutSetting(
  type: SetType,
  setting: Pick<Setting, 'numbers' | 'choices' | 'pond' | 'tail'>,
  place: Place,
  devices: Record<string, FilledPosition>,
  system: System,
  ahead: Pick<Laying, 'iceNext' | 'frostToCheck'> = {},
): Design {
  const { surface, follows } = place;
  const then = { ...(setting.pond === null ? {} : { pond: setting.pond }), ...(setting.tail === null ? {} : { tail: setting.tail }) };
  const gauge = then[surface];
  if (follows && gauge !== undefined) then[surface] = surfaceAt(follows, gauge);
  const defaults = Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [key, choice.default]));
  const layout = type.layOut({
    numbers: setting.numbers,
    choices: { ...defaults, ...setting.choices },
    place,
    devices,
    then,
    system,
    ...ahead,
  });
  return follows ? onGauge(layout, surface, follows) : layout;
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
  anchor: string;
  station: Station;
  /** how the surface at its place follows the gauge; null where it stands at the gauge's level */
  follows: Follows | null;
  /** ice over its place against that of the open sheet; 1 where it is the same */
  iceFactor: number;
  layout: Layout;
  devices: DeviceView[];
  /** ISO; null when nothing of it is live */
  deadline: string | null;
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
export function statesOf(view: Standing, water: Water, system: System): DeviceState[] {
  const here = atPlace(view, water);
  return [...new Set(view.layout.needs.map((need) => need.device))].map((device) => deviceState(view.layout, device, here, system));
}

/** The state that speaks for a set. */
export const stateOf = (view: Standing, water: Water, system: System): DeviceState | null => worst(statesOf(view, water, system));
