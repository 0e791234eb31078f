'use client';
import { useEffect, useRef, useState } from 'react';
import {
  ignoreUntilLifted,
  reduceMeterLine,
  listening,
  listenOn,
  readLine,
  type Heard,
  type Listening,
} from '@/core/bench/meter-stream';

export interface MeterState {
  now: Listening;
  /** What the display shows at this moment; null for overload. */
  shows: number | null;
  /** The data port is gone: by hand from here on, tried again every few seconds. */
  gone: boolean;
}

const lookAgain_ms = 300;

/**
 * Listens to the meter's data port while it is wanted.
 * @param ready a step is open for a figure; while none is, no figure counts, and the leads must come off first
 * @param counted called once for each figure that counts
 */
export function useMeter(
  wanted: boolean,
  ready: boolean,
  counted: (heard: Heard) => void,
): MeterState | null {
  const [state, setState] = useState<MeterState | null>(null);
  const waits = useRef({ ready, counted });
  useEffect(() => {
    waits.current = { ready, counted };
  });
  useEffect(() => {
    if (!wanted) return;
    let now = listening(performance.now());
    let shows: number | null = null;
    let gone = false;
    const publish = () => setState({ now, shows, gone });
    const events = new EventSource('/api/v1/meter');
    events.onmessage = (e: MessageEvent<string>) => {
      const said = readLine(e.data);
      if (said.kind === 'figure') shows = said.volts;
      if (said.kind === 'open') shows = null;
      gone = false;
      const step = reduceMeterLine(now, e.data, performance.now());
      now = waits.current.ready ? step.next : ignoreUntilLifted(step.next);
      if (step.heard !== null && waits.current.ready) waits.current.counted(step.heard);
      publish();
    };
    // The browser opens a stream that ended again by itself.
    events.addEventListener('gone', () => {
      gone = true;
      publish();
    });
    events.onerror = () => {
      gone = true;
      publish();
    };
    const clock = setInterval(() => {
      const later = listenOn(now, performance.now());
      if (later === now) return;
      now = later;
      publish();
    }, lookAgain_ms);
    return () => {
      clearInterval(clock);
      events.close();
      setState(null);
    };
  }, [wanted]);
  return state;
}
