import { error } from '@sveltejs/kit';
import { cardOf } from '$lib/server/card';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params, url }) => {
  const card = await cardOf(params.set, (url.searchParams.get('asks') ?? '').trim().slice(0, 2000), locals);
  if (!card) error(404, 'There is no such set in this record.');
  return new Response(JSON.stringify(card, null, 2), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="card-${card.set.number}.json"`,
    },
  });
};
