import { FOOTHOLDS } from '../devices/sizes';
import { inches } from '../units/factors';
import { printLength } from '../units/length';
import type { Need } from '../water/need';
import type { Part } from '../water/part';
import { found, type Finding } from '../words/finding';
import { ranged, type WorkRange } from './pieces/range';
import { bedOf, levelThen, type Laying, type NumberSpec } from './setType';
import { onBed } from './pieces/block';

/** What the types with a bedded foothold have in common: bed, pan, build-up. */

export const PAN_UNDER: NumberSpec = {
  label: 'Pan below water',
  help: 'water over the pan, as seen',
  unit: 'length',
  default: inches(3),
  min: inches(-2),
  max: inches(12),
  origin: 'practice',
  withLevel: 1,
};

export const BED_DEPTH: NumberSpec = {
  label: 'Depth at the bed',
  help: 'water over the firm bottom before the bed is built',
  unit: 'length',
  min: 0,
  max: 3,
  origin: 'measured',
  withLevel: 1,
};

export const footholdOf = (size: string): { spread: number; pan: number } => FOOTHOLDS[size] ?? { spread: inches(6.75), pan: inches(1.5) };

/** The pan's cover. */
export const panNeed = (laying: Laying, range: WorkRange, device = 'trap'): Need => ({
  id: device === 'trap' ? 'pan' : `${device}-pan`,
  device,
  of: { part: device === 'trap' ? 'pan' : `${device}-pan`, spot: 'top' },
  from: laying.place.surface,
  ...ranged(range),
  called: 'pan',
  origin: 'practice',
});

/** A foothold and what lies under it. @param under what carries it: the bed that is built, or a flat stone */
export function bedParts(
  laying: Laying,
  size: string,
  panUnder: number,
  { device = 'trap', x = 0, y = 0, under = 'bed' }: { device?: string; x?: number; y?: number; under?: 'bed' | 'stone' } = {},
): Part[] {
  const { spread, pan } = footholdOf(size);
  const base = levelThen(laying) - panUnder - pan;
  const floor = Math.min(bedOf(laying) ?? base - inches(2), base);
  const prefix = device === 'trap' ? '' : `${device}-`;
  const trap: Part = onBed('pan', `${prefix}pan`, [x, y, base], [pan, spread, spread], {
    device,
    tiedTo: 'lock',
    stock: `foothold No. ${size}`,
  });
  if (base - floor <= 0.005) return [trap];
  const wide = spread + inches(under === 'stone' ? 2 : 6);
  return [
    trap,
    onBed(under, `${prefix}bed`, [x, y, floor], [base - floor, wide, wide], {
      device,
      ...(under === 'stone' ? { stock: `flat stone ${printLength(base - floor, laying.system)}` } : {}),
    }),
  ];
}

interface BuiltUp {
  says?: 'buildUp' | 'stoneUnder';
  /** its own name, in a design with more than one */
  id?: string;
  of?: string;
}

/** What has to be built up under the trap: depth less cover less the height of the pan. */
export function buildUp(laying: Laying, size: string, panUnder: number, { says = 'buildUp', ...of }: BuiltUp = {}): Finding {
  const { pan } = footholdOf(size);
  const { depth } = laying.numbers;
  const more = { id: 'buildUp', field: 'panUnder', ...of };
  if (depth === undefined) return found(says, 'unknown', 'computed', {}, more);
  const height = depth - panUnder - pan;
  const fits = height >= -0.005;
  return found(says, fits ? 'holds' : 'fails', 'computed', { depth, height: fits ? Math.max(height, 0) : height, pan, size }, more);
}
