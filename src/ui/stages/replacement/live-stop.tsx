import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { NamedTask, Progress } from '@/core/replacement/stop-plan';
import { taskHeld, type Hands, type Payload } from '@/core/logbook';
import type { StageProps } from '../../job-store/stage-props';
import { Primary, Secondary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { StateMark, type Mark } from '../../kit/state-mark';
import { useNow } from '../../kit/use-now';
import { StopChart } from '../../panels/outage/stop-chart';
import { useStopNow } from '../../panels/outage/use-stop-plan';
import { OutAndIn } from './out-and-in';
import type { SwapNow } from '../../panels/use-swap';
import { Text } from '../../kit/text';

type Planned = Payload<'stop.planned'>;

const clock = (minutes: number): string => {
  const s = Math.max(0, Math.floor(minutes * 60));
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${two(Math.floor(s / 3600))}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}`;
};

type State = 'done' | 'under way' | 'ready' | 'waits';
const marks: Readonly<Record<State, Mark>> = {
  done: 'sound',
  'under way': 'doubt',
  ready: 'unprobed',
  waits: 'unprobed',
};

function TaskLine({
  task,
  place,
  state,
  minutes,
  held,
  tell,
}: {
  task: NamedTask;
  place: number;
  state: State;
  minutes: string;
  /** Why no hand goes in for it now; null: one may, or none has to. */
  held: string | null;
  tell: (did: 'begun' | 'done' | 'open') => void;
}) {
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) auto' }}
      gap="2"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="line"
      py="1.5"
    >
      <Text>
        <StateMark mark={marks[state]} label={null} />{' '}
        <Text as="span" fontFamily="mono">
          {place}
        </Text>{' '}
        <Text as="span" fontWeight={state === 'ready' || state === 'under way' ? 600 : 400}>
          {task.name}
        </Text>{' '}
        <Text as="span" color="soft">
          {state}, {minutes}
          {task.needs.includes('isolated') ? ' · hands in' : ''}
        </Text>
        {held !== null && state !== 'done' && (
          <Text as="span" display="block" color="doubt">
            {held}
          </Text>
        )}
      </Text>
      <Box display="flex" gap="2" flexWrap="wrap">
        {state !== 'done' && state !== 'under way' && (
          <Secondary aria-label={`Start ${task.name}`} disabled={held !== null} onClick={() => tell('begun')}>
            Start
          </Secondary>
        )}
        {state !== 'done' && (
          <Secondary aria-label={`Done: ${task.name}`} disabled={held !== null} onClick={() => tell('done')}>
            Done
          </Secondary>
        )}
        {(state === 'done' || state === 'under way') && (
          <Secondary aria-label={`Open again: ${task.name}`} onClick={() => tell('open')}>
            Open again
          </Secondary>
        )}
      </Box>
    </Box>
  );
}

/** The clock against what is allowed, and when it runs again as it goes now. */
function Clock({
  passed,
  allowed,
  ends,
  over,
}: {
  passed: number | null;
  allowed: number | null;
  ends: number | null;
  over: boolean;
}) {
  const late = allowed !== null && ends !== null ? ends - allowed : null;
  return (
    <Box role="timer" aria-label="Outage" mb="3">
      <Text fontFamily="mono" fontSize="2.6rem" lineHeight="1.1">
        {passed === null ? '00:00:00' : clock(passed)}
        {allowed !== null && (
          <Text as="span" fontSize="1.2rem" color="soft">
            {' '}
            of {clock(allowed)}
          </Text>
        )}
      </Text>
      <Text fontWeight="500">
        {over
          ? allowed !== null && passed !== null && passed > allowed
            ? `Stopped ${Math.round(passed - allowed)} minutes longer than allowed.`
            : 'The machine runs again.'
          : passed === null
            ? 'Still running; the timer starts at shutdown.'
            : ends === null
              ? 'All outage tasks done: restart the machine.'
              : late === null
                ? `Expected to run again at minute ${Math.round(ends)}.`
                : late <= 0
                  ? `Expected to run again at minute ${Math.round(ends)}: ${Math.round(-late)} to spare.`
                  : `Expected to run again at minute ${Math.round(ends)}: ${Math.round(late)} more than allowed.`}
        {late !== null && !over && passed !== null && (
          <>
            {' '}
            <StateMark mark={late <= 0 ? 'sound' : 'failed'} label={late <= 0 ? 'within' : 'over'} />
          </>
        )}
      </Text>
    </Box>
  );
}

/** Tasks that wait for one, however far on. */
function waitedForBy(tasks: readonly NamedTask[], id: string, seen: readonly string[] = []): NamedTask[] {
  const next = tasks.filter((t) => t.after.includes(id) && !seen.includes(t.id));
  return next.flatMap((t) => [t, ...waitedForBy(tasks, t.id, [...seen, t.id])]);
}

/** The stop as it goes: tasks ticked, the rest planned anew, the clock against what is allowed. */
export function LiveStop({
  planned,
  now: swapNow,
  ...props
}: StageProps & { planned: Planned; now: SwapNow }) {
  const { store, limits, person } = props;
  const { stop } = store.state.swap;
  const [all, setAll] = useState(false);
  const now = useNow(store.clockOffset_ms, 1000);
  const hands: Hands = {
    job: store.state,
    limits,
    by: person,
    at: now === 0 ? store.state.safety.lastAt : now,
  };
  const over = stop.overAt !== null;
  const from = stop.begunAt;
  const at = over ? stop.overAt : now === 0 ? null : now;
  const passed = from === null || at === null ? null : (at - from) / 60_000;
  const minute = (ms: number | null): number | null =>
    ms === null || from === null ? null : (ms - from) / 60_000;
  const progress = Object.fromEntries(
    planned.tasks.map((t): [string, Progress] => {
      const p = stop.tasks[t.id];
      const done = minute(p?.doneAt ?? null);
      return [t.id, { begun_min: minute(p?.begunAt ?? null), done_min: done }];
    }),
  );
  // Planned anew with every tick, and every whole minute.
  const wish = passed === null || over ? null : Math.floor(passed);
  const { answer, working } = useStopNow(
    wish === null ? null : [planned.tasks, planned.people, progress, wish],
  );
  const stateOf = (t: NamedTask): State => {
    const p = stop.tasks[t.id];
    if (p?.doneAt !== null && p !== undefined) return 'done';
    if (p?.begunAt !== null && p !== undefined) return 'under way';
    const waits = t.after.some((a) => (stop.tasks[a]?.doneAt ?? null) === null);
    return waits ? 'waits' : 'ready';
  };
  const inStop = (t: NamedTask): boolean => t.needs.length > 0;
  const beforehand = planned.tasks
    .filter((t) => !inStop(t) && stateOf(t) !== 'done' && waitedForBy(planned.tasks, t.id).some(inStop))
    .map((t) => t.name);
  const tasks = planned.tasks.map((t, i) => ({ t, place: i + 1, state: stateOf(t) }));
  const shown = all ? tasks : tasks.filter((x) => x.state === 'ready' || x.state === 'under way');
  const wordsOf = (t: NamedTask): string => {
    const p = stop.tasks[t.id];
    return p?.doneAt !== null && p !== undefined && p.begunAt !== null
      ? `${Math.round((p.doneAt - p.begunAt) / 60_000)} of ${t.minutes} min`
      : `${t.minutes} min`;
  };
  return (
    <>
      <Clock passed={passed} allowed={planned.allowed_min} ends={answer?.stopEnds_min ?? null} over={over} />
      <Box display="flex" gap="2" flexWrap="wrap" mb="3">
        {from === null && beforehand.length > 0 && (
          <Text>
            <StateMark mark="doubt" label={null} /> Still open, planned while the machine runs:{' '}
            {beforehand.join('; ')}. Done in the outage, they lengthen it.
          </Text>
        )}
        {from === null && (
          <Primary onClick={() => store.record('stop.begun', {})}>Machine stopped now</Primary>
        )}
        {from !== null && !over && (
          <Secondary onClick={() => store.record('stop.over', {})}>Machine runs again</Secondary>
        )}
      </Box>
      <OutAndIn {...props} now={swapNow} />
      <Section title={all ? 'All tasks' : 'Now'}>
        <Box as="ol" listStyleType="none" aria-label="Outage tasks">
          {shown.map(({ t, place, state }) => (
            <TaskLine
              key={t.id}
              task={t}
              place={place}
              state={state}
              minutes={wordsOf(t)}
              held={taskHeld(hands, t.id)}
              tell={(did) => store.record('stop.task', { task: t.id, did })}
            />
          ))}
        </Box>
        {shown.length === 0 && <Text>No task can start: see all tasks.</Text>}
        <Secondary mt="2" onClick={() => setAll(!all)}>
          {all ? 'Next tasks only' : `All ${planned.tasks.length} tasks`}
        </Secondary>
      </Section>
      {answer !== null && !over && passed !== null && answer.schedule.length > 0 && (
        <Section title={working ? 'Updating the plan…' : 'Remaining tasks'}>
          <StopChart
            plan={{
              stop_min: answer.stopEnds_min ?? passed,
              stopsAt_min: 0,
              total_min: Math.max(planned.allowed_min ?? 0, ...answer.schedule.map((s) => s.end_min)),
              schedule: answer.schedule,
            }}
            tasks={planned.tasks}
            people={planned.people}
            now_min={passed}
            allowed_min={planned.allowed_min}
          />
        </Section>
      )}
    </>
  );
}
