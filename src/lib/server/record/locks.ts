import type { Knex } from 'knex';
import type { Kind } from '#core/record/kinds';

/** What else a body of a kind changes besides its own thing: two of them must not be written beside each other. */
const BESIDE: Partial<Record<Kind, (body: Record<string, unknown>) => unknown[]>> = {
  set: (body) => (body.stays as { device: string }[] | undefined)?.map((stay) => stay.device) ?? [],
  check: (body) => [body.set],
  stockMove: (body) => [body.stock],
  opening: (body) => [body.water],
};

/** The things that an entry writes or judges. */
export const touchedBy = (kind: Kind, subject: string, body: Record<string, unknown>): string[] => [
  subject,
  ...(BESIDE[kind]?.(body) ?? []).filter((id): id is string => typeof id === 'string'),
];

/**
 * Holds things until the end of the transaction, for every server of this database. All are taken in one order, so that two writers
 * wait for each other and never in a circle; what is read after this call is what the writer before left behind.
 */
export async function hold(trx: Knex, crew: string, things: readonly string[]): Promise<void> {
  await trx.raw(
    `select pg_advisory_xact_lock(key) from (select distinct hashtextextended(?::text || thing, 0) as key from unnest(?::text[]) as thing order by 1) as ordered`,
    [crew, [...things]],
  );
}

/**
 * Does a piece of work that only one process may do at a time, whichever server it is of.
 *
 * @returns null where another is at it
 */
export const alone = <T>(db: Knex, what: string, work: () => Promise<T>): Promise<{ done: T } | null> =>
  db.transaction(async (guard) => {
    const { rows } = await guard.raw<{ rows: { got: boolean }[] }>('select pg_try_advisory_xact_lock(hashtextextended(?, 1)) as got', [
      what,
    ]);
    return rows[0]?.got ? { done: await work() } : null;
  });
