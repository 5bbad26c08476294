import { gps } from 'exifr';
import { shrunk } from './shrunk';

export interface SmallPhoto {
  file: File;
  lat: number | null;
  lon: number | null;
}

/**
 * A photo made small enough for the record, with the position out of its metadata; the metadata itself does not travel on.
 *
 * @throws Error when the browser cannot read it as a picture
 */
export async function smallPhoto(original: File): Promise<SmallPhoto> {
  const where = await gps(original).catch(() => undefined);
  const known = where && Number.isFinite(where.latitude) && Number.isFinite(where.longitude);
  return { file: await shrunk(original), lat: known ? where.latitude : null, lon: known ? where.longitude : null };
}

/** Makes the photo that was chosen in a field smaller, in place; an unreadable one is left for the server to refuse. */
export async function shrinkPhoto(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const original = input.files?.[0];
  if (!original) return;
  const small = await shrunk(original).catch(() => null);
  if (!small) return;
  const list = new DataTransfer();
  list.items.add(small);
  input.files = list.files;
}
