import { inches } from '../../units/factors';
import type { Piece } from '../design';
import { measured, type NumberSpec } from '../setType';

/** Ground as a drawing shows it; where nothing was measured its slopes are symbolic and its heights true. */

export type Line = [number, number][];

/** Ground through points: along or across, and the elevation; m. */
export const line = (...points: Line): Line => points;

/** How deep a groove is in its bed: as deep as the frame, nothing swims over the trap in it. */
export const GROOVE: NumberSpec = { ...measured('Groove', '', [0, 60]), from: ['depth'], less: 'besideGroove' };

/** A groove across the travel, its banks over the surface. */
export const trench = (surface: number, floor: number, atBed: number, atSurface: number): Line => {
  const top = Math.max(surface + inches(4), floor + inches(6));
  const [bed, rim] = [atBed / 2, Math.max(atSurface, atBed) / 2];
  return [
    [-rim - inches(14), top + inches(2)],
    [-rim, top - inches(3)],
    [-bed, floor],
    [bed, floor],
    [rim, top - inches(3)],
    [rim + inches(14), top + inches(2)],
  ];
};

/** A level bed across the travel. */
export const flat = (floor: number, half = inches(26)): Line => line([-half, floor], [half, floor]);

/** A bank at one hand and deep water at the other. @param wall how far from the middle the bank or wall stands, m */
export const besideWall = (surface: number, floor: number, wall: number, deep = inches(8)): Line => [
  [-inches(34), floor - deep],
  [-inches(12), floor],
  [wall, floor],
  [wall + inches(1), surface + inches(8)],
  [wall + inches(16), surface + inches(9)],
];

/** A bed along the travel. */
export const bedLine = (floor: number, from = -inches(34), to = inches(34)): Line => line([from, floor], [to, floor]);

/** A landing: deep water, the bed under the trap, then the bank. */
export const landing = (
  surface: number,
  floor: number,
  { toe = inches(10), rise = inches(8), deep = inches(10), out = inches(50) } = {},
): Line => [
  [-out, floor - deep],
  [-inches(12), floor],
  [Math.min(toe, inches(6)), floor],
  [toe + inches(6), surface + inches(1)],
  [toe + inches(34), surface + rise],
];

export const ground = (along: Line, across: Line): Piece => ({ ground: along, front: across });

/** The same ground seen from the other hand. */
export const mirrored = (line: Line): Line => line.map(([y, z]): [number, number] => [-y, z]).reverse();
