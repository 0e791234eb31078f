import type { PaperOrder } from '../documents/papers';

/** What a worker thread of the server may be told to do. */
export type ThreadOrder = { task: 'print'; print: PaperOrder } | { task: 'archive'; bytes: Uint8Array };
