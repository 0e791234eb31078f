import { useEffect } from 'react';

/** A page is at rest this long after it was drawn, ms. */
const rest_ms = 5000;

/**
 * Loads parts of a page that are opened later, once the page is at rest: they are not in the way of its first load, and are
 * there when the server is away.
 * @param loads imports of the parts; must not change
 */
export function useLoadedAtRest(loads: readonly (() => Promise<unknown>)[]): void {
  useEffect(() => {
    // Without a server now, opening the part tries again.
    const soon = setTimeout(() => loads.forEach((load) => void load().catch(() => undefined)), rest_ms);
    return () => clearTimeout(soon);
  }, [loads]);
}
