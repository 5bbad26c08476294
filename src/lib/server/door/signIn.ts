import { db } from '../database';
import { accountNamed, accountRecovered, endDevicesOf, putSignIn, type Account, type Owned } from '../repositories/door';
import { faultOf, isRight, keptAs } from './passphrase';
import { begins, TOO_OFTEN } from './throttle';
import { hashOf, newRecovery } from './tokens';

const WRONG = 'That name and passphrase do not go together. Nothing was changed.';

/** Whose a name with its passphrase is, or why nobody is let in; the answer is the same, and takes as long, whether or not the name is known. */
export async function signedIn(
  login: string,
  passphrase: string,
  address: string,
  now: Date,
): Promise<{ account: Account } | { sentence: string }> {
  const right = await begins({ login, address }, now);
  if (!right) return { sentence: TOO_OFTEN };
  const account = await accountNamed(db(), login);
  if (!(await isRight(account?.passphrase, passphrase)) || !account) return { sentence: WRONG };
  await right();
  return { account };
}

const NAME = /^[\p{L}\p{N}][\p{L}\p{N} ._@-]{1,59}$/u;

/** What is wrong with a name or a passphrase that somebody wants to sign in with, by field; empty where nothing is. */
export function faultsOf(login: string, passphrase: string): Record<string, string> {
  const fault = faultOf(passphrase, login);
  return {
    ...(NAME.test(login) ? {} : { login: 'A name to sign in with has 2 to 60 letters, digits, spaces or . _ @ -' }),
    ...(fault ? { passphrase: fault } : {}),
  };
}

/**
 * Keeps with what a person signs in. Every other device of his is ended, as whoever knew the old passphrase may sit at one.
 *
 * @returns the code with which he gets in when the passphrase is lost, to be printed: it is kept here as a hash alone
 * @throws what the record says where the name is another's (`login_once`)
 */
export async function keepSignIn(
  whose: Owned,
  login: string,
  passphrase: string,
  { now, device }: { now: Date; device?: string },
): Promise<string> {
  const recovery = newRecovery();
  const { crew_id, person_id, role } = whose;
  const kept = { crew_id, person_id, login, passphrase: await keptAs(passphrase), recovery: hashOf(recovery) };
  await db().transaction(async (trx) => {
    await putSignIn(trx, kept, role, now);
    await endDevicesOf(trx, crew_id, person_id, now, device);
  });
  return recovery;
}

/** Gives a name another passphrase by its printed code, which is used up with that. */
export async function recovered(
  { login, code, passphrase }: { login: string; code: string; passphrase: string },
  address: string,
  now: Date,
): Promise<{ account: Account; recovery: string } | { sentence: string }> {
  const right = await begins({ login, address }, now);
  if (!right) return { sentence: TOO_OFTEN };
  const account = await accountRecovered(db(), login, hashOf(code.trim().toUpperCase()));
  if (!account) return { sentence: 'That name and code do not go together. Nothing was changed.' };
  await right();
  const fault = faultsOf(account.login, passphrase).passphrase;
  if (fault) return { sentence: fault };
  return { account, recovery: await keepSignIn(account, account.login, passphrase, { now }) };
}
