import { WEIGHTS } from '../../devices/sizes';
import { BUILDS, type BuildKey } from '../../animals/species';
import { keepsDown } from '../../hold/weight';
import { inches } from '../../units/factors';
import { found, type Finding } from '../../words/finding';
import { bedParts, buildUp, footholdOf, panNeed } from '../bedded';
import { level as across, upright as mark, type Piece } from '../design';
import type { NumberKey } from '../keys';
import type { WorkRange } from './range';
import { levelThen, practised, type Laying, type NumberSpec } from '../setType';

/** Footholds in their beds. */

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
            mark(key, name, { view: 'side', across: x + spread * 0.2, from: surface, to: surface - under }),
            mark(key, name, { view: 'eye', across: y + spread * 0.2, from: surface, to: surface - under }),
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
        : [across('offset', 'Off the middle', { view: 'eye', z: levelThen(laying) - under - inches(7), from: 0, to: off })],
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
