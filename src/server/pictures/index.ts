// Photographs as strangers send them.
import { HttpError } from '../http/guard';
import { decoded } from './decoder';
import { pictureKind } from './magic';

export { endDecoders, pictureLoad } from './decoder';
export { pictureKind } from './magic';

/** A photograph may weigh this much before it is scaled, bytes. */
export const heaviestPhoto = 25 * 1024 * 1024;

/**
 * A picture written anew as JPEG: upright, scaled, without metadata.
 * @throws HttpError 413, 422 where it is no picture that can be read, 503 where too many wait
 */
export async function rewritten(bytes: Uint8Array): Promise<Buffer> {
  if (bytes.byteLength > heaviestPhoto) throw new HttpError(413, 'A photograph may have at most 25 MB.');
  if (pictureKind(bytes) === null)
    throw new HttpError(422, 'This picture cannot be read: use JPEG, PNG, WebP or HEIF.');
  const answer = await decoded(bytes);
  if (answer === null)
    throw new HttpError(503, 'Too many pictures in the queue: send this one again in a moment.');
  if ('jpeg' in answer) return Buffer.from(answer.jpeg);
  throw new HttpError(422, 'This picture is damaged, cut off or too large. Take it again as JPEG.');
}
