import type { PrintOrder } from '../documents/printable';

/** What a worker thread of the server may be told to do. */
export type ThreadOrder = { task: 'print'; print: PrintOrder } | { task: 'archive'; bytes: Uint8Array };
