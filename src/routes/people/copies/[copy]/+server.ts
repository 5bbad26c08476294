import { Readable } from 'node:stream';
import { error } from '@sveltejs/kit';
import { db, inCrew } from '$lib/server/database';
import { jobsOf, partsOf } from '$lib/server/repositories/jobs';
import type { RequestHandler } from './$types';

/** A copy that lies ready, as the file that `./restore` takes in. */
export const GET: RequestHandler = async ({ locals, params }) => {
  const { crew } = locals.who;
  const job = locals.role === 'owner' ? (await jobsOf(db(), crew)).find((j) => j.id === params.copy && j.state === 'done') : undefined;
  if (!job) error(404, 'There is no such copy: it was let go, or is not ready yet.');
  const name = `zaprud-${job.asked_at.toISOString().slice(0, 10)}.gz`;
  // the parts are read while the answer goes out, after this function has ended
  const parts = partsOf(db(), job);
  const next = (): Promise<IteratorResult<Buffer>> => inCrew({ crew, role: locals.role }, () => parts.next());
  const body = Readable.toWeb(Readable.from({ [Symbol.asyncIterator]: () => ({ next }) })) as ReadableStream;
  return new Response(body, {
    headers: {
      'content-type': 'application/gzip',
      'content-disposition': `attachment; filename="${name}"`,
      'content-length': String(job.bytes),
      'cache-control': 'private, no-store',
    },
  });
};
