import type { Cookies } from '@sveltejs/kit';
import { newId } from '#lib/form/newId';
import { db } from '../database';
import { keepDevice, ownerOf, type Owned } from '../repositories/door';
import { hashOf, newToken } from './tokens';

const DAY = 86_400_000;
/**
 * How long a device stays let in, days: in all, and without being here. A phone that was paired lies in a drawer from spring to fall; a browser
 * that somebody signed in at may be anybody's. [practice]
 */
const LASTS = { paired: { all: 400, idle: 240 }, signed: { all: 90, idle: 14 } };

const COOKIE = 'device';

/** Lets a device in for a person: it gets a token that is kept here as a hash alone. */
export async function begin({ crew_id, person_id }: Omit<Owned, 'role'>, name: string, { how, now, cookies, url }: Begun): Promise<void> {
  const { all, idle } = LASTS[how];
  const token = newToken();
  const called = name.trim().slice(0, 60) || 'A device';
  await keepDevice(db(), {
    ...{ id: newId(), crew_id, person_id, name: called, token_hash: hashOf(token) },
    ...{ paired_at: now, seen_at: now, ends_at: new Date(now.getTime() + all * DAY), idle_days: idle },
  });
  cookies.set(COOKIE, token, {
    path: '/',
    maxAge: (all * DAY) / 1000,
    sameSite: 'strict',
    httpOnly: true,
    secure: url.protocol === 'https:',
  });
}

interface Begun {
  how: keyof typeof LASTS;
  now: Date;
  cookies: Cookies;
  url: URL;
}

/** Whose a device is by its token; null where it was never let in, was ended, or is too old. */
export async function sessionOf(cookies: Cookies, now: Date): ReturnType<typeof ownerOf> {
  const token = cookies.get(COOKIE);
  return token ? ownerOf(db(), hashOf(token), now) : null;
}

export const forget = (cookies: Cookies): void => cookies.delete(COOKIE, { path: '/' });
