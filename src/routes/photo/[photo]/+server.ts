import { error } from '@sveltejs/kit';
import { db } from '$lib/server/database';
import { takePhoto } from '$lib/server/photo';
import { photoOf } from '$lib/server/repositories/photos';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
  const photo = await photoOf(db(), locals.who.crew, params.photo);
  if (!photo) error(404, 'There is no such photo in this record.');
  return new Response(new Uint8Array(photo.bytes), {
    headers: { 'content-type': photo.type, 'cache-control': 'private, max-age=31536000, immutable', 'x-content-type-options': 'nosniff' },
  });
};

/** Takes a photo before the form it belongs to; its id follows from its content, so that it may be sent again without harm. */
export const PUT: RequestHandler = async ({ params, locals, request }) => {
  if (!request.headers.get('content-type')?.startsWith('image/')) error(415, 'A photo is sent as an image.');
  const kept = await takePhoto(Buffer.from(await request.arrayBuffer()), locals.who.crew);
  if ('refused' in kept) error(422, kept.refused);
  if (kept.id !== params.photo) error(422, 'That photo did not arrive as it was sent: try again.');
  return new Response(null, { status: 204 });
};
