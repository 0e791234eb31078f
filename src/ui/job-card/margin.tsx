'use client';
import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { entryWords, countOf, openIssues, timeTextOf, type Entry, type LogLine } from '@/core/logbook';
import { useDraftText } from '../kit/draft-text';
import { Primary, Secondary } from '../kit/buttons';
import { StateMark } from '../kit/state-mark';
import { TextField } from '../kit/field';
import { clockTime, dateTime } from '../kit/time';
import type { JobStore } from '../job-store/use-job';
import { item } from '@/core/numerics/arrays';
import { Heading, Said, Text } from '../kit/text';
import { AsTyped } from '../kit/terms';

const isFigure = ({ kind }: Entry): boolean => kind === 'safety.figure' || kind === 'safety.figures';

/** Runs of dead-proof figures are one line: what counts is how many and the highest. */
function grouped(log: readonly LogLine[]): (LogLine | { figures: LogLine[] })[] {
  const out: (LogLine | { figures: LogLine[] })[] = [];
  for (const line of log) {
    const last = out[out.length - 1];
    const plain = isFigure(line.entry) && line.void === null && line.correctedBy === null;
    if (plain && last !== undefined && 'figures' in last) last.figures.push(line);
    else if (plain) out.push({ figures: [line] });
    else out.push(line);
  }
  return out.reverse();
}

function figureWords(lines: readonly LogLine[]): string {
  const volts = lines.flatMap(({ entry }) =>
    entry.kind === 'safety.figure'
      ? [Math.abs(entry.payload.volts)]
      : entry.kind === 'safety.figures'
        ? entry.payload.points.map(() => entry.payload.below_V)
        : [],
  );
  return `Dead proof: ${countOf(volts.length, 'reading')}, highest ${Math.max(...volts)} V`;
}

function Line({
  time,
  by,
  children,
  waiting = false,
}: {
  time: string;
  by: string;
  children: ReactNode;
  waiting?: boolean;
}) {
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns="48px minmax(0, 1fr)"
      mb="1.5"
      fontSize="0.92rem"
      title={dateTime(time)}
      {...(waiting ? { fontStyle: 'italic', borderLeft: '3px dotted', borderColor: 'doubt', pl: '1.5' } : {})}
    >
      <Text asChild fontFamily="mono" fontSize="0.82rem" color="soft" pt="0.5">
        <time dateTime={time} suppressHydrationWarning>
          {clockTime(time)}
        </time>
      </Text>
      <Box overflowWrap="anywhere">
        <Said>{children}</Said>{' '}
        <Text as="span" fontSize="0.78rem" color="soft" whiteSpace="nowrap">
          {by}
        </Text>
      </Box>
    </Box>
  );
}

function Log({ store }: { store: JobStore }) {
  const [all, setAll] = useState(false);
  const lines = grouped(store.state.log);
  const visible = all ? lines : lines.slice(0, 9);
  return (
    <Box as="section" aria-label="Log">
      <Heading as="h2" fontFamily="heading" fontSize="1rem" fontWeight="600" mb="1.5">
        Log
      </Heading>
      <Box as="ol" listStyleType="none" aria-live="polite">
        {visible.map((line) => {
          const first = 'figures' in line ? item(line.figures, 0) : line;
          const { entry } = first;
          const waiting = store.unsent.has(entry.id);
          // What waits is judged when the server has it: a signature counts only then.
          const isVoid = !('figures' in line) && line.void !== null && !waiting;
          const struck = isVoid || (!('figures' in line) && line.correctedBy !== null);
          return (
            <Line key={entry.id} time={timeTextOf(entry)} by={entry.by.name} waiting={waiting}>
              <Text as="span" textDecoration={struck ? 'line-through' : 'none'}>
                {'figures' in line ? figureWords(line.figures) : entryWords(entry)}
              </Text>
              {waiting && <Text as="span"> (not saved yet, sending)</Text>}
              {!('figures' in line) && line.correctedBy !== null && <Text as="span"> corrected</Text>}
              {!('figures' in line) && line.unseen !== null && (
                <Text color="doubt" fontSize="0.86rem" fontWeight="500">
                  Replaces what {line.unseen.by.name} had recorded meanwhile: {entryWords(line.unseen)}
                </Text>
              )}
              {isVoid && (
                <Text color="failed" fontSize="0.86rem">
                  Does not count: {line.void}
                </Text>
              )}
            </Line>
          );
        })}
      </Box>
      {lines.length > 9 && (
        <Secondary minH="44px" fontSize="0.9rem" onClick={() => setAll(!all)}>
          {all ? 'Only the newest' : `All ${lines.length}`}
        </Secondary>
      )}
    </Box>
  );
}

/** What stands before sign-off by the log: a bridge, a trial, a wrong direction, and questions until somebody answers. */
function Questions({ store }: { store: JobStore }) {
  const [text, setText] = useDraftText('question for later');
  const [answering, setAnswering] = useState<string | null>(null);
  const [answer, setAnswer] = useState('');
  const open = store.state.questions.filter((q) => q.answer === null);
  const others = openIssues(store.state).filter(({ id }) => !id.startsWith('question:'));
  return (
    <Box as="section" aria-label="Open before sign-off" mt="5">
      <Heading as="h2" fontFamily="heading" fontSize="1rem" fontWeight="600" mb="1.5">
        Open before sign-off
      </Heading>
      {others.length > 0 && (
        <Box as="ul" listStyleType="none" fontSize="0.92rem" mb="1">
          {others.map((issue) => (
            <Box as="li" key={issue.id} mb="1.5" overflowWrap="anywhere">
              <StateMark mark={issue.mayWait ? 'doubt' : 'failed'} label={null} /> <Said>{issue.text}</Said>
            </Box>
          ))}
        </Box>
      )}
      <Box as="ol" listStyleType="none" fontSize="0.92rem">
        {open.map((q, i) => (
          <Box as="li" key={q.id} mb="2">
            <Box display="grid" gridTemplateColumns="28px 1fr auto" gap="1" alignItems="center">
              <Text fontFamily="mono" color="soft">
                {i + 1}
              </Text>
              <AsTyped>
                <Text overflowWrap="anywhere">{q.text}</Text>
              </AsTyped>
              <Secondary
                minH="44px"
                px="2"
                fontSize="0.85rem"
                onClick={() => setAnswering(answering === q.id ? null : q.id)}
              >
                answer
              </Secondary>
            </Box>
            {answering === q.id && (
              <Box asChild display="grid" gap="2" mt="1">
                <form
                  onSubmit={(e) => {
                    e.preventDefault();
                    if (answer.trim() === '') return;
                    store.record('question.closed', { question: q.id, answer: answer.trim() });
                    setAnswer('');
                    setAnswering(null);
                  }}
                >
                  <TextField label="Answer" text={answer} set={setAnswer} maxLength={200} autoFocus />
                  <Primary type="submit">Save answer</Primary>
                </form>
              </Box>
            )}
          </Box>
        ))}
      </Box>
      {open.length + others.length === 0 && (
        <Text color="soft" fontSize="0.92rem">
          No open questions.
        </Text>
      )}
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (text.trim() === '') return;
          store.record('question.opened', { text: text.trim() });
          setText('');
        }}
      >
        <TextField label="Note a question for later" text={text} set={setText} maxLength={200} />
        {text.trim() !== '' && (
          <Primary type="submit" mt="2">
            Save question
          </Primary>
        )}
      </form>
    </Box>
  );
}

/** The running evidence beside the work. On a tablet it folds under. */
export function Margin({ store, children }: { store: JobStore; children?: ReactNode }) {
  return (
    <Box
      as="aside"
      aria-label="Evidence"
      borderLeft={{ base: 0, lg: '1px dashed' }}
      borderTop={{ base: '1px dashed', lg: 0 }}
      borderColor={{ base: 'line', lg: 'line' }}
      px={{ base: 4, lg: '18px' }}
      py="5"
      minW="0"
    >
      {children}
      <Log store={store} />
      <Questions store={store} />
    </Box>
  );
}
