import { useEffect, useState } from 'react';
import { tablesWith, usualTables, type TraceTable } from '@/core/fault-finding/tracing';

/** The trace tables: the shop's own over the usual ones; the usual ones alone where the server does not answer. */
export function useTraceTables(): readonly TraceTable[] {
  const [tables, setTables] = useState(usualTables);
  useEffect(() => {
    const leaving = new AbortController();
    fetch('/api/v1/trace-tables', { signal: leaving.signal })
      .then(async (answer) => {
        if (!answer.ok) return;
        const { own } = (await answer.json()) as { own: TraceTable[] };
        if (own.length > 0 && !leaving.signal.aborted) setTables(tablesWith(own));
      })
      .catch(() => undefined);
    return () => leaving.abort();
  }, []);
  return tables;
}
