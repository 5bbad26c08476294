import { redirect } from '@sveltejs/kit';
import { formIn } from '$lib/server/form';
import { addressOf } from '$lib/server/door/caller';
import { ownerOfCode } from '$lib/server/door/codes';
import { begin } from '$lib/server/door/session';
import { begins, TOO_OFTEN } from '$lib/server/door/throttle';
import { field } from '$lib/server/door/field';
import { plainPage } from '$lib/server/plainPage';
import type { RequestHandler } from './$types';

const page = (status: number, sentence: string, code: string) =>
  plainPage(
    status,
    'Pair this device',
    sentence,
    `<form method="post" action="/pair">${field('Code', 'code', { value: code, autocomplete: 'off', autocapitalize: 'characters' })}${field('What this device is called', 'name', { value: 'Phone', maxlength: '60' })}<button>Pair it</button></form><p><a href="/signin">Sign in with a name instead</a></p>`,
  );

/** What a device is shown that was sent a code or a link. */
export const GET: RequestHandler = ({ url }) =>
  page(
    200,
    'A code is shown at the machine itself, under People, or comes as a link from whose crew it is. It works once.',
    url.searchParams.get('code')?.slice(0, 60) ?? '',
  );

export const POST: RequestHandler = async (event) => {
  const { request, locals, cookies, url } = event;
  const form = await formIn(request);
  const typed = String(form.get('code') ?? '').slice(0, 60);
  const address = addressOf(event);
  const right = await begins({ login: `code ${address}`, address }, locals.now);
  if (!right) return page(403, TOO_OFTEN, typed);
  const owner = await ownerOfCode(typed, locals.now);
  if (!owner) return page(403, 'That code is wrong, was used, or is too old. Have a new one shown at the machine, under People.', typed);
  await right();
  await begin(owner, String(form.get('name') ?? ''), { how: 'paired', now: locals.now, cookies, url });
  redirect(303, '/');
};
