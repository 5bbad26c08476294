import { error } from '@sveltejs/kit';
import { stringify } from 'devalue';
import { sinceOf, snapshotOf } from '$lib/server/field';
import type { RequestHandler } from './$types';

/** The facts that a device takes along; with `since`, what came after the entry that its snapshot ends at. */
export const GET: RequestHandler = async ({ locals, url }) => {
  const since = Number(url.searchParams.get('since') ?? NaN);
  const found = Number.isSafeInteger(since) ? await sinceOf(locals, since) : await snapshotOf(locals);
  if (!found) error(404, 'No season was begun.');
  return new Response(stringify(found), { headers: { 'content-type': 'application/json' } });
};
