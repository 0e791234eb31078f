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
/** A time. A device's clock may be wrong by decades; a year beyond these is no clock's but a mistake. */
export const time = z.iso
  .datetime()
  .refine((at) => /^(19[7-9]\d|2[01]\d\d|2200)-/.test(at), 'must be a time between 1970 and 2200');
