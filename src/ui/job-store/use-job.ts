'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { v7 } from 'uuid';
import {
  extend,
  fold,
  makeEntry,
  type Entry,
  type JobState,
  type EntryKind,
  type Payload,
  type Person,
} from '@/core/logbook';
import type { Limits } from '@/core/bench/make-safe';
import { putInOutbox, readOutbox, takeFromOutbox } from './outbox';
import type { EntriesAnswer } from '@/api/contract';
import { call } from '../api/call';

/** How often other tabs' and people's entries are asked for, ms. */
const poll_ms = 1000;

export interface RefusedEntry {
  entry: Entry;
  reason: string;
}

export interface JobStore {
  state: JobState;
  /** Ids of entries that are shown but not kept by the server yet. */
  unsent: ReadonlySet<string>;
  refused: readonly RefusedEntry[];
  online: boolean;
  /** Server time minus this device's time, ms. */
  clockOffset_ms: number;
  record: <K extends EntryKind>(kind: K, payload: Payload<K>, corrects?: string) => string;
  dismiss: (id: string) => void;
}

const bare = ({ by: _by, seq: _seq, receivedAt: _receivedAt, ...entry }: Entry) => entry;

/**
 * The job's entries, live: folded from what the server has and what waits here to be kept. An
 * entry is in the outbox before it is sent, so a dead server or a reload loses nothing.
 */
export function useJob(jobId: string, initial: readonly Entry[], person: Person, limits: Limits): JobStore {
  const context = useMemo(() => ({ limits }), [limits]);
  const [kept, setKept] = useState<JobState>(() => fold(initial, context));
  const [waiting, setWaiting] = useState<Entry[]>([]);
  const [refused, setRefused] = useState<RefusedEntry[]>([]);
  const [online, setOnline] = useState(true);
  const [clockOffset_ms, setClockOffset] = useState(0);
  const sending = useRef(false);
  const seq = useRef(kept.seq);

  const take = useCallback(
    ({ entries, now }: EntriesAnswer) => {
      setOnline(true);
      setClockOffset(Date.parse(now) - Date.now());
      if (entries.length === 0) return;
      const ids = new Set(entries.map((e) => e.id));
      takeFromOutbox(jobId, ids);
      setKept((state) => {
        const next = extend(state, entries, context);
        seq.current = next.seq;
        return next;
      });
      setWaiting((list) => list.filter((e) => !ids.has(e.id)));
    },
    [jobId, context],
  );

  const send = useCallback(async () => {
    if (sending.current) return;
    const mine = readOutbox(jobId);
    if (mine.length === 0) return;
    sending.current = true;
    try {
      // One person's entries at a time: the server puts the name of who is signed in under them.
      const batch = mine.filter((e) => e.by.id === mine[0]?.by.id);
      const answer = await call('POST /api/v1/jobs/:id/entries', {
        params: { id: jobId },
        body: { person: batch[0]?.by.id, entries: batch.map(bare) },
      });
      if (answer.ok) take(answer.value);
      else if (answer.status === 0 || answer.status >= 500) setOnline(false);
      else {
        takeFromOutbox(jobId, new Set(batch.map((e) => e.id)));
        setWaiting((list) => list.filter((e) => !batch.some((b) => b.id === e.id)));
        setRefused((list) => [...list, ...batch.map((entry) => ({ entry, reason: answer.error }))]);
      }
    } finally {
      sending.current = false;
    }
  }, [jobId, take]);

  useEffect(() => {
    let stopped = false;
    const tick = async () => {
      await send();
      const answer = await call('GET /api/v1/jobs/:id/entries', {
        params: { id: jobId },
        query: { after: seq.current },
      });
      if (answer.ok) take(answer.value);
      else setOnline(false);
      if (!stopped) timer = setTimeout(() => void tick(), poll_ms);
    };
    let timer = setTimeout(() => {
      setWaiting(readOutbox(jobId));
      void tick();
    }, 0);
    return () => {
      stopped = true;
      clearTimeout(timer);
    };
  }, [jobId, send, take]);

  const record = useCallback(
    <K extends EntryKind>(kind: K, payload: Payload<K>, corrects?: string): string => {
      const at = new Date(Date.now() + clockOffset_ms).toISOString();
      const entry = makeEntry(
        { v: 1, id: v7(), jobId, at, by: person, ...(corrects === undefined ? {} : { corrects }) },
        kind,
        payload,
      );
      putInOutbox(jobId, entry);
      setWaiting((list) => [...list, entry]);
      void send();
      return entry.id;
    },
    [jobId, person, clockOffset_ms, send],
  );

  const state = useMemo(
    () => (waiting.length === 0 ? kept : extend(kept, waiting, context)),
    [kept, waiting, context],
  );
  const unsent = useMemo(() => new Set(waiting.map((e) => e.id)), [waiting]);
  const dismiss = useCallback(
    (id: string) => setRefused((list) => list.filter((r) => r.entry.id !== id)),
    [],
  );
  return { state, unsent, refused, online, clockOffset_ms, record, dismiss };
}
