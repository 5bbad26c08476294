import type { System } from '../units/factors';
import { inches } from '../units/factors';
import type { Design } from './design';
import type { Place, SetType, Variant } from './setType';
import { layOut, usualDevices } from './standing';

/** The level at which samples are drawn, m in the water's datum. */
export const SAMPLE_LEVEL = { pond: 1, tail: 0.4 };

/** A type at its defaults, or one of its variants, as the catalogue draws it: no station, no measurement. */
export function sampleDesign(type: SetType, variant: Variant | undefined, system: System, numbers: Record<string, number> = {}): Design {
  const devices = usualDevices(type);
  if (variant?.device) for (const id of Object.keys(devices)) devices[id] = variant.device;
  for (const { id } of type.positions.slice(0, variant?.fills ?? 0)) devices[id] = variant?.device ?? type.usual;
  const place: Place = { kind: type.stations[0] ?? 'run', surface: 'pond', bed: null };
  const ice = type.underIce ? { iceNext: inches(8), frostToCheck: 40 } : {};
  const laid = { numbers: { ...variant?.numbers, ...numbers }, choices: variant?.choices ?? {}, then: SAMPLE_LEVEL, place, devices };
  return layOut(type, laid, system, ice);
}

/** The levels a sample stands at; under ice with six inches of it. */
export const sampleLevels = (type: SetType): { pond: number; tail: number; sheet?: number } =>
  type.underIce ? { ...SAMPLE_LEVEL, sheet: inches(6) } : SAMPLE_LEVEL;

/** The surface that a type is drawn at: that of the first need. */
export const sampleSurface = (type: SetType): 'pond' | 'tail' =>
  sampleDesign(type, undefined, 'us').needs[0]?.from === 'tail' ? 'tail' : 'pond';
