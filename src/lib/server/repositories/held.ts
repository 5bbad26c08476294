import type { Knex } from 'knex';
import type { Kind } from '#core/record/kinds';

/** An entry that the record could not take when a device sent it. */
export interface Held {
  id: string;
  batch: string;
  kind: Kind;
  body: Record<string, unknown> & { id: string };
  occurred_at: Date;
  by: string | null;
  opened: string | null;
  version: number;
  /** why it was not taken, as a sentence */
  reason: string;
  received_at: Date;
  decision: 'taken' | 'left' | null;
}

const COLUMNS = ['id', 'batch', 'kind', 'body', 'occurred_at', 'by', 'opened', 'version', 'reason', 'received_at', 'decision'];

/** What PostgreSQL keeps in no text, and half a character: shown as one that nobody could read. */
const UNKEPT = /\0|\p{Surrogate}/gu;
/** The same as JSON writes it. */
const UNKEPT_JSON = /(?<!\\)((?:\\\\)*)\\u(?:0000|d[89a-f][0-9a-f]{2})/gi;

/** Keeps an entry as it was sent; sent again nothing happens. */
export const holdEntry = (db: Knex, crew: string, { body, reason, ...held }: Omit<Held, 'decision'>): Promise<unknown> =>
  db('held_entry')
    .insert({
      ...held,
      reason: reason.replace(UNKEPT, '\ufffd'),
      body: JSON.stringify(body).replace(UNKEPT_JSON, '$1\ufffd'),
      crew_id: crew,
    })
    .onConflict(['crew_id', 'id'])
    .ignore();

/** What waits for somebody's decision, the oldest first. */
export const heldOpen = (db: Knex, crew: string): Promise<Held[]> =>
  db('held_entry').select(COLUMNS).where({ crew_id: crew, decided_at: null }).orderBy('received_at');

/** Held entries out of some ids, decided ones with them. */
export const heldAmong = (db: Knex, crew: string, ids: readonly string[]): Promise<Held[]> =>
  db('held_entry')
    .select(COLUMNS)
    .where({ crew_id: crew })
    .whereIn('id', [...ids]);

/** Notes what was decided of a held entry; nothing happens where somebody decided before. */
export const decideHeld = (
  db: Knex,
  crew: string,
  { id, decision, at, by }: { id: string; decision: 'taken' | 'left'; at: Date; by: string },
): Promise<unknown> => db('held_entry').where({ crew_id: crew, id, decided_at: null }).update({ decision, decided_at: at, decided_by: by });
