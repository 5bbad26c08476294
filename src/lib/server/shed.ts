import type { Shed } from '#core/gear/carry';
import type { DeviceWhere, StockHad } from '#core/gear/where';

/** What a device is called on a cut list. */
export const listed = ({ class: kind, size }: Pick<DeviceWhere, 'class' | 'size'>): string =>
  kind === 'bodyGrip'
    ? `body-grip ${size}`
    : kind === 'foothold'
      ? `foothold No. ${size}`
      : kind === 'snare'
        ? `snare ${size}`
        : 'enclosed foothold';

/** The shed as a cut list asks for it: free devices by name, stock by name. */
export function shedHas(devices: DeviceWhere[], stock: StockHad[]): Shed {
  const free: Record<string, number> = {};
  for (const device of devices) {
    if (device.set || device.condition === 'lost' || device.condition === 'broken') continue;
    const name = listed(device);
    free[name] = (free[name] ?? 0) + 1;
  }
  return {
    devices: free,
    stock: Object.fromEntries(stock.map((s) => [s.name.toLowerCase(), s.have])),
    jars: Object.fromEntries(stock.map(({ id, name, have }) => [id, { name, have }])),
  };
}
