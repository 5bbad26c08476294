import { gps } from 'exifr';

export interface SmallPhoto {
  file: File;
  lat: number | null;
  lon: number | null;
}

const LONGEST = 1280;
const MOST = 400 * 1024;

/**
 * A photo made small enough for the record, with the position out of its metadata; the metadata itself does not travel on.
 *
 * @throws Error when the browser cannot read it as a picture
 */
export async function smallPhoto(original: File): Promise<SmallPhoto> {
  const where = await gps(original).catch(() => undefined);
  const picture = await createImageBitmap(original);
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  const known = where && Number.isFinite(where.latitude) && Number.isFinite(where.longitude);
  for (const quality of [0.82, 0.65, 0.45, 0.25]) {
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
    if (blob && blob.size <= MOST)
      return {
        file: new File([blob], 'photo.jpg', { type: 'image/jpeg' }),
        lat: known ? where.latitude : null,
        lon: known ? where.longitude : null,
      };
  }
  throw new Error('That photo cannot be made small enough.');
}

/** Makes the photo that was chosen in a field smaller, in place; an unreadable one is left for the server to refuse. */
export async function shrinkPhoto(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const original = input.files?.[0];
  if (!original) return;
  const small = await smallPhoto(original).catch(() => null);
  if (!small) return;
  const list = new DataTransfer();
  list.items.add(small.file);
  input.files = list.files;
}
