/** Decodes pictures, one at a time, as its parent sends them. What a picture does to a decoder, it does to this process. */
import sharp from 'sharp';
import type { DecoderAnswer, DecoderOrder } from '../decoder';

/** A photograph of a telephone has up to 50 million. */
const mostPixels = 60_000_000;
const longestEdge = 2000;

// Vector formats run programs of their own; what is not named here is never opened.
sharp.block({ operation: ['VipsForeignLoad'] });
sharp.unblock({
  operation: [
    'VipsForeignLoadJpegBuffer',
    'VipsForeignLoadPngBuffer',
    'VipsForeignLoadWebpBuffer',
    'VipsForeignLoadHeifBuffer',
  ],
});
sharp.concurrency(1);
sharp.cache(false);

/** A picture written anew: upright, scaled, without metadata. */
const rewritten = (bytes: Uint8Array): Promise<Buffer> =>
  sharp(bytes, { limitInputPixels: mostPixels, failOn: 'truncated' })
    .rotate()
    .resize({ width: longestEdge, height: longestEdge, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 82 })
    .toBuffer();

const answer = (said: DecoderAnswer) => process.send?.(said);
process.on('message', ({ bytes }: DecoderOrder) => {
  rewritten(bytes).then(
    (jpeg) => answer({ jpeg }),
    (error: unknown) => answer({ refused: error instanceof Error ? error.message : String(error) }),
  );
});
process.on('disconnect', () => process.exit(0));
answer({ ready: true });
