import { toString as drawn } from 'qrcode';
import { db } from '../database';
import { keepCode, useCode } from '../repositories/door';
import { hashOf, randomSigns } from './tokens';

const CODE_LENGTH = 8;
/** A link that is sent is not typed: it can be longer, and lasts. */
const LINK_LENGTH = 24;
const MINUTE = 60_000;
/** How long a code can be used, ms: shown at the machine, or sent as a link. [practice] */
const LASTS = { code: 10 * MINUTE, link: 7 * 24 * 60 * MINUTE };

/** A code as it was shown, however it was typed. */
const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');

export interface Shown {
  /** in groups of four */
  code: string;
  /** where a device opens it, address and code in one; empty where the program listens on this machine alone */
  links: { address: string; qr: string; link: string }[];
}

/** A code that nobody guesses, with what is kept of it. */
export function newCode(how: 'code' | 'link', now: Date): { code: string; hash: string; expires_at: Date } {
  const code = randomSigns(how === 'code' ? CODE_LENGTH : LINK_LENGTH);
  return { code, hash: hashOf(code), expires_at: new Date(now.getTime() + LASTS[how]) };
}

/**
 * A code for one device of a person, once; shown here and kept nowhere as it is.
 *
 * @param how `code` to be typed within minutes, `link` to be sent
 * @param own the address at which it is asked, where that is reached from elsewhere
 */
export async function makeCode(
  { crew, now }: { crew: string; now: Date },
  person: string,
  how: 'code' | 'link',
  own: string | null,
): Promise<Shown> {
  const { code, hash, expires_at } = newCode(how, now);
  await keepCode(db(), { hash, crew_id: crew, person_id: person, expires_at });
  const links = await Promise.all(
    (own ? [own] : addresses()).map(async (address) => {
      const link = `${address}/pair?code=${code}`;
      return { address, link, qr: await drawn(link, { type: 'svg', margin: 2 }) };
    }),
  );
  return { code: code.replace(/(.{4})(?=.)/g, '$1 '), links };
}

/** Where this machine is reached on its own network; none while it listens for itself alone. */
export const addresses = (): string[] => (process.env.ZAPRUD_ADDRESSES ?? '').split(',').filter(Boolean);

/** Whose a code is, which is used up with that; null where it is wrong, was used or is too old. */
export const ownerOfCode = (typed: string, now: Date): ReturnType<typeof useCode> => useCode(db(), hashOf(plainCode(typed)), now);
