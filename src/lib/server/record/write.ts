import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { carry, sorted } from '#core/record/carry';
import { faultsOf } from '#core/record/faults';
import { fold } from '#core/record/fold';
import { BODY_VERSION, KIND_WORDS, SCHEMAS, WITHDRAWABLE, type Body, type Kind } from '#core/record/kinds';
import type { NewEntry, Withdrawal } from '#core/record/entry';
import { whyNot, type Asked } from '#core/door/roles';
import { now } from '../clock';
import { whomNow } from '../database';
import { pastOf, type Entry } from '../repositories/entries';
import { apply } from './apply';
import { hold, touchedBy } from './locks';
import { Refusal, refusalOf, refusalOfIssues } from './refusal';

export type Written = 'written' | 'again';

const hashOf = (body: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(sorted(body)))
    .digest('hex');

/** A deadlock or a serialisation that failed: nothing was written, the same can be tried at once. */
const PASSING = new Set(['40P01', '40001']);
const TRIES = 4;

/**
 * Writes entries and the truth they leave behind, all or none, as one batch that can be taken back as one.
 *
 * @returns `again` when every one of them was already in the book with the same body
 * @throws Refusal in words when the record does not take one; `stale` when the thing was changed since the form was opened
 */
export async function record(db: Knex, ...entries: (NewEntry | Withdrawal)[]): Promise<Written> {
  for (let tried = 1; ; tried += 1) {
    try {
      return await db.transaction((trx) => writeAll(trx, entries));
    } catch (error) {
      if (tried < TRIES && PASSING.has((error as { code?: string }).code ?? '')) continue;
      throw refusalOf(error) ?? error;
    }
  }
}

async function writeAll(trx: Knex, entries: (NewEntry | Withdrawal)[]): Promise<Written> {
  const [first] = entries;
  if (!first) return 'again';
  const whom = whomNow();
  const not = whom && whyNot(whom.role, entries.map(askedBy(whom.person)));
  if (not) throw new Refusal({ form: not });
  const targets = await targetsOf(trx, first.crew, entries);
  const things = entries.flatMap((entry) => {
    if (!('withdraws' in entry)) return touchedBy(entry.kind, entry.body.id, entry.body);
    const target = targets.get(entry.withdraws);
    return target ? touchedBy(target.kind, target.subject, target.body) : [];
  });
  await hold(trx, first.crew, things);
  let written: Written = 'again';
  for (const entry of entries) {
    const one = 'withdraws' in entry ? await withdraw(trx, entry, first.id) : await write(trx, entry, entry.batch ?? first.id);
    if (one === 'written') written = one;
  }
  return written;
}

const askedBy =
  (person: string | undefined) =>
  (entry: NewEntry | Withdrawal): Asked =>
    'withdraws' in entry
      ? { kind: '', corrects: true }
      : { kind: entry.kind, corrects: Boolean(entry.corrects), own: person !== undefined && entry.body.id === person };

/** What is to be withdrawn: an entry never changes, so it can be read before anything is held. */
async function targetsOf(trx: Knex, crew: string, entries: (NewEntry | Withdrawal)[]): Promise<Map<string, Entry>> {
  const ids = entries.flatMap((entry) => ('withdraws' in entry ? [entry.withdraws] : []));
  if (ids.length === 0) return new Map();
  const rows: Entry[] = await trx('entry').where({ crew_id: crew }).whereIn('id', ids);
  return new Map(rows.map((row) => [row.id, row]));
}

async function write(trx: Knex, entry: NewEntry, batch: string): Promise<Written> {
  const { id, crew, kind, occurredAt, by, corrects = null, opened = null, reason = '' } = entry;
  const parsed = SCHEMAS[kind].safeParse(entry.body);
  if (!parsed.success) throw refusalOfIssues(parsed.error);
  const sent = parsed.data as Body<Kind>;
  const body_hash = hashOf([kind, corrects, false, sent]);
  if (await isThere(trx, id, crew, body_hash)) return 'again';
  const past = await pastOf(trx, crew, kind, sent.id);
  if (corrects) assertCorrectable(past, corrects, await trx('entry').where({ id: corrects, crew_id: crew }).first('id'));
  const before = fold(past) as Body<Kind> | null;
  const body = corrects ? sent : onTop(entry, sent, past, before);
  const row = { id, crew_id: crew, kind, subject: sent.id, occurred_at: occurredAt, by, corrects, reason, withdrawn: false, body, batch };
  const own = { ...row, opened: corrects || past.length === 0 ? null : (entry.onto ?? opened), version: BODY_VERSION };
  await insert(trx, own, body_hash);
  const checked = SCHEMAS[kind].safeParse(fold([...past, own]));
  if (!checked.success) throw refusalOfIssues(checked.error);
  const truth = checked.data as Body<Kind>;
  const faults = faultsOf(kind, truth, before);
  if (Object.keys(faults).length > 0) throw new Refusal(faults);
  await apply(trx, kind, sent.id, truth, { crew, entry: id });
  return 'written';
}

/** A whole body as it is kept: as sent when nobody wrote the thing since the form was opened, else the sender's own changes on top of the newer truth. */
function onTop({ kind, opened, onto }: NewEntry, sent: Body<Kind>, past: readonly Entry[], truth: Body<Kind> | null): Body<Kind> {
  const last = past.at(-1);
  if (!last || truth === null || opened === last.id) return sent;
  const then = past.findIndex((e) => e.id === opened);
  const was = then === -1 ? null : (fold(past.slice(0, then + 1)) as Body<Kind> | null);
  // what both changed stands as its sender wants it: he saw the newer one and sent his on top
  if (was !== null && onto === last.id) return carry(was, truth, sent) as Body<Kind>;
  throw new Refusal({ form: `This ${KIND_WORDS[kind].toLowerCase()} was changed since the page was opened.` }, 'stale', {
    kind,
    was: was ?? truth,
    is: truth,
    latest: last,
  });
}

async function withdraw(trx: Knex, { id, crew, withdraws, by, reason }: Withdrawal, batch: string): Promise<Written> {
  const target: Entry | undefined = await trx('entry').where({ id: withdraws, crew_id: crew }).first();
  if (!target) throw new Refusal({ corrects: 'There is no such entry to take back.' }, 'unknown');
  const { kind, subject } = target;
  const body_hash = hashOf([kind, withdraws, true, { id: subject }]);
  if (await isThere(trx, id, crew, body_hash)) return 'again';
  const past = await pastOf(trx, crew, kind, subject);
  const row = {
    id,
    crew_id: crew,
    kind,
    subject,
    occurred_at: target.occurred_at,
    by,
    corrects: withdraws,
    reason,
    withdrawn: true,
    body: { id: subject },
    batch,
    opened: null,
    version: BODY_VERSION,
  };
  const truth = fold([...past, row]) as Body<Kind> | null;
  if (truth === null && !WITHDRAWABLE.includes(kind))
    throw new Refusal({ corrects: `A ${KIND_WORDS[kind].toLowerCase()} is corrected, not withdrawn.` });
  await insert(trx, row, body_hash);
  await apply(trx, kind, subject, truth, { crew, entry: id });
  return 'written';
}

/** Whether an entry with that id and body is in the book already. */
async function isThere(trx: Knex, id: string, crew: string, body_hash: string): Promise<boolean> {
  const there: Entry | undefined = await trx('entry').where({ id, crew_id: crew }).first();
  if (!there) return false;
  if (there.body_hash === body_hash) return true;
  throw new Refusal({ form: 'Already saved with other values. Open it in the book to correct it.' }, 'differs');
}

type NewRow = Omit<Entry, 'seq' | 'recorded_at' | 'body_hash' | 'body'> & { body: unknown };

const insert = (trx: Knex, row: NewRow, body_hash: string): Promise<unknown> =>
  trx('entry').insert({ ...row, body: JSON.stringify(row.body), body_hash, recorded_at: now() });

function assertCorrectable(past: readonly Entry[], corrects: string, exists: unknown): void {
  const target = past.find((e) => e.id === corrects);
  if (!target && exists) throw new Refusal({ corrects: 'A correction speaks of the same thing as the entry it corrects.' });
  if (!target) throw new Refusal({ corrects: 'There is no such entry to correct.' }, 'unknown');
  if (target.withdrawn || past.some((e) => e.withdrawn && e.corrects === corrects))
    throw new Refusal({ corrects: 'This entry was withdrawn. Enter it anew.' });
}
