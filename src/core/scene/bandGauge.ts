import { INCH } from '../units/factors';
import type { Interval } from '../water/band';
import type { DeviceState } from '../water/state';

interface Box {
  top: number;
  bottom: number;
  openTop: boolean;
  openBottom: boolean;
}

/** One row's gauge: all rows share the scale, so that a long box is a wide band. Pixels from the top. */
export interface BandGauge {
  height: number;
  /** the level now, always in the middle */
  now: number;
  box: Box | null;
  /** the levels at which it stands as it is aimed, inside its box */
  aim: Box | null;
  /** where it may work beyond its box, as upright strokes from top to bottom */
  doubt: [top: number, bottom: number][];
  /** the level when the device was set; null when outside the gauge */
  then: number | null;
}

/** What a gauge shows over and as much under the level, m. */
export const GAUGE_HALF = 14 * INCH;

/**
 * The band of a device against the level now, on the scale that all gauges share (14 in over and under the level).
 *
 * @param then the level when it was set, m; null when not read
 * @param height px
 */
export function bandGauge(state: DeviceState, then: number | null, height: number): BandGauge {
  const { level, band, aim, perhaps } = state;
  const yOf = (z: number): number => height / 2 - ((z - (level ?? 0)) / GAUGE_HALF) * (height / 2 - 2);
  if (level === null || !band) return { height, now: height / 2, box: null, aim: null, doubt: [], then: null };
  const inside = (y: number): number => Math.min(Math.max(y, 1), height - 1);
  const boxOf = ({ min, max }: Interval): Box => {
    const [top, bottom] = [yOf(max), yOf(min)];
    return { top: inside(top), bottom: inside(bottom), openTop: top < 1, openBottom: bottom > height - 1 };
  };
  const box = boxOf(band);
  const may = boxOf(perhaps ?? band);
  return {
    height,
    now: height / 2,
    box,
    aim: aim && boxOf(aim),
    doubt: [[may.top, box.top] as [number, number], [box.bottom, may.bottom] as [number, number]].filter(([a, b]) => b - a > 1),
    then: then === null || Math.abs(then - level) > GAUGE_HALF ? null : yOf(then),
  };
}
