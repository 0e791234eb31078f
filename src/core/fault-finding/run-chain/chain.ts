import type { ChainLink, ChainLinkId, NextLook } from './facts';

/** Every permissive between supply and output, and which is the first open one. */
export interface RunChain {
  links: ChainLink[];
  /** The first link that is open. */
  firstOpen: ChainLinkId | null;
  /** Links before it that nobody looked at: the answer may be there. */
  unknownBefore: ChainLinkId[];
  /** The cheapest look that settles one of them. */
  next: (NextLook & { settles: ChainLinkId }) | null;
}
