import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { carry, sorted } from '#core/record/carry';
import { KIND_WORDS, SCHEMAS, WITHDRAWABLE, type Body, type Draft, type Kind } from '#core/record/kinds';
import { now } from '../clock';
import type { Entry } from '../repositories/entries';
import { apply } from './apply';
import { Refusal, refusalOf, refusalOfIssues } from './refusal';

/** An entry as it is handed in. Its id is made by whoever writes it, so that a thing sent twice is one thing. */
export interface NewEntry<K extends Kind = Kind> {
  id: string;
  crew: string;
  kind: K;
  occurredAt: Date;
  by: string | null;
  body: K extends Kind ? Draft<K> : never;
  corrects?: string;
  reason?: string;
}

export interface Withdrawal {
  id: string;
  crew: string;
  withdraws: string;
  by: string | null;
  reason: string;
}

export type Written = 'written' | 'again';

const hashOf = (body: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(sorted(body)))
    .digest('hex');

/**
 * Writes entries and the truth they leave behind, all or none.
 *
 * @returns `again` when every one of them was already in the book with the same body
 * @throws Refusal in words when the record does not take one
 */
export async function record(db: Knex, ...entries: (NewEntry | Withdrawal)[]): Promise<Written> {
  try {
    return await db.transaction(async (trx) => {
      let written: Written = 'again';
      for (const entry of entries) {
        const one = 'withdraws' in entry ? await withdraw(trx, entry) : await write(trx, entry);
        if (one === 'written') written = one;
      }
      return written;
    });
  } catch (error) {
    throw refusalOf(error) ?? error;
  }
}

async function write(trx: Knex, entry: NewEntry): Promise<Written> {
  const parsed = SCHEMAS[entry.kind].safeParse(entry.body);
  if (!parsed.success) throw refusalOfIssues(parsed.error);
  const body = parsed.data as Body<Kind>;
  if (entry.corrects) await assertCorrectable(trx, entry.crew, entry.corrects, entry.kind, body.id);
  const inserted = await insert(trx, {
    id: entry.id,
    crew_id: entry.crew,
    kind: entry.kind,
    subject: body.id,
    occurred_at: entry.occurredAt,
    by: entry.by,
    corrects: entry.corrects ?? null,
    reason: entry.reason ?? '',
    withdrawn: false,
    body,
  });
  if (!inserted) return 'again';
  const truth = entry.corrects ? await truthOf(trx, entry.crew, entry.kind, body.id) : body;
  const checked = SCHEMAS[entry.kind].safeParse(truth);
  if (!checked.success) throw refusalOfIssues(checked.error);
  await apply(trx, entry.kind, body.id, checked.data as Body<Kind>, { crew: entry.crew, entry: entry.id });
  return 'written';
}

async function withdraw(trx: Knex, { id, crew, withdraws, by, reason }: Withdrawal): Promise<Written> {
  const target: Entry | undefined = await trx('entry').where({ id: withdraws, crew_id: crew }).first();
  if (!target) throw new Refusal({ corrects: 'There is no such entry to withdraw.' }, 'unknown');
  if (!WITHDRAWABLE.includes(target.kind))
    throw new Refusal({ corrects: `A ${KIND_WORDS[target.kind].toLowerCase()} is corrected, not withdrawn.` });
  const inserted = await insert(trx, {
    id,
    crew_id: crew,
    kind: target.kind,
    subject: target.subject,
    occurred_at: target.occurred_at,
    by,
    corrects: withdraws,
    reason,
    withdrawn: true,
    body: { id: target.subject },
  });
  if (!inserted) return 'again';
  await apply(trx, target.kind, target.subject, null, { crew, entry: id });
  return 'written';
}

async function insert(trx: Knex, row: Omit<Entry, 'seq' | 'recorded_at' | 'body_hash' | 'body'> & { body: unknown }): Promise<boolean> {
  const body_hash = hashOf([row.kind, row.corrects, row.withdrawn, row.body]);
  const done = await trx('entry')
    .insert({ ...row, body: JSON.stringify(row.body), body_hash, recorded_at: now() })
    .onConflict('id')
    .ignore()
    .returning('id');
  if (done.length > 0) return true;
  const there: Entry | undefined = await trx('entry').where({ id: row.id }).first();
  if (there?.crew_id !== row.crew_id) throw new Refusal({ id: 'This entry belongs to another crew.' }, 'foreign');
  if (there.body_hash === body_hash) return false;
  throw new Refusal(
    { form: 'This was sent before with other values, and the first is in the book. Open it there and correct it.' },
    'differs',
  );
}

async function assertCorrectable(trx: Knex, crew: string, corrects: string, kind: Kind, subject: string): Promise<void> {
  const target: Entry | undefined = await trx('entry').where({ id: corrects, crew_id: crew }).first();
  if (!target) throw new Refusal({ corrects: 'There is no such entry to correct.' }, 'unknown');
  if (target.kind !== kind || target.subject !== subject)
    throw new Refusal({ corrects: 'A correction speaks of the same thing as the entry it corrects.' });
  if (target.withdrawn) throw new Refusal({ corrects: 'This entry was withdrawn. Enter it anew.' });
}

async function truthOf(trx: Knex, crew: string, kind: Kind, subject: string): Promise<unknown> {
  const entries: Entry[] = await trx('entry').where({ crew_id: crew, kind, subject }).orderBy('seq');
  return fold(entries);
}

/** The truth that a subject's entries leave behind, oldest first; null when it was withdrawn. */
export function fold(entries: Pick<Entry, 'id' | 'corrects' | 'withdrawn' | 'body'>[]): unknown {
  let truth: unknown = null;
  for (const entry of entries) {
    const base = entries.find((e) => e.id === entry.corrects);
    if (entry.withdrawn) truth = null;
    else truth = base && truth !== null ? carry(base.body, entry.body, truth) : entry.body;
  }
  return truth;
}
