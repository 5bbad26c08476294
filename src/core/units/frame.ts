import type { Clock } from '../time/clock';
import type { System } from './factors';
import { printLevel } from './length';

/** In what a reader reads: his units, his clock, and where the zeros of the gauges lie from which levels are told. */
export interface Frame extends Clock {
  system: System;
  /** elevation of the zero of each gauge over the water's datum, m */
  zero: { pond: number; tail: number };
}

type Axis = 'pond' | 'tail' | 'sheet' | 'hole';

/** A frame without a gauge: lengths, and levels told from the datum itself. */
export const plainFrame = (system: System, clock: Clock = { zone: 'UTC', hours: system === 'us' ? 12 : 24 }): Frame => ({
  system,
  ...clock,
  zero: { pond: 0, tail: 0 },
});

const zeroOf = ({ zero }: Frame, axis: Axis): number => (axis === 'pond' || axis === 'tail' ? zero[axis] : 0);

/** An elevation as the gauge of its surface shows it, m; ice is thick, and stays as it is. */
export const onGauge = (elevation: number, frame: Frame, axis: Axis = 'pond'): number => elevation - zeroOf(frame, axis);

/** What was typed on the gauge as an elevation, m. */
export const offGauge = (shown: number, frame: Frame, axis: Axis = 'pond'): number => shown + zeroOf(frame, axis);

/** An elevation printed as its gauge shows it. */
export const levelText = (elevation: number, frame: Frame, axis: Axis = 'pond'): string =>
  printLevel(onGauge(elevation, frame, axis), frame.system);

/** Where the gauges of a water hang over its datum, m: what another program needs to read its levels as they show them. */
export type Hanging = Frame['zero'];
export const hangingOf = ({ zero }: Frame): Hanging => zero;
export const frameOn = (hanging: Hanging, system: System, clock: Clock): Frame => ({ system, ...clock, zero: hanging });
