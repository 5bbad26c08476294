import type { BuildKey } from '../../animals/species';
import { assemble, type Piece } from '../design';
import type { Laying } from '../setType';
import { depthMarks, gripMarks, movable, tooTall, openingOf } from './grip';
import { tie, type TieTo } from './hold';
import { hangable } from './loop';

/** What every standing trap and every hanging loop ends with: its lengths, how it may be moved, its tie. */
interface Ends {
  numbers: TieTo['numbers'];
  bottom: number;
  floor: number;
  /** where the depth is drawn: along from the side, across as it is met; m */
  depthAt: [side: number, eye: number];
  at: TieTo['at'];
}

/** @param own `hand` is the side that its tie leaves from */
export function stands(laying: Laying, own: Ends & { size: string; build: BuildKey; hand?: 1 | -1 }): Piece {
  const { numbers, size, bottom, floor, depthAt, at, build, hand = 1 } = own;
  const frame = openingOf(size);
  return assemble(
    gripMarks(laying, size, bottom),
    depthMarks(laying, floor, ...depthAt),
    tooTall(laying, size),
    movable(laying),
    tie(laying, { numbers, part: 'jaws', from: [0, (hand * frame) / 2, bottom + frame / 2], at, build }),
  );
}

/** @param own `size` is the loop's diameter, m */
export function hangs(laying: Laying, own: Ends & { size: number }): Piece {
  const { numbers, size, bottom, floor, depthAt, at } = own;
  return assemble(
    depthMarks(laying, floor, ...depthAt),
    hangable(laying),
    tie(laying, {
      numbers,
      device: 'snare',
      part: 'loop',
      from: [0, size / 2, bottom + size * 0.9],
      at,
      build: 'beaverAdult',
      cable: 'tail and extension',
    }),
  );
}
