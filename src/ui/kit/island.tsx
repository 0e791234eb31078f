'use client';
import { useLayoutEffect, useRef, useSyncExternalStore, type ReactNode } from 'react';

const never = () => () => undefined;

/**
 * A part of the page that comes alive by itself: the root, and each part whose code comes later. It
 * says so in `data-live`, for whoever must not click before it listens (the tests; a slow tablet).
 * @param deaf takes no key and no touch before it listens: what is typed until then would be lost
 */
export function Island({ deaf = false, children }: { deaf?: boolean; children: ReactNode }) {
  // False on the server and while the part is hydrated, true from then on.
  const live = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const part = useRef<HTMLDivElement>(null);
  // Before the effects of the parts inside, which give a field the focus: drawing it anew would come after them.
  useLayoutEffect(() => part.current?.removeAttribute('inert'), []);
  return (
    <div
      ref={part}
      data-live={live ? 'yes' : 'no'}
      {...(deaf && !live ? { inert: true } : {})}
      style={{ display: 'contents' }}
    >
      {children}
    </div>
  );
}
