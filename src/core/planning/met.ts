import { CLASS_WORDS, DEVICE_CLASSES, type DeviceClass } from '../devices/sizes';
import type { Earlier } from '../record/kinds';

/** What of earlier trapping tells whom the animals of a water have met. */
export type Met = Pick<Earlier, 'water' | 'devices' | 'survivors' | 'season' | 'who'>;

const usedWith = (water: string, device: DeviceClass, earlier: readonly Met[]): Met[] =>
  earlier.filter((e) => e.water === water && e.survivors !== 'none' && e.devices.includes(device));

/** The devices that animals of a water may know: used there before, unless none was left alive. [practice] */
export const metOn = (water: string, earlier: readonly Met[]): DeviceClass[] =>
  DEVICE_CLASSES.filter((device) => usedWith(water, device, earlier).length > 0);

/** Why a device is no first choice on a water, by who used it when; empty where nobody did. */
export function metText(water: string, device: DeviceClass, earlier: readonly Met[]): string {
  const used = usedWith(water, device, earlier);
  if (used.length === 0) return '';
  const known = used.some((e) => e.survivors === 'shy') ? 'those left are shy of it' : 'those left may know it';
  return `A ${CLASS_WORDS[device]} was used here before (${used.map((e) => `${e.season}, ${e.who}`).join('; ')}): ${known}.`;
}
