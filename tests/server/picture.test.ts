import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import exifr from 'exifr';
import sharp from 'sharp';
import { onlySeen } from '#server/picture';
import { withPosition } from '../support/exif';
import { picture } from '../support/picture';

describe('a photo as it is kept', () => {
  it('says nothing of where it was taken, held against exifr', async () => {
    const sent = withPosition(await picture(), [45, 30, 44], [90, 29, 14]);
    assert.ok((await exifr.gps(sent)).latitude > 45);
    const kept = (await onlySeen(sent, 'image/jpeg')) ?? Buffer.alloc(0);
    assert.equal(await exifr.gps(kept), undefined);
    assert.deepEqual([(await sharp(kept).metadata()).width, (await sharp(kept).metadata()).height], [6, 4]);
  });
  it('stands upright, as the camera had noted beside it', async () => {
    const sent = await sharp(await picture(6, 4))
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const { width, height, orientation } = await sharp((await onlySeen(sent, 'image/jpeg')) ?? undefined).metadata();
    assert.deepEqual([width, height, orientation], [4, 6, undefined]);
  });
  it('is the same to the byte where nothing else is in it', async () => {
    const sent = await picture();
    assert.equal(await onlySeen(sent, 'image/jpeg'), sent);
  });
  it('is none where it is of another type than it begins like, cut off, or huge when it is opened', async () => {
    const sent = await picture();
    assert.equal(await onlySeen(sent, 'image/png'), null);
    assert.equal(await onlySeen(sent.subarray(0, 30), 'image/jpeg'), null);
    const huge = await sharp({ create: { width: 9000, height: 9000, channels: 3, background: '#000' } })
      .png({ compressionLevel: 9 })
      .toBuffer();
    assert.ok(huge.length < 450 * 1024, 'it would come through by its size');
    assert.equal(await onlySeen(huge, 'image/png'), null);
  });
});
