import type { RequestEvent } from '@sveltejs/kit';
import { db, isAway, replica } from './database';

/** Rooms that only read, and may read long: the book with its totals, and files that go out. */
const READ_ALONG = ['/book', '/waters/export'];

/** Whether a request is one that a copy which follows the record may answer. */
export const isReadAlong = ({ request, route }: Pick<RequestEvent, 'request' | 'route'>): boolean =>
  request.method === 'GET' && READ_ALONG.some((room) => route.id === room || route.id?.startsWith(`${room}/`));

/** How long a page waits for the replica to hold what was written before it was asked, ms; then the record itself answers. */
const PATIENCE = 250;
const STEP = 5;
/** How long a replica that was away is not asked again, ms. */
const REST = 10_000;
let restsUntil = 0;

/** A replica that did not answer is let alone for a while. */
export const letReplicaRest = (): void => void (restsUntil = performance.now() + REST);

/** Whether the replica holds everything that was written before now, by anybody. Two rooms give one answer, whichever of the two is asked. */
export async function replicaHolds(): Promise<boolean> {
  const following = replica();
  if (!following || performance.now() < restsUntil) return false;
  try {
    const { rows } = await db().raw<{ rows: { written: string }[] }>('select pg_current_wal_flush_lsn()::text as written');
    const until = performance.now() + PATIENCE;
    for (;;) {
      const held = await following.raw<{ rows: { holds: boolean | null }[] }>('select pg_last_wal_replay_lsn() >= ?::pg_lsn as holds', [
        rows[0]?.written ?? null,
      ]);
      if (held.rows[0]?.holds) return true;
      if (performance.now() > until) return false;
      await new Promise((wait) => setTimeout(wait, STEP));
    }
  } catch (error) {
    if (!isAway(error)) throw error;
    letReplicaRest();
    return false;
  }
}
