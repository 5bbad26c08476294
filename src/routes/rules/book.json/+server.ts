import { error } from '@sveltejs/kit';
import { rulebookSchema } from '#core/rules/book';
import { db } from '$lib/server/database';
import { rulebooks } from '$lib/server/repositories/rules';
import { currentLine } from '$lib/server/repositories/sets';
import type { RequestHandler } from './$types';

/** The rulebook in force as an open file, in the order that `docs/rulebook.md` describes. */
export const GET: RequestHandler = async ({ locals }) => {
  const line = await currentLine(db(), locals.who.crew);
  const own = (await rulebooks(db(), locals.who.crew)).find((b) => b.id === line?.book);
  if (!own) error(404, 'There is no rulebook in force.');
  return new Response(JSON.stringify(rulebookSchema.parse(own.book), null, 2), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="rulebook.json"',
      'cache-control': 'no-store',
    },
  });
};
