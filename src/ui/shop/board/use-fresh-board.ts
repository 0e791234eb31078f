import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { newsOfTabs } from '../../job-store/news';

/** However much is going on, the board is not drawn more often than this, ms. */
const calm_ms = 3000;

/** Draws the board anew when entries were recorded somewhere. */
export function useFreshBoard(): void {
  const router = useRouter();
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    let wasUp = false;
    const soon = () => {
      timer ??= setTimeout(() => {
        timer = null;
        router.refresh();
      }, calm_ms);
    };
    const end = newsOfTabs({
      news: soon,
      up: () => {
        // The page came with the newest board; after a break it may have missed something.
        if (wasUp) soon();
        wasUp = true;
      },
      down: () => undefined,
      woke: soon,
    });
    return () => {
      if (timer !== null) clearTimeout(timer);
      end();
    };
  }, [router]);
}
