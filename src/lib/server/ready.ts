import { db, isAway } from './database';

/** The newest step of shape that this build was made with, put in by the bundler. */
declare const __NEWEST_STEP__: string;

const answer = (status: number, says: string): Response =>
  new Response(`${says}\n`, { status, headers: { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' } });

/**
 * What a machine that watches this one asks: `/health`, whether the process answers; `/ready`, whether the record does, in the shape that this
 * program was made for. Neither says anything of what is in it. Null for every other address.
 */
export async function probe(path: string): Promise<Response | null> {
  if (path === '/health') return answer(200, 'ok');
  if (path !== '/ready') return null;
  try {
    const last = (await db()('knex_migrations').orderBy('id', 'desc').first('name')) as { name: string } | undefined;
    if (last?.name === __NEWEST_STEP__) return answer(200, 'ready');
    return answer(503, `the record is at ${last?.name ?? 'no step'}, this program is made for ${__NEWEST_STEP__}`);
  } catch (error) {
    const isEmpty = (error as { code?: string }).code === '42P01';
    if (!isAway(error) && !isEmpty) throw error;
    return answer(503, isEmpty ? 'there is no record in the database yet' : 'the database does not answer');
  }
}
