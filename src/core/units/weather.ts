import type { System } from './factors';

/** @param celsius °C */
export const tempText = (celsius: number, system: System): string =>
  `${Math.round(system === 'us' ? (celsius * 9) / 5 + 32 : celsius)} ${system === 'us' ? '°F' : '°C'}`.replace('-', '−');
/** @param mm of rain, or of the water in snow */
export const rainText = (mm: number, system: System): string => (system === 'us' ? `${(mm / 25.4).toFixed(2)} in` : `${Math.round(mm)} mm`);
