import { spawnSync } from 'node:child_process';
import sharp from 'sharp';
import { endDecoders, pictureKind, rewritten } from '.';

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#a42' }, limitInputPixels: false });

afterAll(endDecoders);

it.each(['jpeg', 'png', 'webp', 'avif'] as const)(
  '%s is recognised by its bytes and written anew as JPEG',
  async (kind) => {
    const bytes = await plain(40, 30).toFormat(kind).toBuffer();
    expect(pictureKind(bytes)).toBe(kind === 'avif' ? 'heif' : kind);
    expect(pictureKind(await rewritten(bytes))).toBe('jpeg');
  },
);

const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>';
it.each([
  ['a drawing', Buffer.from(svg)],
  ['a drawing that says it is XML', Buffer.from(`<?xml version="1.0"?>${svg}`)],
  [
    'a drawing behind the first bytes of a JPEG',
    Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.from(svg)]),
  ],
  ['a PDF', Buffer.from('%PDF-1.7')],
  ['a GIF', Buffer.from('GIF89a\x01\x00\x01\x00\x00\x00\x00')],
  ['a TIFF', Buffer.from('II*\x00')],
  ['nothing', Buffer.alloc(0)],
])('%s is refused, and the next picture is read', async (_, bytes) => {
  await expect(rewritten(bytes)).rejects.toMatchObject({ status: 422 });
  await expect(rewritten(await plain(8, 8).png().toBuffer())).resolves.toBeInstanceOf(Buffer);
});

it('a picture that is cut off, or has more pixels than any photograph, is refused', async () => {
  const whole = await plain(800, 600).jpeg().toBuffer();
  await expect(rewritten(whole.subarray(0, whole.length - 200))).rejects.toMatchObject({ status: 422 });
  const bomb = await plain(9000, 9000).png({ compressionLevel: 9 }).toBuffer();
  expect(bomb.length).toBeLessThan(1e6);
  await expect(rewritten(bomb)).rejects.toMatchObject({ status: 422 });
});

it('a decoder that dies costs its own picture only', async () => {
  const noise = await sharp(Buffer.alloc(2800 * 2500 * 3, 7), {
    raw: { width: 2800, height: 2500, channels: 3 },
  })
    .png({ compressionLevel: 0 })
    .toBuffer();
  const lost = rewritten(noise);
  spawnSync('pkill', ['-KILL', '-P', String(process.pid), '-f', 'pictures/process/main.ts']);
  await expect(lost).rejects.toMatchObject({ status: 422 });
  await expect(rewritten(await plain(8, 8).png().toBuffer())).resolves.toBeInstanceOf(Buffer);
});

it('many at once are read one after the other', async () => {
  const bytes = await plain(60, 60).jpeg().toBuffer();
  const all = await Promise.all(Array.from({ length: 30 }, () => rewritten(bytes)));
  expect(all).toHaveLength(30);
});
