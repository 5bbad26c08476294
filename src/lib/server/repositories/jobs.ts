import type { Knex } from 'knex';

/** Long work of a crew, and how far it is. */
export interface Job {
  crew_id: string;
  id: string;
  person_id: string;
  asked_at: Date;
  state: 'waiting' | 'done' | 'failed';
  /** where the next step goes on; what is in it the work itself knows */
  step: Record<string, unknown>;
  steps_done: number;
  /** null until it is known */
  steps: number | null;
  bytes: number;
}

/** So often a step may fail or die before the work is given up: a server that is killed again and again is no fault of the work. */
const MOST_TRIES = 12;
/** So many copies of a crew lie ready; an older one goes as another is asked for. [practice] */
const MOST_KEPT = 3;

/** Asks for work, once however often the form is sent. */
export async function askFor(db: Knex, job: Pick<Job, 'crew_id' | 'id' | 'person_id' | 'asked_at'> & { ends_at: Date }): Promise<void> {
  await db('job')
    .insert({ ...job, kind: 'copy' })
    .onConflict(['crew_id', 'id'])
    .ignore();
  const { crew_id } = job;
  const newest = db('job').where({ crew_id }).orderBy('asked_at', 'desc').limit(MOST_KEPT).select('id');
  await db('job').where({ crew_id }).whereNotIn('id', newest).delete();
}

export const jobsOf = (db: Knex, crew: string): Promise<(Job & { name: string })[]> =>
  db('job')
    .join('person', (on) => on.on('person.crew_id', 'job.crew_id').andOn('person.id', 'job.person_id'))
    .where('job.crew_id', crew)
    .orderBy('asked_at', 'desc')
    .select('job.*', 'person.name');

/** Marks a try at the work that waited longest, so that what kills every server that takes it ends; what is over its time goes. */
export async function nextJob(db: Knex, now: Date): Promise<Pick<Job, 'crew_id' | 'id'> | null> {
  await db('job').where('ends_at', '<', now).delete();
  await db('job').where({ state: 'waiting' }).where('tried', '>=', MOST_TRIES).update({ state: 'failed' });
  const waits = db('job').where({ state: 'waiting' }).orderBy('asked_at').limit(1).select('crew_id', 'id').forUpdate().skipLocked();
  const [job]: Pick<Job, 'crew_id' | 'id'>[] = await db('job')
    .whereIn(['crew_id', 'id'], waits)
    .update({ tried: db.raw('tried + 1') })
    .returning(['crew_id', 'id']);
  return job ?? null;
}

/** Takes work for one transaction: nobody else does until that ends, however it ends. Null where somebody has it. */
export const takeJob = (trx: Knex, { crew_id, id }: Pick<Job, 'crew_id' | 'id'>): Promise<Job | undefined> =>
  trx('job').where({ crew_id, id, state: 'waiting' }).forUpdate().skipLocked().first();

/** A step that has to wait for somebody was no try. */
export const takeBackTry = (trx: Knex, { crew_id, id }: Job): Promise<unknown> =>
  trx('job')
    .where({ crew_id, id })
    .update({ tried: trx.raw('tried - 1') });

/** Keeps a step that was done, with the part that came of it. */
export async function keepStep(
  trx: Knex,
  { crew_id, id, steps_done, bytes }: Job,
  { step, steps, part, isDone }: { step: Record<string, unknown>; steps: number; part: Buffer; isDone: boolean },
): Promise<void> {
  await trx('job_part').insert({ crew_id, job_id: id, part: steps_done, bytes: part });
  await trx('job')
    .where({ crew_id, id })
    .update({
      ...{ step: JSON.stringify(step), steps, tried: 0, bytes: bytes + part.length, steps_done: steps_done + 1 },
      state: isDone ? 'done' : 'waiting',
    });
}

/** The parts of what came of it, one after the other. */
export async function* partsOf(db: Knex, { crew_id, id }: Pick<Job, 'crew_id' | 'id'>): AsyncGenerator<Buffer> {
  for (let part = 0; ; part += 1) {
    const row = (await db('job_part').where({ crew_id, job_id: id, part }).first('bytes')) as { bytes: Buffer } | undefined;
    if (!row) return;
    yield row.bytes;
  }
}
