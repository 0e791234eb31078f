import { createHash } from 'node:crypto';

/** Hexadecimal SHA-256 of a text in UTF-8. */
export const sha256 = (text: string): string => createHash('sha256').update(text, 'utf8').digest('hex');
