'use client';
import { useEffect, useState } from 'react';

/**
 * The server's clock, ticking; 0 until the page is alive, so that server and browser render alike.
 * @param offset_ms server time minus this device's time
 */
export function useNow(offset_ms = 0, every_ms = 1000): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    const tick = () => setNow(Date.now() + offset_ms);
    tick();
    const timer = setInterval(tick, every_ms);
    return () => clearInterval(timer);
  }, [offset_ms, every_ms]);
  return now;
}
