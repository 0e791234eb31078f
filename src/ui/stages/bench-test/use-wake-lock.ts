'use client';
import { useEffect } from 'react';

/** Keeps the screen awake while hands are on the drive; where the browser cannot, nothing happens. */
export function useWakeLock(active: boolean): void {
  useEffect(() => {
    if (!active || !('wakeLock' in navigator)) return;
    let held: WakeLockSentinel | null = null;
    let over = false;
    const ask = async () => {
      try {
        held = await navigator.wakeLock.request('screen');
        if (over) await held.release();
      } catch {
        held = null;
      }
    };
    const again = () => {
      if (document.visibilityState === 'visible') void ask();
    };
    void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, [active]);
}
