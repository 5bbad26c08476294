import { FOOT, type System } from './factors';

/** A speed of water as it is told: `2.4 ft/s`, `0.73 m/s`. */
export const speedText = (metresPerSecond: number, system: System): string =>
  system === 'us' ? `${(metresPerSecond / FOOT).toFixed(1)} ft/s` : `${metresPerSecond.toFixed(2)} m/s`;

/** A speed of wind: `12 mph`, `5 m/s`. */
export const gustText = (metresPerSecond: number, system: System): string =>
  system === 'us' ? `${Math.round(metresPerSecond * 2.23694)} mph` : `${metresPerSecond.toFixed(1)} m/s`;

/** How fast somebody goes: `2.5 mph`, `4 km/h`. */
export function travelText(kmh: number, system: System): string {
  const speed = system === 'us' ? kmh / 1.609344 : kmh;
  return `${speed < 5 ? Math.round(speed * 2) / 2 : Math.round(speed)} ${system === 'us' ? 'mph' : 'km/h'}`;
}

/** A force: `1.2 lb`, `5.3 N`. */
export const forceText = (newtons: number, system: System): string =>
  system === 'us' ? `${(newtons / 4.4482216).toFixed(1)} lb` : `${newtons.toFixed(1)} N`;

/** Frost over some days: `40 °F-days`, `22 °C-days`. @param days degree-days below freezing, °C */
export const frostText = (days: number, system: System): string =>
  system === 'us' ? `${Math.round(days * 1.8)} °F-days` : `${Math.round(days)} °C-days`;

/** How fast ice grows: thickness for the square root of frost. @param alpha cm for the root of a °C-day */
export const growthText = (alpha: number, system: System): string =>
  system === 'us'
    ? `${(alpha / 2.54 / Math.sqrt(1.8)).toFixed(2)} in for the root of a °F-day`
    : `${alpha.toFixed(1)} cm for the root of a °C-day`;
