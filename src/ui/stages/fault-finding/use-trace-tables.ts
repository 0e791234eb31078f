import { useEffect, useState } from 'react';
import { tablesWith, usualTables, type TraceTable } from '@/core/fault-finding/tracing';
import { call } from '../../api/call';

/** The trace tables: the shop's own over the usual ones; the usual ones alone where the server does not answer. */
export function useTraceTables(): readonly TraceTable[] {
  const [tables, setTables] = useState(usualTables);
  useEffect(() => {
    const leaving = new AbortController();
    const load = async () => {
      const answer = await call('GET /api/v1/trace-tables', { signal: leaving.signal });
      if (answer.ok && answer.value.own.length > 0 && !leaving.signal.aborted)
        setTables(tablesWith(answer.value.own));
    };
    void load();
    return () => leaving.abort();
  }, []);
  return tables;
}
