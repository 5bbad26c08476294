import { json } from '@sveltejs/kit';
import { addressOf } from '$lib/server/door/caller';
import { allowsPasskeys, answerSchema, askKnown, ownerOfAnswer } from '$lib/server/door/passkeys';
import { begin } from '$lib/server/door/session';
import { begins, TOO_OFTEN } from '$lib/server/door/throttle';
import type { RequestHandler } from './$types';

const refused = (message: string) => json({ message }, { status: 403 });

/** What a browser is asked for; and, with its answer, the way in. */
export const GET: RequestHandler = async ({ url, locals }) =>
  allowsPasskeys(url) ? json(await askKnown(url, locals.now)) : refused('A browser has passkeys only over https.');

export const POST: RequestHandler = async (event) => {
  const { request, url, locals, cookies } = event;
  const address = addressOf(event);
  const right = await begins({ login: `passkey ${address}`, address }, locals.now);
  if (!right) return refused(TOO_OFTEN);
  const answer = answerSchema.safeParse(await request.json().catch(() => null));
  const owner = answer.success ? await ownerOfAnswer(answer.data, url, locals.now).catch(() => null) : null;
  if (!owner) return refused('That passkey is none of this place.');
  await right();
  await begin(owner, 'Browser with a passkey', { how: 'signed', now: locals.now, cookies, url });
  return json({ to: '/' });
};
