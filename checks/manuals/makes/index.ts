import { avocet } from './avocet';
import { curlew } from './curlew';
import type { Make } from './make';
import { sanderling } from './sanderling';
import { turnstone } from './turnstone';

export type { Make, TrueParameter } from './make';

/** All invented makes of the checks. */
export const makes: readonly Make[] = [curlew, turnstone, sanderling, avocet];
