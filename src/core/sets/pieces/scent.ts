import { inches } from '../../units/factors';
import type { Bearer, Part } from '../../water/part';
import type { Piece } from '../design';
import { borne, onBank } from './block';

/** Mound, bait and what carries them. */

export const mound = (x: number, z: number, { wide = inches(16), height = inches(7), stock = 'mud and leaves' } = {}): Piece => ({
  parts: [onBank('mound', 'mound', [x, 0, z], [height, wide, wide * 1.1], { stock })],
  supplies: [{ kind: 'lure', what: 'castor lure', amount: 1 }],
});

export interface BaitPlace {
  x: number;
  y?: number;
  z: number;
  what: string;
  bearer?: Bearer;
  height?: number;
  wide?: number;
  supply?: 'bait' | 'lure';
  id?: string;
  woody?: true;
}

/** A bait where it stands or hangs. */
export function bait({
  x,
  y = 0,
  z,
  what,
  bearer = 'bank',
  height = inches(2.5),
  wide = inches(4),
  supply = 'bait',
  id = 'bait',
  woody,
}: BaitPlace): Piece {
  const part: Part = borne(bearer)('bait', id, [x, y, z], [height, wide, wide], { stock: what, ...(woody ? { look: { woody } } : {}) });
  return { parts: [part], supplies: [{ kind: supply, what, amount: 1 }] };
}
