import crc32 from 'crc-32';
import type { Values } from '../../equipment/drive-words';

/**
 * Eight hexadecimal digits over type, numbers and values, a line each, in UTF-8 (CRC-32 of IEEE 802.3): two sets with the same ones are the same.
 * Names, dates and what the type does not know are not in it.
 */
export function checksumOf(typeId: string, values: Values): string {
  const lines = Object.entries(values)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([number, value]) => `${number}=${value}`);
  return (crc32.str([typeId, ...lines].join('\n')) >>> 0).toString(16).toUpperCase().padStart(8, '0');
}
