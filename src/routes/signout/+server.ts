import { redirect } from '@sveltejs/kit';
import { db } from '$lib/server/database';
import { forget } from '$lib/server/door/session';
import { endDevice } from '$lib/server/repositories/door';
import type { RequestHandler } from './$types';

/** Ends the session of this device, here and in the record. */
export const POST: RequestHandler = async ({ locals, cookies }) => {
  if (locals.device) await endDevice(db(), locals.who.crew, locals.device, locals.now);
  forget(cookies);
  redirect(303, '/signin');
};
