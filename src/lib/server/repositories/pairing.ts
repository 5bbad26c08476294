import type { Knex } from 'knex';

export interface PairedDevice {
  id: string;
  name: string;
  person: string;
  paired_at: Date;
  seen_at: Date;
}

/** A device is noted as seen no more often than this, ms. */
const SEEN_EVERY = 5 * 60_000;

export const keepCode = (db: Knex, code: { hash: string; crew_id: string; person_id: string; expires_at: Date }): Promise<unknown> =>
  db('pairing_code').insert(code);

/** How often a code was wrong since a moment. */
export async function missesSince(db: Knex, since: Date): Promise<number> {
  await db('pairing_miss').where('at', '<', since).delete();
  const [found]: { n?: string | number }[] = await db('pairing_miss').count('* as n');
  return Number(found?.n ?? 0);
}

export const noteMiss = (db: Knex, at: Date): Promise<unknown> => db('pairing_miss').insert({ at });

/** Uses up a code: of two who send it at once one gets it. @returns whose it was; null when it is wrong, used or too old */
export async function useCode(db: Knex, hash: string, now: Date): Promise<{ crew_id: string; person_id: string } | null> {
  const [row]: { crew_id: string; person_id: string }[] = await db('pairing_code')
    .where({ hash, used_at: null })
    .where('expires_at', '>', now)
    .update({ used_at: now })
    .returning(['crew_id', 'person_id']);
  return row ?? null;
}

export const keepDevice = (
  db: Knex,
  device: { id: string; crew_id: string; person_id: string; name: string; token_hash: string; paired_at: Date; seen_at: Date },
): Promise<unknown> => db('paired_device').insert(device);

/** Whose device a token is; null where it was never paired, or was ended. */
export async function ownerOf(db: Knex, token_hash: string, now: Date): Promise<{ crew_id: string; person_id: string } | null> {
  const row: { id: string; crew_id: string; person_id: string; seen_at: Date } | undefined = await db('paired_device')
    .select('id', 'crew_id', 'person_id', 'seen_at')
    .where({ token_hash, ended_at: null })
    .first();
  if (row && now.getTime() - row.seen_at.getTime() > SEEN_EVERY) await db('paired_device').where({ id: row.id }).update({ seen_at: now });
  return row ?? null;
}

/** The devices of a crew that were not ended, the last one seen first. */
export const pairedDevices = (db: Knex, crew: string): Promise<PairedDevice[]> =>
  db('paired_device as d')
    .select('d.id', 'd.name', 'p.name as person', 'd.paired_at', 'd.seen_at')
    .join('person as p', 'p.id', 'd.person_id')
    .where({ 'd.crew_id': crew, 'd.ended_at': null })
    .orderBy('d.seen_at', 'desc');

export const endDevice = (db: Knex, crew: string, id: string, at: Date): Promise<unknown> =>
  db('paired_device').where({ crew_id: crew, id, ended_at: null }).update({ ended_at: at });
