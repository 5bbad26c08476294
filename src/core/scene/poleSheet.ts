import type { PoleMark } from '../water/part';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import { textWidth } from './labels';
import { placeAround, type Box } from './placing';

export interface PoleSheet {
  /** mm on paper, one to ten */
  length: number;
  width: number;
  height: number;
  marks: { at: number; text: string; box: Box }[];
}

const SIZE = 3.2;

/**
 * A pole one to ten on paper, lying, its foot at the left, with its marks measured from the foot. All in mm.
 *
 * @param length of the pole, m
 */
export function poleSheet(length: number, marks: readonly PoleMark[], system: System): PoleSheet {
  const long = length * 100;
  const frame = { width: long + 40, height: 34 };
  const sorted = [...marks].sort((a, b) => a.at - b.at);
  const wishes = sorted.map(({ at, what }, i) => {
    const width = textWidth(`${printLength(at, system)} ${what}`, SIZE);
    const x = 10 + at * 100;
    return { width, height: SIZE + 0.8, spots: [[x, i % 2 ? 6 : 28] as [number, number], [x, i % 2 ? 28 : 6] as [number, number]] };
  });
  const boxes = placeAround(wishes, frame, [[0, 17, frame.width, 17]]);
  return {
    length: long,
    ...frame,
    marks: sorted.map(({ at, what }, i) => ({
      at: at * 100,
      text: `${printLength(at, system)} ${what}`,
      box: boxes[i] ?? { x: 0, y: 0, width: 0, height: 0 },
    })),
  };
}
