import type { Knex } from 'knex';

export interface Passkey {
  crew_id: string;
  person_id: string;
  id: string;
  public_key: Buffer;
  counter: number;
}

export const keepPasskey = (db: Knex, key: Passkey & { name: string; made_at: Date }): Promise<unknown> => db('passkey').insert(key);

export const passkeyOf = (db: Knex, id: string): Promise<Passkey | undefined> =>
  db('passkey').select('crew_id', 'person_id', 'id', 'public_key', 'counter').where({ id }).first();

export const passkeysOf = (db: Knex, crew: string, person: string): Promise<{ id: string; name: string; made_at: Date }[]> =>
  db('passkey').select('id', 'name', 'made_at').where({ crew_id: crew, person_id: person }).orderBy('made_at');

export const usedPasskey = (db: Knex, id: string, counter: number): Promise<unknown> => db('passkey').where({ id }).update({ counter });

export const removePasskey = (db: Knex, crew: string, person: string, id: string): Promise<number> =>
  db('passkey').where({ crew_id: crew, person_id: person, id }).delete();

/** Keeps a challenge; those that nobody answered in time are forgotten. */
export async function keepChallenge(db: Knex, challenge: string, now: Date, expires_at: Date): Promise<void> {
  await db('door_challenge').where('expires_at', '<', now).delete();
  await db('door_challenge').insert({ challenge, expires_at });
}

/** Uses up a challenge: true once, in time. */
export const useChallenge = async (db: Knex, challenge: string, now: Date): Promise<boolean> =>
  (await db('door_challenge').where({ challenge }).where('expires_at', '>', now).delete()) > 0;
