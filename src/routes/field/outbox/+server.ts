import { error, json } from '@sveltejs/kit';
import { outboxSchema } from '#lib/field/sent';
import { takeForms } from '$lib/server/field';
import type { RequestHandler } from './$types';

/** Takes what a device kept while it was out of reach, and answers for each entry what became of it. */
export const POST: RequestHandler = async ({ locals, request }) => {
  if (!request.headers.get('content-type')?.startsWith('application/json')) error(415, 'An outbox is sent as JSON.');
  const sent = outboxSchema.safeParse(await request.json().catch(() => null));
  if (!sent.success) error(400, 'That is no outbox of a device.');
  return json({ now: locals.now.toISOString(), answers: await takeForms(locals, sent.data.forms, sent.data.version) });
};
