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

/** The wind over a water, in words, with the bank that is to be set. @source common practice: scent is laid on the upwind bank */
export function windSentence(water: string, line: readonly Position[], wind: Wind): string {
  const said = `Wind from the ${compass(wind.from)}, ${Math.round(wind.speed * 10) / 10} m/s (simulated)`;
  if (wind.speed < 0.5) return `${said}: nearly still, it carries no scent over ${water}.`;
  const bank = upwindSide(line, wind);
  return bank
    ? `${said}: the ${bank.side} bank of ${water}, its ${bank.toward} side, lies upwind. Scent laid there blows over the water.`
    : `${said}, along ${water}: neither bank lies upwind, scent drifts with the line.`;
}
