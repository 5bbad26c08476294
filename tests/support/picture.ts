import sharp from 'sharp';

/** A small JPEG that can be opened. */
export const picture = (width = 6, height = 4): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: '#6d4f2c' } })
    .jpeg()
    .toBuffer();
