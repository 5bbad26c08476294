import type { Part } from '../water/part';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import type { DesignScene } from './designScene';
import { textWidth } from './labels';
import { placeAround, type Box, type Segment, type Wish } from './placing';

/** An order as it is seen on the set: from the device as it stands, so far up or down; px of its scene. */
export interface MoveArrow {
  x: number;
  from: number;
  to: number;
  text: string;
  box: Box;
}

const SIZE = 16;
const BESIDE = 16;
/** The head of an arrow wants so much, px. */
const LEAST = 14;

/**
 * The arrow of an order on a set drawn from the side.
 *
 * @param by metres the order moves the device up, down when negative
 * @returns null where nothing is to be moved, or no device is drawn
 */
export function moveArrow(scene: DesignScene, parts: readonly Part[], by: number, system: System): MoveArrow | null {
  const devices = parts.flatMap((part) => (part.device ? (scene.boxes[part.id] ?? []) : []));
  if (Math.abs(by) < 1e-6 || devices.length === 0) return null;
  const [top, bottom] = [Math.min(...devices.map((d) => d.y)), Math.max(...devices.map((d) => d.y + d.height))];
  const right = Math.max(...devices.map((d) => d.x + d.width));
  const left = Math.min(...devices.map((d) => d.x));
  const x = right + BESIDE < scene.width - 8 ? right + BESIDE : Math.max(8, left - BESIDE);
  const from = by < 0 ? top : bottom;
  const way = Math.max(LEAST, Math.abs(by) * scene.scale) * (by < 0 ? 1 : -1);
  const to = Math.min(Math.max(from + way, 6), scene.height - 6);
  const text = `${by < 0 ? 'lower' : 'raise'} ${printLength(Math.abs(by), system)}`;
  const width = textWidth(text, SIZE) + 4;
  const middle = (from + to) / 2;
  const wish: Wish = {
    width,
    height: 20,
    spots: [
      [x + width / 2 + 12, middle],
      [x - width / 2 - 12, middle],
    ],
  };
  const lines: Segment[] = [[x, from, x, to]];
  if (scene.water) lines.push([scene.water.from, scene.water.y, scene.water.to, scene.water.y]);
  const taken = scene.water ? [keeping(scene.water.box)] : [];
  const box = placeAround([...taken, wish], scene, lines, devices).at(-1);
  return box ? { x, from, to, text, box } : null;
}

/** A box that keeps its place. */
const keeping = ({ x, y, width, height }: Box): Wish => ({
  width,
  height,
  spots: [[x + width / 2, y + height / 2]],
});
