import { inches } from '../units/factors';

export const DEVICE_CLASSES = ['bodyGrip', 'foothold', 'snare', 'enclosed'] as const;
export type DeviceClass = (typeof DEVICE_CLASSES)[number];

export const CLASS_WORDS: Record<DeviceClass, string> = {
  bodyGrip: 'body-grip',
  foothold: 'foothold',
  snare: 'snare',
  enclosed: 'enclosed foothold',
};

/** A body-grip's square opening, jaw rod and spring arm beyond the jaw, m. @source from memory, makers differ */
export const BODY_GRIPS: Record<string, { opening: number; rod: number; arm: number; springs: 1 | 2 }> = {
  '110': { opening: inches(4.75), rod: inches(3 / 16), arm: inches(4), springs: 1 },
  '120': { opening: inches(4.75), rod: inches(3 / 16), arm: inches(4), springs: 2 },
  '155': { opening: inches(5.5), rod: inches(1 / 4), arm: inches(5), springs: 2 },
  '160': { opening: inches(6), rod: inches(1 / 4), arm: inches(5.5), springs: 2 },
  '220': { opening: inches(7), rod: inches(1 / 4), arm: inches(6.5), springs: 2 },
  '280': { opening: inches(8), rod: inches(5 / 16), arm: inches(8), springs: 2 },
  '330': { opening: inches(10), rod: inches(5 / 16), arm: inches(9), springs: 2 },
};

/** A foothold's jaw spread and the height of its pan over the base, m. @source from memory, makers differ */
export const FOOTHOLDS: Record<string, { spread: number; pan: number }> = {
  '1': { spread: inches(4), pan: inches(1) },
  '11': { spread: inches(4), pan: inches(1) },
  '1½': { spread: inches(4.75), pan: inches(1.125) },
  '2': { spread: inches(5.5), pan: inches(1.25) },
  '3': { spread: inches(6.25), pan: inches(1.5) },
  '4': { spread: inches(6.75), pan: inches(1.5) },
  '5': { spread: inches(7.5), pan: inches(1.75) },
};

/** Cables by construction and diameter, as they are called. */
export const CABLES = ['1×19 5/64', '7×7 3/32', '7×19 1/8'] as const;

export const SIZES: Record<DeviceClass, readonly string[]> = {
  bodyGrip: Object.keys(BODY_GRIPS),
  foothold: ['1', '11', '1½', '2', '3', '4', '5'],
  snare: CABLES,
  enclosed: ['pull', 'push and pull'],
};

/** What a device is called beside its tag: `330`, `No. 4`, `7×7 3/32 snare`. */
export function sizeText(deviceClass: DeviceClass, size: string): string {
  if (deviceClass === 'foothold') return `No. ${size}`;
  if (deviceClass === 'enclosed') return `enclosed, ${size}`;
  return deviceClass === 'snare' ? `${size} snare` : size;
}

/** From this opening up a body-grip is set with a setter, never by hand alone. [practice: from 220] */
export const needsSetter = (size: string): boolean => (BODY_GRIPS[size]?.opening ?? 0) >= inches(7);

/** Weight of a trap in air, kg. @source from memory, makers differ */
export const WEIGHTS: Record<'bodyGrip' | 'foothold', Record<string, number>> = {
  bodyGrip: inPounds({ '110': 0.75, '120': 1, '155': 1.5, '160': 1.5, '220': 2.5, '280': 3.75, '330': 5 }),
  foothold: inPounds({ '1': 1, '11': 1, '1½': 1.25, '2': 1.5, '3': 2, '4': 2.75, '5': 4.5 }),
};

function inPounds(weights: Record<string, number>): Record<string, number> {
  return Object.fromEntries(Object.entries(weights).map(([size, pounds]) => [size, pounds * 0.45359237]));
}

/** Whether a foothold is cocked by hand alone; from No. 3 on setters are at hand. [practice] */
export const isSmallFoothold = (size: string): boolean => ['1', '11', '1½', '2'].includes(size);
