import { MOST_PHOTO, photoId, photoType } from '#lib/photo';
import type { Reader } from '#lib/form/reader';
import { db } from './database';
import { onlySeen } from './picture';
import { keepPhoto, photoBytes } from './repositories/photos';

/** So much of a crew's photos is kept, bytes. [practice] */
const MOST_OF_CREW = Number(process.env.ZAPRUD_PHOTO_MEGABYTES ?? 2000) * 1024 * 1024;

/** Keeps a photo. @returns its id, or why it was not taken */
export async function takePhoto(bytes: Buffer, crew: string): Promise<{ id: string } | { refused: string }> {
  const type = photoType(bytes);
  if (!type) return { refused: 'That file is not a photo Zaprud knows: take a JPEG, PNG or WebP.' };
  const size = `That photo has ${Math.round(bytes.length / 1024)} kB; ${MOST_PHOTO / 1024} kB are taken.`;
  if (bytes.length > MOST_PHOTO) return { refused: `${size} With script running it is made smaller by itself.` };
  const seen = await onlySeen(bytes, type);
  if (!seen) return { refused: 'That photo cannot be opened: it is broken, or larger than 40 million dots. Take another.' };
  // by what was sent, so that it is the same one when it is sent again
  const id = photoId(crew, bytes);
  if ((await photoBytes(db(), crew, id)) + seen.length > MOST_OF_CREW)
    return {
      refused: 'The crew’s photos fill the place that is kept for them. Save this without one; ZAPRUD_PHOTO_MEGABYTES makes more room.',
    };
  await keepPhoto(db(), crew, id, type, seen);
  return { id };
}

/**
 * Keeps a photo that came with a form.
 *
 * @returns its id; null when none was chosen, or when it was refused beside its field
 */
export async function photoFrom(read: Reader, file: FormDataEntryValue | null, crew: string): Promise<string | null> {
  if (!(file instanceof File) || file.size === 0 || !read.ok()) return null;
  const kept = await takePhoto(Buffer.from(await file.arrayBuffer()), crew);
  if ('id' in kept) return kept.id;
  read.refuse('photo', kept.refused);
  return null;
}
