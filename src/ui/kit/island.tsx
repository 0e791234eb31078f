'use client';
import { useSyncExternalStore, type ReactNode } from 'react';

const never = () => () => undefined;

/**
 * A part of the page that comes alive by itself: the root, and each part whose code comes later. It
 * says so in `data-live`, for whoever must not click before it listens (the tests; a slow tablet).
 */
export function Island({ children }: { children: ReactNode }) {
  // False on the server and while the part is hydrated, true from then on.
  const live = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <div data-live={live ? 'yes' : 'no'} style={{ display: 'contents' }}>
      {children}
    </div>
  );
}
