import { createHash } from 'node:crypto';

/** Hexadecimal SHA-256 of bytes, or of a text in UTF-8. */
export const sha256 = (data: string | Uint8Array): string => createHash('sha256').update(data).digest('hex');
