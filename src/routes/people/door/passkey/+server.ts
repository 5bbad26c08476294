import { error, json } from '@sveltejs/kit';
import { allowsPasskeys, answerSchema, askNew, keepNew } from '$lib/server/door/passkeys';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url, locals }) => {
  if (!allowsPasskeys(url)) error(403, 'A browser makes passkeys only over https.');
  return json(await askNew(locals.who, url, locals.now));
};

export const POST: RequestHandler = async ({ request, url, locals }) => {
  if (!request.headers.get('content-type')?.startsWith('application/json')) error(415, 'A passkey is sent as JSON.');
  const answer = answerSchema.safeParse(await request.json().catch(() => null));
  const isKept =
    answer.success && (await keepNew(locals.who, answer.data, url.searchParams.get('name') ?? '', url, locals.now).catch(() => false));
  if (!isKept) error(400, 'That is no passkey that was asked for here. Try again.');
  return json({ kept: true });
};
