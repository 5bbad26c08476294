import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { db } from './database';
import { newId } from '#lib/form/newId';
import { Refusal } from './record/refusal';
import { takeBack } from './record/takeBack';

/** Takes back all that a form just wrote: its entries stay in the book, withdrawn. */
export async function undo({ request, locals, url }: RequestEvent) {
  const data = await request.formData();
  const entry = String(data.get('entry') ?? '');
  try {
    await takeBack(db(), { id: newId(), crew: locals.who.crew, entry, by: locals.who.person.id, reason: 'taken back at once' });
  } catch (error) {
    if (error instanceof Refusal) return fail(400, { problem: error.message, errors: error.fields, values: {} });
    throw error;
  }
  redirect(303, `${url.pathname}?undone=1`);
}
