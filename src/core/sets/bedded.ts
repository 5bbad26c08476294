import type { Build } from '../animals/species';
import { FOOTHOLDS } from '../devices/sizes';
import { inches } from '../units/factors';
import { printLength } from '../units/length';
import type { Finding } from '../water/finding';
import { fixed } from '../water/linear';
import type { Need } from '../water/need';
import type { Part } from '../water/part';
import { bedOf, levelThen, type Laying, type NumberSpec } from './setType';

/** What the types with a bedded foothold have in common: bed, pan, slide to deep water. */

/** Extra depth behind the animal's reach. [practice] */
const MARGIN = inches(6);

export const PAN_UNDER: NumberSpec = {
  label: 'Pan under',
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

export const SLIDE_NUMBERS: Record<'chain' | 'stopDepth' | 'wire', NumberSpec> = {
  chain: { label: 'Chain', help: 'trap to the lock', unit: 'length', default: inches(14), min: inches(4), max: 3, origin: 'practice' },
  stopDepth: {
    label: 'Depth at the stop',
    help: 'water over the deep end of the slide',
    unit: 'length',
    min: 0,
    max: 6,
    origin: 'measured',
    withLevel: 1,
  },
  wire: {
    label: 'Slide wire',
    help: 'bank stake to the deep end',
    unit: 'length',
    default: inches(120),
    min: 0.5,
    max: 12,
    origin: 'practice',
  },
};

export const HOLD = { label: 'Hold', options: { slide: 'slide wire to deep water', live: 'live hold' }, default: 'slide' };

export const footholdOf = (size: string): { spread: number; pan: number } => FOOTHOLDS[size] ?? { spread: inches(6.75), pan: inches(1.5) };

/** Depth that chain, the way from forefoot to nose and some inches want at the stop, m. */
export const wantedDepth = (chain: number, build: Build): number => chain + build.forearmToNose + MARGIN;

/** The pan's cover. */
export const panNeed = (
  laying: Laying,
  { device = 'trap', min = 2, max = 6, target = 3 }: { device?: string; min?: number; max?: number; target?: number } = {},
): Need => ({
  id: device === 'trap' ? 'pan' : `${device}-pan`,
  device,
  of: { part: device === 'trap' ? 'pan' : `${device}-pan`, spot: 'top' },
  from: laying.place.surface,
  min: inches(-max),
  max: inches(-min),
  target: inches(-target),
  broken: { min: 'tooDeep', max: 'outOfWater' },
  called: 'pan',
  origin: 'practice',
});

/** The depth at the stop of a slide. */
export const stopNeed = (laying: Laying, wanted: number, device = 'trap'): Need => ({
  id: 'stop',
  device,
  of: { part: 'stop', spot: 'bottom' },
  from: laying.place.surface,
  max: -wanted,
  broken: { max: 'noLongerSubmerging' },
  called: 'deep end of the slide',
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
  const trap: Part = {
    id: `${prefix}pan`,
    kind: 'pan',
    device,
    bearer: 'bed',
    x,
    y,
    z: fixed(base),
    height: pan,
    wide: spread,
    across: spread,
    tiedTo: 'lock',
    stock: `foothold No. ${size}`,
  };
  if (base - floor <= 0.005) return [trap];
  const wide = spread + inches(under === 'stone' ? 2 : 6);
  return [
    trap,
    {
      id: `${prefix}bed`,
      kind: under,
      device,
      bearer: 'bed',
      x,
      y,
      z: fixed(floor),
      height: base - floor,
      wide,
      across: wide,
      ...(under === 'stone' ? { stock: `flat stone ${printLength(base - floor, laying.system)}` } : {}),
    },
  ];
}

/** The deep end of a slide and its stake on the bank. @param bank x of the stake, m */
export function slideParts(laying: Laying, wire: number, wanted: number, bank = inches(20), device = 'trap'): Part[] {
  const level = levelThen(laying);
  const bottom = level - (laying.numbers.stopDepth ?? wanted);
  const rise = level + inches(6) - bottom;
  const away = Math.sqrt(Math.max(wire ** 2 - rise ** 2, 0.25));
  return [
    {
      id: 'stop',
      kind: 'slideStop',
      device,
      bearer: 'bed',
      x: bank - away,
      y: 0,
      z: fixed(bottom),
      height: inches(3),
      wide: inches(3),
      across: inches(3),
      stock: 'one-way lock and stop',
    },
    {
      id: 'stake',
      kind: 'stake',
      bearer: 'bank',
      x: bank,
      y: 0,
      z: fixed(level - inches(18)),
      height: inches(24),
      wide: inches(1),
      across: inches(1),
      tiedTo: 'stop',
      stock: `slide wire ${printLength(wire, laying.system)}`,
    },
  ];
}

/** The bed's line from the deep end of a slide to the trap. */
export function deepGround(laying: Laying, floor: number, slide: Part[] | null): [number, number][] {
  const stop = slide?.[0];
  if (!stop) return [[-1.2, floor - 0.2]];
  return [
    [stop.x - 0.3, stop.z.k],
    [stop.x + 0.3, stop.z.k],
  ];
}

/** What has to be built up under the trap: depth less cover less the height of the pan. */
export function buildUp(laying: Laying, size: string, panUnder: number, of = 'Build-up under the trap'): Finding {
  const { pan } = footholdOf(size);
  const { depth } = laying.numbers;
  const print = (m: number) => printLength(m, laying.system);
  const base = { id: 'buildUp', about: of, origin: 'computed' as const };
  if (depth === undefined)
    return {
      ...base,
      verdict: 'unknown',
      figure: '?',
      sentence: 'Type the depth to the firm bottom and the height of the bed follows. It can be set by the surface without.',
    };
  const height = depth - panUnder - pan;
  if (height < -0.005)
    return {
      ...base,
      verdict: 'fails',
      figure: print(-height),
      sentence: `The bottom is ${print(-height)} too high for this cover: dig that much, or take less water over the pan.`,
    };
  return {
    ...base,
    verdict: 'holds',
    figure: print(Math.max(height, 0)),
    sentence: `Depth ${print(depth)} less the wanted cover and ${print(pan)} of pan height (No. ${size}, from memory).`,
  };
}

/** Whether the stop lies deep enough for the largest animal that is meant. */
export function slideFinding(laying: Laying, wanted: number, who = 'an adult'): Finding {
  const { stopDepth } = laying.numbers;
  const print = (m: number) => printLength(m, laying.system);
  const base = { id: 'slide', about: 'Drowning depth', origin: 'practice' as const };
  if (stopDepth === undefined)
    return {
      ...base,
      verdict: 'unknown',
      figure: `${print(wanted)}?`,
      sentence: `Uncertain: the deep end was not measured. Chain and ${who}'s reach with 6 in to spare want ${print(wanted)} there.`,
    };
  const spare = stopDepth - wanted;
  if (spare < 0)
    return {
      ...base,
      verdict: 'fails',
      figure: `short ${print(-spare)}`,
      sentence: `${print(stopDepth)} of water, ${print(wanted)} wanted (chain, forearm to nose of ${who}, 6 in): short by ${print(-spare)}. Deeper water, a shorter chain, or a live hold.`,
    };
  return {
    ...base,
    verdict: 'holds',
    figure: print(stopDepth),
    sentence: `${print(wanted)} wanted for chain, reach and 6 in: the margin is gone when the level falls ${print(spare)}.`,
  };
}

export const liveFinding = (): Finding => ({
  id: 'live',
  verdict: 'unknown',
  about: 'Live hold',
  figure: '10 ft',
  origin: 'practice',
  sentence:
    'About ten feet of tether, land and water both in reach. Without a measured profile it stays uncertain whether the catch lives.',
});
