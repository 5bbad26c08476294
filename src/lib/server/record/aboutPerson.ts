import type { Knex } from 'knex';
import { replay } from './replay';

/** In the place of a name that was erased. */
export const GONE = 'Someone who left';

/** The person of that name in the only crew that has one. @throws where there is none, or are several */
export async function personNamed(db: Knex, name: string): Promise<{ crew: string; person: string }> {
  const found: { crew_id: string; id: string }[] = await db('person').where({ name }).select('crew_id', 'id');
  const [only] = found;
  if (!only) throw new Error(`There is nobody called “${name}”.`);
  if (found.length > 1) throw new Error(`Several are called “${name}”: rename one of them first, under People.`);
  return { crew: only.crew_id, person: only.id };
}

/** All that the record holds about a person: as he is known, what he may do, his devices, every entry that tells of him, and which he wrote. */
export async function everythingAbout(db: Knex, { crew, person }: { crew: string; person: string }) {
  const own = { crew_id: crew, person_id: person };
  const [known, account, devices, passkeys, shared, told, written] = await Promise.all([
    db('person').where({ crew_id: crew, id: person }).first(),
    db('account').where(own).first('role', 'login', 'made_at'),
    db('paired_device').where(own).select('name', 'paired_at', 'seen_at', 'ended_at'),
    db('passkey').where(own).select('name', 'made_at'),
    db('shared_water').where(own).select('water_id', 'coordinates'),
    db('entry').where({ crew_id: crew, kind: 'person', subject: person }).orderBy('seq').select('id', 'occurred_at', 'body'),
    db('entry').where({ crew_id: crew, by: person }).orderBy('seq').select('id', 'kind', 'occurred_at', 'body'),
  ]);
  return { known, account: account ?? null, devices, passkeys, shared, told, written };
}

/**
 * Takes a person's name and measures out of every entry that told of him, and his key, devices and passkeys; what he checked and caught stays.
 * The digest of what was sent stays with an entry, so that a device that sends it again finds it there.
 *
 * @returns what else holds the name, by kind of entry: notes are for somebody to decide on
 */
export async function erase(db: Knex, { crew, person }: { crew: string; person: string }): Promise<{ kind: string; count: number }[]> {
  const { name } = (await db('person').where({ crew_id: crew, id: person }).first('name')) as { name: string };
  await db.transaction(async (trx) => {
    await trx.raw('alter table entry disable trigger entry_is_kept');
    await trx('entry')
      .where({ crew_id: crew, kind: 'person', subject: person, withdrawn: false })
      .update({ body: trx.raw(`body || ?::jsonb`, [JSON.stringify({ name: GONE, measures: {}, minutes: {} })]) });
    await trx.raw('alter table entry enable trigger entry_is_kept');
    for (const table of ['shared_water', 'passkey', 'account', 'pairing_code', 'paired_device'])
      await trx(table).where({ crew_id: crew, person_id: person }).delete();
    // copies that wait to be fetched hold the name too
    await trx('job').where({ crew_id: crew }).delete();
    await replay(trx);
  });
  const { rows } = await db.raw<{ rows: { kind: string; count: number }[] }>(
    `select kind, count(*)::int as count from entry where crew_id = ? and strpos(body::text, ?) > 0 group by kind order by kind`,
    [crew, name],
  );
  return rows;
}
