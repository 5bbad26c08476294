import type { System } from '../units/factors';
import { gustText } from '../units/speed';
import { compass, way, type Position } from './geodesic';

export interface Wind {
  /** where it comes from, degrees */
  from: number;
  /** m/s */
  speed: number;
}

/** Which side of a line lies upwind, looking along it from its start; null when wind and line run the same way within 20°. */
export function upwindSide(line: readonly Position[], wind: Wind): { side: 'left' | 'right'; toward: string } | null {
  const [start, end] = [line[0], line.at(-1)];
  if (!start || !end || line.length < 2) return null;
  const { bearing } = way(start, end);
  const turn = (((wind.from - bearing) % 360) + 360) % 360;
  const off = Math.abs(Math.sin((turn * Math.PI) / 180));
  if (off < Math.sin((20 * Math.PI) / 180)) return null;
  const side = turn < 180 ? 'right' : 'left';
  return { side, toward: compass(bearing + (side === 'right' ? 90 : -90)) };
}

/** The wind, in words. */
export const windText = ({ from, speed }: Wind, simulated: boolean, system: System): string =>
  speed < 0.5
    ? `Nearly still${simulated ? ' (simulated)' : ''}: it carries no scent over the water.`
    : `Wind from the ${compass(from)}, ${gustText(speed, system)}${simulated ? ' (simulated)' : ''}. Scent belongs on the upwind bank: it blows over the water.`;

/** Which bank of a water is to be set, in words. A shore is a ring, a stream line is looked along as it flows. @source common practice */
export function upwindText(kind: 'shore' | 'stream line', line: readonly Position[], wind: Wind): string {
  if (wind.speed < 0.5) return 'no bank lies upwind, it is nearly still';
  if (kind === 'shore') return `upwind: the ${compass(wind.from)} shore`;
  const bank = upwindSide(line, wind);
  return bank
    ? `Lure the ${bank.side} bank, facing downstream (its ${bank.toward} side).`
    : 'neither bank lies upwind: the wind runs with the water';
}
