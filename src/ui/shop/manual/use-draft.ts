import { useCallback, useRef, useState } from 'react';
import type { TypeDraft } from '@/core/reading/type-draft';
import { call } from '../../api/call';

/** A draft on the page, and whether the server has it. */
export interface DraftState {
  draft: TypeDraft;
  state: 'saving' | 'saved' | 'not-saved';
  trouble: string | null;
}

/** A draft that is saved after each change, one change after the other. */
export function useDraft() {
  const [shown, setShown] = useState<DraftState | null>(null);
  const version = useRef(0);
  const newest = useRef<TypeDraft | null>(null);
  const sending = useRef(false);

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    let sent: TypeDraft | null = null;
    // What changed while the last one was on its way follows.
    while (newest.current !== null && newest.current !== sent) {
      sent = newest.current;
      const answer = await call('PUT /api/v1/type-drafts/:id', {
        params: { id: sent.id },
        query: { seen: version.current },
        body: sent,
      });
      const draft = newest.current;
      if (!answer.ok) {
        const said =
          answer.status === 0
            ? 'Server not reachable. The draft stays on this page; save it again when the server is back.'
            : answer.error;
        setShown({ draft, state: 'not-saved', trouble: said });
        break;
      }
      version.current = answer.value.version;
      setShown({ draft, state: draft === sent ? 'saved' : 'saving', trouble: null });
    }
    sending.current = false;
  }, []);

  const change = useCallback(
    (draft: TypeDraft) => {
      newest.current = draft;
      setShown({ draft, state: 'saving', trouble: null });
      void send();
    },
    [send],
  );
  const open = useCallback((draft: TypeDraft, stored: number) => {
    version.current = stored;
    newest.current = draft;
    setShown({ draft, state: 'saved', trouble: null });
  }, []);
  const begin = useCallback(
    (draft: TypeDraft) => {
      version.current = 0;
      change(draft);
    },
    [change],
  );
  return { shown, open, begin, change, again: send };
}
