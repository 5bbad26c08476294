import { formIn } from '$lib/server/form';
import { addressOf } from '$lib/server/door/caller';
import { field } from '$lib/server/door/field';
import { recovered } from '$lib/server/door/signIn';
import { escape, plainPage } from '$lib/server/plainPage';
import type { RequestHandler } from './$types';

const page = (status: number, sentence: string, login: string) =>
  plainPage(
    status,
    'The passphrase is lost',
    sentence,
    `<form method="post" action="/signin/recover">${field('Name', 'login', { value: login, autocomplete: 'username' })}${field('Printed code', 'code', { autocomplete: 'off', autocapitalize: 'characters', maxlength: '60' })}${field('New passphrase', 'passphrase', { type: 'password', autocomplete: 'new-password', maxlength: '256' })}<button>Change the passphrase</button></form><p><a href="/signin">Sign in</a></p>`,
  );

export const GET: RequestHandler = () =>
  page(200, 'The code was shown once, when the passphrase was chosen. Without it, whoever owns the crew can send a new link.', '');

export const POST: RequestHandler = async (event) => {
  const form = await formIn(event.request);
  const [login, code, passphrase] = ['login', 'code', 'passphrase'].map((key) => String(form.get(key) ?? '').slice(0, 256)) as [
    string,
    string,
    string,
  ];
  const done = await recovered({ login: login.trim(), code, passphrase }, addressOf(event), event.locals.now);
  if ('sentence' in done) return page(403, done.sentence, login);
  return plainPage(
    200,
    'The passphrase is changed',
    'Every device that was signed in is signed out. The code you used is used up: print this one and keep it where no one looks.',
    `<p style="font-family:monospace;font-size:1.3rem">${escape(done.recovery)}</p><p><a href="/signin">Sign in</a></p>`,
  );
};
