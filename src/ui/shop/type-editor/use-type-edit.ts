import { useEffect, useState } from 'react';
import {
  begun,
  changed,
  redone,
  undone,
  withValue,
  type History,
  type Json,
  type Path,
  type TypeFiles,
} from '@/core/equipment/type-edit';
import type { ApiProblem } from '@/api/contract';
import { call } from '../../api/call';
import { ownJson } from '../../kit/own-json';

/** Which of the two files a place is in. */
export type FileKey = keyof TypeFiles;

/** What became of the last check or save. */
export interface Outcome {
  state: 'busy' | 'right' | 'wrong' | 'saved' | 'trouble';
  said: string;
}

const textOf = (value: Json): string => JSON.stringify(value, null, 2);

/** What is typed and not saved is kept on this device, until it is saved or the version it came from is gone. */
const keptUnder = (id: string, version: number): string => `type in the making: ${id} ${version}`;

function keptOf(key: string): TypeFiles | null {
  const text = window.localStorage.getItem(key);
  return text === null ? null : ownJson<TypeFiles>(text);
}

/** A device without room for it has it until the page is left. */
function keep(key: string, files: TypeFiles): void {
  try {
    window.localStorage.setItem(key, JSON.stringify(files));
  } catch {
    window.localStorage.removeItem(key);
  }
}

/** The files of a type in the making: each change is a step that can be undone; checked and saved by the server. */
export function useTypeEdit(id: string, version: number, files: TypeFiles) {
  const [history, setHistory] = useState<History<TypeFiles>>(() => begun(files));
  const [seen, setSeen] = useState(version);
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [problems, setProblems] = useState<readonly ApiProblem[]>([]);
  const [restored, setRestored] = useState(false);
  const { now } = history;

  useEffect(() => {
    const kept = keptOf(keptUnder(id, version));
    if (kept === null) return;
    // After the first drawing, which is the server's: it cannot know what this device keeps.
    queueMicrotask(() => {
      setHistory((before) => changed(before, kept));
      setRestored(true);
    });
  }, [id, version]);

  useEffect(() => {
    const { past, future, now: files } = history;
    if (past.length > 0) keep(keptUnder(id, version), files);
    // Everything was undone: nothing is in the making.
    else if (future.length > 0) window.localStorage.removeItem(keptUnder(id, version));
  }, [history, id, version]);

  const step = (next: (before: History<TypeFiles>) => History<TypeFiles>) => {
    setOutcome(null);
    setHistory(next);
  };
  const set = (file: FileKey, path: Path, value: Json | undefined) => {
    // What was wrong at this place was said of what stood there before.
    setProblems((said) => said.filter((p) => p.file !== `${file}.json` || p.path !== path.join('.')));
    step((before) => {
      const next = withValue(before.now[file], path, value);
      // Only records are written to: a file stays one.
      return changed(before, { ...before.now, [file]: next ?? null });
    });
  };

  const send = async (asVersion: boolean, note: string): Promise<string | null> => {
    setOutcome({ state: 'busy', said: asVersion ? 'Saving…' : 'Checking…' });
    const answer = await call('POST /api/v1/catalogue', {
      body: {
        type: textOf(now.type),
        control: now.control === null ? null : textOf(now.control),
        ...{ keep: asVersion, note, seen },
      },
    });
    if (answer.ok) {
      setProblems([]);
      if (answer.value.version !== null) {
        setSeen(answer.value.version);
        window.localStorage.removeItem(keptUnder(id, version));
      }
      setOutcome(
        asVersion
          ? { state: 'saved', said: `Saved as version ${answer.value.version ?? 1}.` }
          : { state: 'right', said: 'No errors found.' },
      );
      return asVersion ? answer.value.id : null;
    }
    setProblems(answer.problems);
    setOutcome(
      answer.status === 0
        ? { state: 'trouble', said: 'Server not reachable. What you typed stays here; try again.' }
        : answer.problems.length > 0
          ? { state: 'wrong', said: `${answer.problems.length} to correct.` }
          : { state: 'trouble', said: answer.error },
    );
    return null;
  };
  return {
    ...{ now, history, outcome, problems, restored, set, send },
    replace: (next: TypeFiles) => step((before) => changed(before, next)),
    undo: () => step(undone),
    redo: () => step(redone),
    discard: () => {
      setRestored(false);
      window.localStorage.removeItem(keptUnder(id, version));
      step(() => begun(files));
    },
  };
}
