import type { Device, Stock } from '../record/kinds';

/** A trap of the shed with the set in which it stands now. */
export interface DeviceWhere extends Device {
  entry: string;
  set: { id: string; number: number; name: string } | null;
}

/** Stock with how much of it there is. */
export interface StockHad extends Stock {
  entry: string;
  /** what is there now, in its own unit */
  have: number;
  /** what went into sets since a time, in its own unit */
  used: number;
}
