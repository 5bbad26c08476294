import { WEIGHTS, FOOTHOLDS } from '../../devices/sizes';
import { BUILDS, type BuildKey } from '../../animals/species';
import { keepsDown } from '../../hold/weight';
import { inches } from '../../units/factors';
import { found, type Finding } from '../../words/finding';
import { widthMark, heightMark, type Piece } from '../design';
import type { NumberKey } from '../keys';
import { type WorkRange, ranged } from './range';
import { levelThen, practised, type Laying, type NumberSpec, bedOf } from '../setType';
import type { Need } from '../../water/need';
import type { Part } from '../../water/part';
import { onBed } from './block';
import { printLength } from '../../units/length';

/** Footholds in their beds. */

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

export type Foot = 'front' | 'hind';

/** Where the pan lies for a foot: cover and way off the centre line, inches. [practice] */
export const FOOT: Record<Foot, { under: [number, number]; target: number; off: [number, number]; usualOff: number; range: WorkRange }> = {
  front: { under: [2, 3], target: 2.5, off: [2, 3], usualOff: 2.5, range: { aim: [-3, -2], works: [-6, 0], ends: ['swumOver', 'bare'] } },
  hind: {
    under: [6, 9],
    target: 7,
    off: [5, 7],
    usualOff: 6,
    range: { aim: [-9, -6], works: [-9, 0], perhaps: [-12, 0], ends: ['swumOver', 'bare'] },
  },
};

/** The foot that a bed of some cover is for: between both aims the nearer one. */
export const footFor = (under: number): Foot => (under > inches((FOOT.front.under[1] + FOOT.hind.under[0]) / 2) ? 'hind' : 'front');

export const panUnder = (usual: number, [min, max]: [number, number] = [-2, 12]): NumberSpec =>
  practised('Pan below water', 'water over the pan, as seen', usual, [min, max], 1);

export const offset = (usual: number): NumberSpec =>
  practised('Pan off the middle', 'front foot 2 to 3 in, hind foot 5 to 7', usual, [0, 12]);

export interface BedPlace {
  size: string;
  /** water over the pan, m */
  under: number;
  range: WorkRange;
  device?: string;
  x?: number;
  y?: number;
  on?: 'bed' | 'stone';
  /** the number that is seen; null where it follows from others */
  key?: NumberKey | null;
}

/** A foothold, what lies under it, what it needs of the surface and how far it is built up. */
export function bed(laying: Laying, place: BedPlace): Piece {
  const { size, under, range, device = 'trap', x = 0, y = 0, on = 'bed', key = 'panUnder' } = place;
  const surface = levelThen(laying);
  const spread = footholdOf(size).spread;
  const name = device === 'trap' ? 'Pan below water' : `${device}: pan below water`;
  return {
    parts: bedParts(laying, size, under, { device, x, y, under: on }),
    needs: [panNeed(laying, range, device)],
    free: [{ device, say: { down: 'Lower the bed', up: 'Raise the bed' }, floor: null }],
    findings: [buildUp(laying, size, under, device === 'trap' ? {} : { id: `${device}-buildUp`, of: device })],
    marks:
      Math.abs(under) < 0.003
        ? []
        : [
            heightMark(key, name, { view: 'side', across: x + spread * 0.2, from: surface, to: surface - under }),
            heightMark(key, name, { view: 'eye', across: y + spread * 0.2, from: surface, to: surface - under }),
          ],
  };
}

/** The offset of the pan from the middle of the approach, on the drawing and against what the foot wants. */
export function offsetPiece(laying: Laying, off: number, under: number, foot: Foot): Piece {
  const { off: wanted, under: covered } = FOOT[foot];
  const fits = off >= inches(wanted[0]) - 1e-6 && off <= inches(wanted[1]) + 1e-6;
  return {
    marks:
      Math.abs(off) < inches(1)
        ? []
        : [widthMark('offset', 'Off the middle', { view: 'eye', z: levelThen(laying) - under - inches(7), from: 0, to: off })],
    findings: [found('foot', fits ? 'holds' : 'warns', 'practice', { foot, off, wanted, under: covered })],
  };
}

/** Whether the trap alone holds its animal down, where nothing draws it into deep water. */
export function weightFinding(laying: Laying, size: string, build: BuildKey): Finding {
  const trap = WEIGHTS.foothold[size] ?? 0.5;
  const { weight, called } = BUILDS[build];
  const { pulls, wanted, spare } = keepsDown(trap, weight.usual);
  const more = Math.max(0, -spare / 0.873);
  return found('weight', spare >= 0 ? 'holds' : 'fails', 'practice', { trap, pulls, called, animal: weight.usual, wanted, more });
}

/** Whether the chain reaches water that covers the animal whole. @param reaches depth where the chain ends, m; undefined when not measured */
export function coverFinding(laying: Laying, reaches: number | undefined, build: BuildKey): Finding {
  const { swims, called } = BUILDS[build];
  const verdict = reaches === undefined ? 'unknown' : reaches >= swims ? 'holds' : 'fails';
  return found('fullCover', verdict, 'practice', { depth: reaches, swims, called }, { field: 'chainEnd' });
}
