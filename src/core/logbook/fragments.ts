import * as z from 'zod';

/** A line of text. */
export const short = z.string().trim().max(200);
/** A line of text that may be missing. */
export const optionalShort = short.optional();
/** Some paragraphs. */
export const long = z.string().trim().max(4000);
/** A number above zero. */
export const positive = z.number().positive();
/** An answer that may be unsure. */
export const yesNo = z.enum(['yes', 'no', 'not-sure']);
/** A blob by its hash, hexadecimal. */
export const sha256 = z.string().regex(/^[0-9a-f]{64}$/);
/** Photographs by their hash. */
export const photos = z.array(sha256).max(20).default([]);
