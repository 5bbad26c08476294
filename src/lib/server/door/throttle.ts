import { db } from '../database';
import { forgetTry, noteTry } from '../repositories/door';

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

/**
 * Begins a try. It stands as a miss from then on, before anything is looked at, so that of many at once no more than the others are answered.
 *
 * @returns what takes it back when it was right; null where there were too many: nothing is to be looked at
 */
export async function begins(trier: Trier, now: Date): Promise<(() => Promise<unknown>) | null> {
  const { id, login, address } = await noteTry(db(), { at: now, ...plain(trier) }, new Date(now.getTime() - WITHIN));
  const takeBack = () => forgetTry(db(), id);
  if (login <= MOST.login && address <= MOST.address) return takeBack;
  await takeBack();
  console.error('door: too many tries, nothing was looked at');
  return null;
}
