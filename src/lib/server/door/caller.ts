import type { RequestEvent } from '@sveltejs/kit';
import type { Role } from '#core/door/roles';
import { db } from '../database';
import { crews } from '../repositories/places';
import { sessionOf } from './session';

/** Who asks, before anything is answered. */
export interface Caller {
  /** this machine itself, a device that was let in, or nobody known */
  from: 'here' | 'device' | 'nowhere';
  crew: string;
  role: Role;
  /** whom its device was let in for, and which device */
  person?: string;
  device?: string;
}

const LOOPBACK = /^(::1|(::ffff:)?127(\.\d{1,3}){3})$/;
const OWN_NAME = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/** Whether everybody signs in: a machine that other servers hand on to cannot tell who is near. */
const isClosed = (): boolean => process.env.ZAPRUD_DOOR === 'closed' || (process.env.ZAPRUD_HOSTS ?? '') !== '';

/** Whether a request comes from this machine itself, asked by its own name. What something handed on is from elsewhere. */
export function isHere(address: string, headers: Headers): boolean {
  const isHandedOn = headers.has('x-forwarded-for') || headers.has('forwarded') || headers.has('x-forwarded-host');
  return !isClosed() && LOOPBACK.test(address) && !isHandedOn && OWN_NAME.test(headers.get('host') ?? '');
}

/** From where a request came, as far as the last server that handed it on knows. */
export function addressOf(event: Pick<RequestEvent, 'getClientAddress' | 'request'>): string {
  const address = event.getClientAddress();
  const last = event.request.headers.get('x-forwarded-for')?.split(',').at(-1)?.trim();
  return LOOPBACK.test(address) && last ? last.slice(0, 64) : address;
}

/**
 * Who asks. At the machine itself, with one crew, nobody signs in; from elsewhere, or where several crews share a record, a device was let in
 * before. To be asked at the door.
 */
export async function callerOf(event: RequestEvent, now: Date): Promise<Caller> {
  const session = await sessionOf(event.cookies, now);
  if (!isHere(event.getClientAddress(), event.request.headers)) return session ? asDevice(session) : NOBODY;
  const [first, second] = await crews(db());
  if (!second) return { from: 'here', crew: first ?? '', role: 'owner' };
  return session ? asDevice(session) : NOBODY;
}

const NOBODY: Caller = { from: 'nowhere', crew: '', role: 'reader' };

type Session = NonNullable<Awaited<ReturnType<typeof sessionOf>>>;
const asDevice = ({ crew_id, person_id, role, id }: Session): Caller => ({
  from: 'device',
  crew: crew_id,
  role,
  person: person_id,
  device: id,
});
