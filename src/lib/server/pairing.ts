import { createHash, randomBytes, randomInt } from 'node:crypto';
import { toString as drawn } from 'qrcode';
import { newId } from '#lib/form/newId';
import { db } from './database';
import { keepCode, keepDevice, missesSince, noteMiss, ownerOf, useCode } from './repositories/pairing';

/** Letters and digits that nobody takes for one another. */
const SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 8;
/** How long a code can be used, ms. */
const CODE_LASTS = 10 * 60_000;
/** So many wrong codes within so long, from wherever they come, and none is looked at until it is over. */
const MISSES = 8;
const MISSED_WITHIN = 10 * 60_000;

const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex');
/** A code as it was shown, however it was typed. */
const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');

export interface Shown {
  /** in two halves */
  code: string;
  /** where a device opens it, address and code in one; empty where the program listens on this machine alone */
  links: { address: string; qr: string }[];
}

/** A code for one device of a person, once; shown here and kept nowhere as it is. */
export async function makeCode({ who, now }: App.Locals, person: string): Promise<Shown> {
  const code = Array.from({ length: CODE_LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
  await keepCode(db(), {
    hash: hashOf(code),
    crew_id: who.crew,
    person_id: person,
    expires_at: new Date(now.getTime() + CODE_LASTS),
  });
  const links = await Promise.all(
    addresses().map(async (address) => ({ address, qr: await drawn(`${address}/pair?code=${code}`, { type: 'svg', margin: 2 }) })),
  );
  return { code: `${code.slice(0, 4)} ${code.slice(4)}`, links };
}

/** Where this machine is reached on its own network; none while it listens for itself alone. */
export const addresses = (): string[] => (process.env.ZAPRUD_ADDRESSES ?? '').split(',').filter(Boolean);

/** Pairs a device. @returns its token, to be kept by it alone; a sentence where nothing was paired */
export async function pair(typed: string, name: string, now: Date): Promise<{ token: string } | { sentence: string }> {
  if ((await missesSince(db(), new Date(now.getTime() - MISSED_WITHIN))) >= MISSES)
    return { sentence: 'Too many wrong codes. Wait ten minutes, and have a new code shown.' };
  const owner = await useCode(db(), hashOf(plainCode(typed)), now);
  if (!owner) {
    await noteMiss(db(), now);
    return { sentence: 'That code is wrong, was used, or is older than ten minutes. Have a new one shown at the machine, under People.' };
  }
  const token = randomBytes(32).toString('base64url');
  const called = name.trim().slice(0, 60) || 'A device';
  await keepDevice(db(), { id: newId(), ...owner, name: called, token_hash: hashOf(token), paired_at: now, seen_at: now });
  return { token };
}

/** Whose device a token is; null where it was never paired, or was ended. */
export const owns = async (token: string | undefined, now: Date): Promise<{ crew_id: string; person_id: string } | null> =>
  token ? ownerOf(db(), hashOf(token), now) : null;

/** Whether a request comes from this machine itself. What something handed on is from elsewhere. */
export function isNear(address: string, headers: Headers): boolean {
  const isLoopback = /^(::1|(::ffff:)?127(\.\d{1,3}){3})$/.test(address);
  return isLoopback && !headers.has('x-forwarded-for') && !headers.has('forwarded');
}
