import type { Link, LinkId, Look } from './facts';

export interface RunChain {
  links: Link[];
  /** The first link that is open. */
  firstOpen: LinkId | null;
  /** Links before it that nobody looked at: the answer may be there. */
  unknownBefore: LinkId[];
  /** The cheapest look that settles one of them. */
  next: (Look & { settles: LinkId }) | null;
}
