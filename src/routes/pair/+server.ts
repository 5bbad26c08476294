import { redirect } from '@sveltejs/kit';
import { formIn } from '$lib/server/form';
import { pair } from '$lib/server/pairing';
import { escape, plainPage } from '$lib/server/plainPage';
import type { RequestHandler } from './$types';

const YEAR = 60 * 60 * 24 * 365;

const page = (status: number, sentence: string, code: string) =>
  plainPage(
    status,
    'Pair this device',
    sentence,
    `<form method="post" action="/pair"><p><label>Code<br><input name="code" value="${escape(code)}" autocomplete="off" autocapitalize="characters" required style="font:inherit;padding:.6rem;width:12em"></label></p><p><label>What this device is called<br><input name="name" value="Phone" maxlength="60" style="font:inherit;padding:.6rem;width:12em"></label></p><button>Pair it</button></form>`,
  );

/** What a device beyond this machine is shown until it is paired. */
export const GET: RequestHandler = ({ url }) =>
  page(
    200,
    'Only devices that were paired get an answer here. The code is shown at the machine itself, under People.',
    url.searchParams.get('code') ?? '',
  );

export const POST: RequestHandler = async ({ request, locals, cookies, url }) => {
  const form = await formIn(request);
  const typed = String(form.get('code') ?? '').slice(0, 40);
  const done = await pair(typed, String(form.get('name') ?? ''), locals.now);
  if ('sentence' in done) return page(403, done.sentence, typed);
  cookies.set('device', done.token, { path: '/', maxAge: YEAR, sameSite: 'strict', httpOnly: true, secure: url.protocol === 'https:' });
  redirect(303, '/field');
};
