import { createHash } from 'node:crypto';
import { v5 } from 'uuid';
import { db } from './database';
import type { Reader } from '#lib/form/reader';
import { keepPhoto } from './repositories/photos';

/** A photo is resized in the browser; more than this was not. */
const MOST = 450 * 1024;
const NAMESPACE = '5f0c2a5e-51b1-5a41-9d0c-0f6f7b1d8e21';

function typeOf(bytes: Buffer): string | null {
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'image/jpeg';
  if (bytes.subarray(0, 4).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47]))) return 'image/png';
  if (bytes.subarray(0, 4).toString() === 'RIFF' && bytes.subarray(8, 12).toString() === 'WEBP') return 'image/webp';
  return null;
}

/**
 * Keeps a photo that came with a form.
 *
 * @returns its id; null when none was chosen, or when it was refused beside its field
 */
export async function photoFrom(read: Reader, file: FormDataEntryValue | null, crew: string): Promise<string | null> {
  if (!(file instanceof File) || file.size === 0) return null;
  const bytes = Buffer.from(await file.arrayBuffer());
  const type = typeOf(bytes);
  if (!type) read.refuse('photo', 'That file is not a photo Zaprud knows: take a JPEG, PNG or WebP.');
  else if (bytes.length > MOST)
    read.refuse(
      'photo',
      `That photo has ${Math.round(bytes.length / 1024)} kB; ${MOST / 1024} kB are taken. With script running it is made smaller by itself.`,
    );
  if (!type || !read.ok()) return null;
  const id = v5(createHash('sha256').update(crew).update(bytes).digest('hex'), NAMESPACE);
  await keepPhoto(db(), crew, id, type, bytes);
  return id;
}
