import { isNestedBeyond } from '../../core/text';
import { HttpError } from './refusal';

/** Deeper than anything that we send ourselves. */
const deepest = 40;

const weight = (bytes: number): string =>
  bytes >= 1024 * 1024 ? `${Math.round(bytes / 1024 / 1024)} MB` : `${Math.round(bytes / 1024)} kB`;

/**
 * Reads a body, weighing it as it comes: what is too heavy is never held as a whole.
 * @param heaviest bytes
 * @throws HttpError 413
 */
export async function bodyBytes(request: Request, heaviest: number): Promise<Buffer> {
  const tooHeavy = () => new HttpError(413, `At most ${weight(heaviest)} at once.`);
  if (Number(request.headers.get('content-length') ?? 0) > heaviest) throw tooHeavy();
  if (request.body === null) return Buffer.alloc(0);
  const parts: Uint8Array[] = [];
  let bytes = 0;
  const reader = request.body.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return Buffer.concat(parts, bytes);
    bytes += value.byteLength;
    if (bytes > heaviest) {
      void reader.cancel().catch(() => undefined);
      throw tooHeavy();
    }
    parts.push(value);
  }
}

/** A body as text. @throws HttpError 413, 400 where it is no UTF-8 */
export async function bodyText(request: Request, heaviest: number): Promise<string> {
  const bytes = await bodyBytes(request, heaviest);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new HttpError(400, 'Not UTF-8.');
  }
}

/** JSON of a depth that code may walk down. @throws HttpError 400 */
export function readJson(text: string): unknown {
  if (isNestedBeyond(text, deepest)) throw new HttpError(400, `Nested more than ${deepest} deep.`);
  try {
    return JSON.parse(text);
  } catch {
    throw new HttpError(400, 'Not JSON.');
  }
}
