import type { System } from '../units/factors';
import { gustText } from '../units/speed';
import { besideLine, compass, way, type Position } from './geodesic';

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

/** Below this it is nearly still, m/s. */
const CALM = 0.5;

/** The mean of winds as they carry scent: strong hours count for more. @returns null where none is told */
export function meanWind(winds: readonly Wind[]): Wind | null {
  if (winds.length === 0) return null;
  const sum = (part: (rad: number) => number): number =>
    winds.reduce((s, w) => s + w.speed * part((w.from * Math.PI) / 180), 0) / winds.length;
  const [north, east] = [sum(Math.cos), sum(Math.sin)];
  return { from: ((Math.atan2(east, north) * 180) / Math.PI + 360) % 360, speed: Math.hypot(north, east) };
}

/** Within so much of the way from the bank out over the water the wind blows scent inland, degrees. [practice] */
const ONTO = 60;

/** Whether the wind comes over the water onto the bank at a position, where it carries scent inland. A shore is a ring, a stream line lies in the middle of its water. */
export function isLeeward(kind: 'shore' | 'stream line', line: readonly Position[], at: Position, wind: Wind): boolean {
  const out = kind === 'shore' ? centerOf(line) : besideLine(line, at)?.nearest;
  if (!out || wind.speed < CALM) return false;
  const { distance, bearing } = way(at, out);
  return distance > 0.5 && Math.abs(((wind.from - bearing + 540) % 360) - 180) < ONTO;
}
const centerOf = (ring: readonly Position[]): Position | undefined =>
  ring.length === 0 ? undefined : [ring.reduce((s, p) => s + p[0], 0) / ring.length, ring.reduce((s, p) => s + p[1], 0) / ring.length];

/** The wind, in words. */
export const windText = ({ from, speed }: Wind, simulated: boolean, system: System): string =>
  speed < CALM
    ? `Nearly still${simulated ? ' (simulated)' : ''}: it carries no scent over the water.`
    : `Wind from the ${compass(from)}, ${gustText(speed, system)}${simulated ? ' (simulated)' : ''}. Scent belongs on the upwind bank: it blows over the water.`;

/** Which bank of a water is to be set, in words. A shore is a ring, a stream line is looked along as it flows. @source common practice */
export function upwindText(kind: 'shore' | 'stream line', line: readonly Position[], wind: Wind): string {
  if (wind.speed < CALM) return 'no bank lies upwind, it is nearly still';
  if (kind === 'shore') return `upwind: the ${compass(wind.from)} shore`;
  const bank = upwindSide(line, wind);
  return bank
    ? `Lure the ${bank.side} bank, facing downstream (its ${bank.toward} side).`
    : 'neither bank lies upwind: the wind runs with the water';
}
