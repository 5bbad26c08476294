import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { db } from './database';
import { newId } from './newId';
import { Refusal } from './record/refusal';
import { record } from './record/write';

/** Takes back a check or reading that was just saved: its entry stays in the book, withdrawn. */
export async function undo({ request, locals, url }: RequestEvent) {
  const data = await request.formData();
  const withdraws = String(data.get('entry') ?? '');
  try {
    await record(db(), { id: newId(), crew: locals.who.crew, withdraws, by: locals.who.person.id, reason: 'taken back at once' });
  } catch (error) {
    if (error instanceof Refusal) return fail(400, { problem: error.message, errors: error.fields, values: {} });
    throw error;
  }
  redirect(303, `${url.pathname}?undone=1`);
}
