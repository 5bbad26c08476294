const LONGEST = 1280;
const MOST = 400 * 1024;

/**
 * A photo made small enough for the record; its metadata does not travel on.
 *
 * @throws Error when the browser cannot read it as a picture
 */
export async function shrunk(original: File): Promise<File> {
  const picture = await createImageBitmap(original);
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  for (const quality of [0.82, 0.65, 0.45, 0.25]) {
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
    if (blob && blob.size <= MOST) return new File([blob], 'photo.jpg', { type: 'image/jpeg' });
  }
  throw new Error('That photo cannot be made small enough.');
}
