import { db } from '../database';
import { missesSince, noteMiss } from '../repositories/door';

/** So many misses within so long, under one name or from one address, and nothing is looked at until it is over. Kept in the record, for all servers. */
const WITHIN = 10 * 60_000;
const MOST = { login: 8, address: 24 };

export const TOO_OFTEN = 'Too many tries. Wait ten minutes, then try again.';

/** Who tries the door: the name it is tried under, `code` where it is a code, and the address. */
export interface Trier {
  login: string;
  address: string;
}

const plain = ({ login, address }: Trier): Trier => ({ login: login.toLowerCase().slice(0, 80), address });

export async function isTooOften(trier: Trier, now: Date): Promise<boolean> {
  const { login, address } = await missesSince(db(), new Date(now.getTime() - WITHIN), plain(trier));
  return login >= MOST.login || address >= MOST.address;
}

export const missed = (trier: Trier, at: Date): Promise<unknown> => noteMiss(db(), { at, ...plain(trier) });
