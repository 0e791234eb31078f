import { decoded } from '@/core/power-up/capture';

/** Text of a file, however it was saved. */
export const textOfFile = async (file: Blob): Promise<string> =>
  decoded(new Uint8Array(await file.arrayBuffer()));
