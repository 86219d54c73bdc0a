import { createHash } from 'node:crypto';
import { freshShot, type Picture, type Shot } from '@humble/core';
import { withoutNotesOfCameras, withoutPictureNotes } from '@humble/core/files';
import sharp from 'sharp';
import { testThreads } from './testing/testServer';

const seePicture = (bytes: Buffer) => testThreads().seePicture(bytes);

/** A photograph of four tones, with all that a camera notes, turned as a phone held upright turns it. */
const camera = {
  IFD0: { Make: 'Gannet', Model: 'Harbour 7', Artist: 'Kai', Software: 'Tide 1.2', Orientation: '6' },
  IFD2: { BodySerialNumber: '0815-4711', DateTimeOriginal: '2026:11:30 08:46:00' },
  IFD3: {
    GPSLatitude: '54/1 19/1 30/1',
    GPSLatitudeRef: 'N',
    GPSLongitude: '10/1 8/1 0/1',
    GPSLongitudeRef: 'E',
  },
};
const SECRETS = /Gannet|Harbour 7|Kai|Tide 1\.2|0815|2026:11:30/;

async function photograph(type: Picture['type']): Promise<Buffer> {
  const width = 24;
  const height = 16;
  const pixels = Buffer.from(Array.from({ length: width * height * 3 }, (_, i) => (i * 37) % 256));
  const image = sharp(pixels, { raw: { width, height, channels: 3 } })
    .withExif(camera)
    .withIccProfile('p3');
  const turned = image.withMetadata({ orientation: 6 });
  if (type === 'image/jpeg') return turned.jpeg({ quality: 90 }).toBuffer();
  return type === 'image/webp' ? turned.webp({ lossless: true }).toBuffer() : turned.png().toBuffer();
}

const pixelsOf = (bytes: Uint8Array) => sharp(bytes).rotate().raw().toBuffer();

describe.each(['image/jpeg', 'image/png', 'image/webp'] as const)('a photograph as %s', (type) => {
  test('is kept without place, time, device and author; turned and coloured as it was, and it is said', async () => {
    const bytes = await photograph(type);
    expect(bytes.toString('latin1')).toMatch(SECRETS);
    const seen = await seePicture(bytes);
    expect(seen.note).toMatch(/place, time and device\) was taken out\.$/);
    const kept = Buffer.from(seen.bytes);
    expect(kept.toString('latin1')).not.toMatch(SECRETS);
    const [was, is] = [await sharp(bytes).metadata(), await sharp(kept).metadata()];
    expect([is.orientation, is.icc?.equals(was.icc!), is.width, is.height]).toEqual([
      6,
      true,
      was.width,
      was.height,
    ]);
    expect(await pixelsOf(kept)).toEqual(await pixelsOf(bytes));
    expect([seen.width, seen.height]).toEqual([16, 24]);
    // Nothing but the turn is left of them.
    expect(is.exif?.length ?? 0).toBeLessThan(40);
    expect(is.xmp).toBeUndefined();
  });

  test('that has no notes is kept byte for byte, without a word', async () => {
    const plain = Buffer.from(withoutPictureNotes(await photograph(type), type)!);
    const seen = await seePicture(plain);
    expect([seen.note, Buffer.from(seen.bytes).equals(plain)]).toEqual(['', true]);
  });

  test('loses what is appended to it', async () => {
    const bytes = await photograph(type);
    const kept = withoutPictureNotes(Buffer.concat([bytes, Buffer.from('and a film of the harbour')]), type)!;
    expect(Buffer.from(kept).toString('latin1')).not.toContain('film of the harbour');
  });

  test('cut anywhere is no picture, or is cut no further', async () => {
    const bytes = await photograph(type);
    for (let length = 0; length < bytes.length; length += 7) {
      const kept = withoutPictureNotes(bytes.subarray(0, length), type);
      if (kept) expect(kept.length).toBeLessThanOrEqual(length + 60);
    }
  });
});

test('a photograph inside a drawing loses its notes as well', async () => {
  const bytes = await photograph('image/jpeg');
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><image width="16" height="24" href="data:image/jpeg;base64,${bytes.toString('base64')}"/></svg>`;
  const seen = await seePicture(Buffer.from(drawing));
  const inside = /base64,([^"]*)"/.exec(Buffer.from(seen.bytes).toString())![1]!;
  expect(Buffer.from(inside, 'base64').toString('latin1')).not.toMatch(SECRETS);
  expect(await pixelsOf(Buffer.from(inside, 'base64'))).toEqual(await pixelsOf(bytes));
});

test('a picture that was kept before is cleaned when it leaves with its shot, under the name that it has then', async () => {
  const bytes = await photograph('image/png');
  const sha256Of = (some: Uint8Array) => createHash('sha256').update(some).digest('hex');
  const sha256 = sha256Of(bytes);
  const picture: Picture = { sha256, type: 'image/png', name: 'quay.png', width: 16, height: 24 };
  const empty = freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 });
  const backdrop = {
    pictures: [picture],
    framesEach: 1,
    x: 0,
    y: 0,
    width: 800,
    turnDeg: 0,
    strength: 1,
    hidden: false,
    locked: false,
  };
  const shot = { ...empty, backdrop } as unknown as Shot;
  const given = await withoutNotesOfCameras({ shots: [shot], files: new Map([[sha256, bytes]]) }, sha256Of);
  const named = given.shots[0]!.backdrop!.pictures[0]!;
  expect([named.sha256 === sha256, named.name]).toEqual([false, 'quay.png']);
  const [[name, kept]] = [...given.files] as [[string, Uint8Array]];
  expect([name, sha256Of(kept)]).toEqual([named.sha256, named.sha256]);
  expect(Buffer.from(kept).toString('latin1')).not.toMatch(SECRETS);
});
