/** @jest-environment node */
import { readFileSync } from 'node:fs';
import { toBuffer } from 'qrcode';
import sharp from 'sharp';
import { codeReader } from './codes';
import { greyOf, type GreyPicture } from './letters/picture';

const wasm = new Uint8Array(readFileSync('node_modules/zxing-wasm/dist/reader/zxing_reader.wasm')).buffer;

async function pictureOf(png: Buffer): Promise<GreyPicture> {
  const { data, info } = await sharp(png)
    .ensureAlpha()
    .toColourspace('srgb')
    .raw()
    .toBuffer({ resolveWithObject: true });
  return greyOf({ width: info.width, height: info.height, data });
}

/** A code on a larger sheet, turned, in poor light. */
const onSheet = async (text: string, degrees: number) =>
  pictureOf(
    await sharp({ create: { width: 900, height: 700, channels: 3, background: '#c9c6bd' } })
      .composite([
        {
          input: await sharp(await toBuffer(text, { scale: 5, margin: 4 }))
            .rotate(degrees, { background: '#fff' })
            .toBuffer(),
          left: 300,
          top: 200,
        },
      ])
      .linear(0.6, 30)
      .png()
      .toBuffer(),
  );

// Widths of bars and spaces of Code 39 (ISO/IEC 16388): n narrow, w wide, each character followed by a narrow space.
const code39: Readonly<Record<string, string>> = {
  '*': 'nwnnwnwnn',
  '4': 'nnnwwnnnw',
  '0': 'nnnwwnwnn',
  '-': 'nwnnnnwnw',
  '1': 'wnnwnnnnw',
  '8': 'wnnwnnwnn',
  '7': 'nnnwnnwnw',
};
function barsOf(text: string): string {
  let x = 40;
  const bars = [...`*${text}*`].flatMap((c) =>
    [...`${code39[c]}n`].flatMap((width, i) => {
      const wide = width === 'w' ? 8 : 3;
      const bar = i % 2 === 0 ? [`<rect x="${x}" y="40" width="${wide}" height="90"/>`] : [];
      x += wide;
      return bar;
    }),
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${x + 40}" height="170"><rect width="100%" height="100%" fill="#fff"/>${bars.join('')}</svg>`;
}

it('reads a matrix code wherever and however it stands, with its place', async () => {
  const read = await codeReader(wasm);
  for (const degrees of [0, 17, 180]) {
    const [found, ...more] = await read(await onSheet('TYPE: W4-15; S/N: 40-1187', degrees));
    expect(found?.text).toBe('TYPE: W4-15; S/N: 40-1187');
    expect(more).toEqual([]);
    expect(found!.x0).toBeGreaterThan(300);
    expect(found!.y1).toBeLessThan(200 + 320);
  }
});

it('reads bars drawn after the standard, and finds nothing where there is nothing', async () => {
  const read = await codeReader(wasm);
  const bars = await sharp(Buffer.from(barsOf('40-1187')))
    .png()
    .toBuffer();
  expect((await read(await pictureOf(bars))).map(({ text }) => text)).toEqual(['40-1187']);
  expect(await read({ width: 300, height: 200, data: new Uint8Array(60_000).fill(180) })).toEqual([]);
});
