import type { Knex } from 'knex';
import type { Role } from '#core/door/roles';

export interface PairedDevice {
  id: string;
  name: string;
  person: string;
  person_id: string;
  paired_at: Date;
  seen_at: Date;
}

/** Whose somebody is at the door: a person of a crew, and what he may do. */
export interface Owned {
  crew_id: string;
  person_id: string;
  role: Role;
}

export interface Account extends Owned {
  login: string;
  passphrase: string;
}

/** A device is noted as seen no more often than this, ms. */
const SEEN_EVERY = 5 * 60_000;

export const keepCode = (db: Knex, code: { hash: string; crew_id: string; person_id: string; expires_at: Date }): Promise<unknown> =>
  db('pairing_code').insert(code);

export interface Try {
  at: Date;
  login: string;
  address: string;
}

/** Notes a try and counts those since a moment, itself among them: of many at once none counts before it is noted. */
export async function noteTry(db: Knex, tried: Try, since: Date): Promise<{ id: string; login: number; address: number }> {
  await db('door_miss').where('at', '<', since).delete();
  const [noted] = await db('door_miss').insert(tried).returning<{ id: string }[]>('id');
  const [found] = (await db('door_miss').select(
    db.raw('count(*) filter (where login = ?)::int as login', [tried.login]),
    db.raw('count(*) filter (where address = ?)::int as address', [tried.address]),
  )) as { login: number; address: number }[];
  if (!noted || !found) throw new Error('a try was not noted');
  return { ...noted, ...found };
}

export const forgetTry = (db: Knex, id: string): Promise<unknown> => db('door_miss').where({ id }).delete();

/** Notes that a device asked for what costs much. @returns how often it did this minute, this time too */
export async function noteUse(db: Knex, crew: string, device: string, now: Date): Promise<number> {
  const minute = new Date(Math.floor(now.getTime() / 60_000) * 60_000);
  await db('dear_use').where({ crew_id: crew, device_id: device }).where('minute', '<', minute).delete();
  const [row] = await db('dear_use')
    .insert({ crew_id: crew, device_id: device, minute, uses: 1 })
    .onConflict(['crew_id', 'device_id', 'minute'])
    .merge({ uses: db.raw('dear_use.uses + 1') })
    .returning<{ uses: number }[]>('uses');
  return row?.uses ?? 0;
}

/** Uses up a code: of two who send it at once one gets it. @returns whose it was; null when it is wrong, used or too old */
export async function useCode(db: Knex, hash: string, now: Date): Promise<{ crew_id: string; person_id: string } | null> {
  const [row]: { crew_id: string; person_id: string }[] = await db('pairing_code')
    .where({ hash, used_at: null })
    .where('expires_at', '>', now)
    .update({ used_at: now })
    .returning(['crew_id', 'person_id']);
  return row ?? null;
}

interface NewDevice {
  id: string;
  crew_id: string;
  person_id: string;
  name: string;
  token_hash: string;
  paired_at: Date;
  seen_at: Date;
  ends_at: Date;
  idle_days: number;
}
export const keepDevice = (db: Knex, device: NewDevice): Promise<unknown> => db('paired_device').insert(device);

/** Whose device a token is; null where it was never let in, was ended, or was not seen for too long. Who was given no role traps. */
export async function ownerOf(db: Knex, token_hash: string, now: Date): Promise<(Owned & { id: string }) | null> {
  const row: (Owned & { id: string; seen_at: Date }) | undefined = await db('paired_device as d')
    .leftJoin('account as a', { 'a.crew_id': 'd.crew_id', 'a.person_id': 'd.person_id' })
    .select('d.id', 'd.crew_id', 'd.person_id', 'd.seen_at', db.raw(`coalesce(a.role, 'trapper') as role`))
    .where({ token_hash, ended_at: null })
    .where('d.ends_at', '>', now)
    .whereRaw(`d.seen_at + d.idle_days * interval '1 day' > ?`, [now])
    .first();
  if (row && now.getTime() - row.seen_at.getTime() > SEEN_EVERY) await db('paired_device').where({ id: row.id }).update({ seen_at: now });
  return row ?? null;
}

/** The devices of a crew that were not ended, the last one seen first. */
export const pairedDevices = (db: Knex, crew: string): Promise<PairedDevice[]> =>
  db('paired_device as d')
    .select('d.id', 'd.name', 'p.name as person', 'd.person_id', 'd.paired_at', 'd.seen_at')
    .join('person as p', { 'p.id': 'd.person_id', 'p.crew_id': 'd.crew_id' })
    .where({ 'd.crew_id': crew, 'd.ended_at': null })
    .orderBy('d.seen_at', 'desc');

export const endDevice = (db: Knex, crew: string, id: string, at: Date): Promise<unknown> =>
  db('paired_device').where({ crew_id: crew, id, ended_at: null }).update({ ended_at: at });

/** Ends every device of a person but the one named. */
export const endDevicesOf = (db: Knex, crew: string, person: string, at: Date, but?: string): Promise<unknown> =>
  db('paired_device')
    .where({ crew_id: crew, person_id: person, ended_at: null })
    .modify((q) => (but ? q.whereNot({ id: but }) : q))
    .update({ ended_at: at });

/** The account of a name, upper and lower case alike. */
export const accountNamed = (db: Knex, login: string): Promise<Account | undefined> =>
  db('account').select('crew_id', 'person_id', 'role', 'login', 'passphrase').whereRaw('lower(login) = lower(?)', [login]).first();

export const accountRecovered = (db: Knex, login: string, recovery: string): Promise<Account | undefined> =>
  db('account')
    .select('crew_id', 'person_id', 'role', 'login', 'passphrase')
    .whereRaw('lower(login) = lower(?)', [login])
    .where({ recovery })
    .first();

/** What the people of a crew may do, and who of them signs in by name. */
export const accounts = (db: Knex, crew: string): Promise<{ person_id: string; role: Role; login: string | null }[]> =>
  db('account').select('person_id', 'role', 'login').where({ crew_id: crew });

export const putRole = (db: Knex, { crew_id, person_id, role }: Owned, made_at: Date): Promise<unknown> =>
  db('account').insert({ crew_id, person_id, role, made_at }).onConflict(['crew_id', 'person_id']).merge(['role']);

interface SignIn {
  crew_id: string;
  person_id: string;
  login: string;
  passphrase: string;
  recovery: string;
}
/** Keeps with what a person signs in, as hashes; what he may do stays as it is. */
export const putSignIn = (db: Knex, { crew_id, person_id, ...own }: SignIn, role: Role, made_at: Date): Promise<unknown> =>
  db('account')
    .insert({ crew_id, person_id, role, made_at, ...own })
    .onConflict(['crew_id', 'person_id'])
    .merge(['login', 'passphrase', 'recovery']);

export interface SharedWater {
  water: string;
  coordinates: boolean;
}
/** The waters that are shared with a person. */
export const sharedWith = (db: Knex, crew: string, person: string): Promise<SharedWater[]> =>
  db('shared_water').select('water_id as water', 'coordinates').where({ crew_id: crew, person_id: person });

/** Takes back what a person may: his devices are ended, nothing is shared with him, and he signs in no more. What he wrote stays. */
export async function removeAccount(db: Knex, crew: string, person: string, at: Date): Promise<void> {
  await db.transaction(async (trx) => {
    await endDevicesOf(trx, crew, person, at);
    await trx('pairing_code').where({ crew_id: crew, person_id: person }).delete();
    for (const table of ['shared_water', 'passkey', 'account']) await trx(table).where({ crew_id: crew, person_id: person }).delete();
  });
}

/** Shares these waters with a person, and no others. */
export async function shareWaters(db: Knex, crew: string, person: string, waters: readonly SharedWater[]): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('shared_water').where({ crew_id: crew, person_id: person }).delete();
    if (waters.length > 0)
      await trx('shared_water').insert(
        waters.map(({ water, coordinates }) => ({ crew_id: crew, person_id: person, water_id: water, coordinates })),
      );
  });
}
