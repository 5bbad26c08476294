import { db } from '$lib/server/database';
import { everythingAbout } from '$lib/server/record/aboutPerson';
import type { RequestHandler } from './$types';

/** All that the record holds about the one who asks, as a file. */
export const GET: RequestHandler = async ({ locals }) => {
  const { crew, person } = locals.who;
  const all = await everythingAbout(db(), { crew, person: person.id });
  return new Response(`${JSON.stringify(all, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json',
      'content-disposition': 'attachment; filename="zaprud-about-me.json"',
      'cache-control': 'private, no-store',
    },
  });
};
