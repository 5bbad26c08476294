import sharp from 'sharp';

/** More is not opened: a small file can be a huge picture. */
const MOST_PIXELS = 40_000_000;
const QUALITY = 85;

/**
 * A picture with nothing but what is seen: where it was taken, by what and when is left out. Drawn upright first, as its own note of that goes too.
 *
 * @returns the same bytes where nothing else is in them; null where they are no picture of that type
 */
export async function onlySeen(bytes: Buffer, type: string): Promise<Buffer | null> {
  try {
    const { format, width, height, exif, xmp, iptc, comments, tifftagPhotoshop } = await sharp(bytes).metadata();
    if (`image/${format}` !== type || width * height > MOST_PIXELS) return null;
    if (![exif, xmp, iptc, tifftagPhotoshop].some(Boolean) && !comments?.length) return bytes;
    return await sharp(bytes, { limitInputPixels: MOST_PIXELS }).autoOrient().toFormat(format, { quality: QUALITY }).toBuffer();
  } catch {
    // the library says of anything that it cannot open only that it cannot
    return null;
  }
}
