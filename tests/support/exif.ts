/** A JPEG with a position in its metadata: the picture's own bytes with an EXIF block put behind its first marker. Degrees, minutes, seconds. */
export function withPosition(jpeg: Buffer, lat: [number, number, number], lon: [number, number, number]): Buffer {
  const tiff = Buffer.alloc(26 + 4 * 12 + 4 + 48);
  tiff.write('II*\0', 0, 'latin1');
  tiff.writeUInt32LE(8, 4);
  const entry = (at: number, tag: number, type: number, count: number, value: number | string) => {
    tiff.writeUInt16LE(tag, at);
    tiff.writeUInt16LE(type, at + 2);
    tiff.writeUInt32LE(count, at + 4);
    if (typeof value === 'string') tiff.write(value, at + 8, 'latin1');
    else tiff.writeUInt32LE(value, at + 8);
  };
  tiff.writeUInt16LE(1, 8);
  entry(10, 0x8825, 4, 1, 26);
  tiff.writeUInt32LE(0, 22);
  const values = 26 + 2 + 4 * 12 + 4;
  tiff.writeUInt16LE(4, 26);
  entry(28, 1, 2, 2, 'N\0\0\0');
  entry(40, 2, 5, 3, values);
  entry(52, 3, 2, 2, 'W\0\0\0');
  entry(64, 4, 5, 3, values + 24);
  const all = Buffer.concat([tiff, Buffer.alloc(Math.max(0, values + 48 - tiff.length))]);
  [...lat, ...lon].forEach((n, i) => {
    all.writeUInt32LE(n, values + i * 8);
    all.writeUInt32LE(1, values + i * 8 + 4);
  });
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), all]);
  const head = Buffer.alloc(4);
  head.writeUInt16BE(0xffe1, 0);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([jpeg.subarray(0, 2), head, body, jpeg.subarray(2)]);
}
