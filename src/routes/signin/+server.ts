import { redirect } from '@sveltejs/kit';
import { formIn } from '$lib/server/form';
import { addressOf } from '$lib/server/door/caller';
import { field } from '$lib/server/door/field';
import { begin } from '$lib/server/door/session';
import { signedIn } from '$lib/server/door/signIn';
import { plainPage } from '$lib/server/plainPage';
import type { RequestHandler } from './$types';

const page = (status: number, sentence: string, login: string) =>
  plainPage(
    status,
    'Sign in',
    sentence,
    `<form method="post" action="/signin">${field('Name', 'login', { value: login, autocomplete: 'username', autocapitalize: 'none' })}${field('Passphrase', 'passphrase', { type: 'password', autocomplete: 'current-password', maxlength: '256' })}${field('What this device is called', 'name', { value: 'Browser', maxlength: '60' })}<button>Sign in</button></form><p><a href="/signin/passkey">Use a passkey</a></p><p><a href="/pair">I have a code or a link</a></p><p><a href="/signin/recover">The passphrase is lost</a></p>`,
  );

export const GET: RequestHandler = () => page(200, 'Zaprud on this machine answers those of its crews.', '');

export const POST: RequestHandler = async (event) => {
  const { request, locals, cookies, url } = event;
  const form = await formIn(request);
  const [login, passphrase, name] = ['login', 'passphrase', 'name'].map((key) => String(form.get(key) ?? '').slice(0, 256)) as [
    string,
    string,
    string,
  ];
  const done = await signedIn(login.trim(), passphrase, addressOf(event), locals.now);
  if ('sentence' in done) return page(403, done.sentence, login);
  await begin(done.account, name, { how: 'signed', now: locals.now, cookies, url });
  redirect(303, '/');
};
