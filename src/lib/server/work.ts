import type { Knex } from 'knex';
import { now } from './clock';
import { atDoor, db, isAway, standInside } from './database';
import { nextJob, takeBackTry, takeJob } from './repositories/jobs';
import { copyStep } from './record/copyInSteps';

/** How often a server looks whether somebody asked another one for long work, ms. */
const LOOKS_EVERY = 5000;
/** How long it waits where a step cannot be done yet, ms. */
const PAUSE = 200;

/**
 * Does one step of the work that waited longest, in one transaction: a server that dies in the middle leaves the step undone, and the next one
 * that looks takes it.
 *
 * @returns `later` where a step has to wait for somebody
 */
export async function workOnce(db: Knex, at: Date): Promise<'done' | 'later' | 'nothing'> {
  return atDoor(async () => {
    const next = await nextJob(db, at);
    if (!next) return 'nothing';
    return db.transaction(async (trx) => {
      const job = await takeJob(trx, next);
      if (!job) return 'later';
      await standInside(trx, job.crew_id);
      if (await copyStep(trx, job)) return 'done';
      await takeBackTry(trx, job);
      return 'later';
    });
  });
}

let isWorking = false;

/** Does what waits until nothing does; one at a time in a process. */
export async function work(): Promise<void> {
  if (isWorking) return;
  isWorking = true;
  try {
    for (;;) {
      const did = await workOnce(db(), now());
      if (did === 'nothing') return;
      if (did === 'later') await new Promise((wait) => setTimeout(wait, PAUSE));
    }
  } catch (error) {
    // a record that is away, or not there yet, is looked for again
    if (!isAway(error) && (error as { code?: string }).code !== '42P01')
      console.error(`long work: ${(error as Error).message.split('\n')[0]}`);
  } finally {
    isWorking = false;
  }
}

/** Looks for long work from now on, as long as the process lives. */
export const startWork = (): void => void setInterval(() => void work(), LOOKS_EVERY).unref();
