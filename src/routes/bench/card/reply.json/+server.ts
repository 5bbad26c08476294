import { error } from '@sveltejs/kit';
import { CARD_VERSION, REPLY_FORMAT, replyFileSchema } from '#core/card/card';
import { wholeMinute } from '#core/time/localTime';
import { formIn } from '$lib/server/form';
import type { RequestHandler } from './$types';

/** What was answered to a friend's card, as a file that his program takes. */
export const POST: RequestHandler = async ({ request, locals }) => {
  const data = await formIn(request);
  const text = (name: string): string => {
    const value = data.get(name);
    return typeof value === 'string' ? value.trim() : '';
  };
  const reply = replyFileSchema.safeParse({
    format: REPLY_FORMAT,
    version: CARD_VERSION,
    set: text('set'),
    from: text('from') || locals.who.person.name,
    written: wholeMinute(locals.now).toISOString(),
    text: text('text'),
  });
  if (!reply.success) error(400, reply.error.issues[0]?.message ?? 'This reply cannot be saved.');
  return new Response(JSON.stringify(reply.data, null, 2), {
    headers: { 'content-type': 'application/json', 'content-disposition': 'attachment; filename="reply.json"' },
  });
};
