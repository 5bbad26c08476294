import { error } from '@sveltejs/kit';
import { db } from '$lib/server/database';
import { isId } from '#lib/form/newId';
import { photoOf } from '$lib/server/repositories/photos';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  const photo = isId(params.photo) ? await photoOf(db(), locals.who.crew, params.photo) : undefined;
  if (!photo) error(404, 'There is no such photo in this record.');
  return new Response(new Uint8Array(photo.bytes), {
    headers: { 'content-type': photo.type, 'cache-control': 'private, max-age=31536000, immutable', 'x-content-type-options': 'nosniff' },
  });
};
