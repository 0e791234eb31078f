'use client';
import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { v7 } from 'uuid';
import {
  taskTrouble,
  usualSwap,
  type NamedTask,
  type StopPlan,
  type TaskTrouble,
} from '@/core/replacement/stop-plan';
import type { StageProps } from '../../job-store/stage-props';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { NumberField, Select } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';
import { StateMark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import { StopChart } from '../../panels/outage/stop-chart';
import { CalendarLink } from './calendar-link';
import { Movables } from './movables';
import { TaskList, tasksOf, typedTaskOf, type TypedTask } from './task-list';
import { useStopPlan } from '../../panels/outage/use-stop-plan';

const troubleWords = (trouble: TaskTrouble, tasks: readonly NamedTask[]): string => {
  const names = [...new Set(trouble.ids)].map((id) => tasks.find((t) => t.id === id)?.name ?? id).join(', ');
  if (trouble.trouble === 'ring')
    return `These wait for each other in a ring: ${names}. Let one of them wait for less.`;
  if (trouble.trouble === 'people') return `More people than are at hand: ${names}.`;
  return `Cannot be planned: ${names}.`;
};

const inMinutes = (minutes: number): string => String(Number(minutes.toFixed(1)));

function Answer({ plan, allowed }: { plan: StopPlan; allowed: number | null }) {
  const fits = allowed === null ? null : plan.stop_min <= allowed;
  return (
    <Box role="status" my="3">
      <Text fontFamily="mono" fontSize="2.2rem" lineHeight="1.2">
        {inMinutes(plan.stop_min)}{' '}
        <Text as="span" fontSize="1.1rem">
          min stop
        </Text>
      </Text>
      <Text fontWeight="500">
        {fits !== null && <StateMark mark={fits ? 'sound' : 'failed'} label={null} />}{' '}
        {fits === null
          ? 'How long it may stand was not said.'
          : fits
            ? `Within the ${allowed} minutes allowed.`
            : `${inMinutes(plan.stop_min - (allowed ?? 0))} minutes more than allowed.`}{' '}
        {inMinutes(plan.total_min)} minutes of work from beginning to end.
      </Text>
      <Disclosure>
        {plan.optimal
          ? 'No plan with these tasks and people stops the machine for less: every other order was looked at or left out by a bound.'
          : `No plan stops the machine for less than ${inMinutes(plan.bound_min)} minutes; whether this one can be beaten was not settled.`}{' '}
        What is stopped or isolated lies in one window, and so does what is caught between two of those.
      </Disclosure>
    </Box>
  );
}

/** Who does what when, so that the machine stands still for the shortest time. */
export function StopPanel({ jobId, store }: StageProps) {
  const {
    swap: { planned: stopPlanned },
    opened,
  } = store.state;
  const [typed, setTyped] = useState<readonly TypedTask[]>(() => (stopPlanned?.tasks ?? []).map(typedTaskOf));
  const [people, setPeople] = useState(String(stopPlanned?.people ?? 2));
  const [allowed, setAllowed] = useState(
    String(stopPlanned?.allowed_min ?? opened?.payload.downtimeAllowed_min ?? ''),
  );
  const [kept, setKept] = useState<string | null>(null);
  const tasks = tasksOf(typed);
  const hands = Number(people);
  const trouble = tasks === null ? null : taskTrouble(tasks, hands);
  const wish: [NamedTask[], number] | null =
    tasks === null || trouble !== null || tasks.length === 0 ? null : [tasks, hands];
  const { answer, failed, working, movable } = useStopPlan(wish);
  const change = (next: readonly TypedTask[]) => {
    setKept(null);
    setTyped(next);
  };
  return (
    <>
      <Caution title="Hands in only where it is isolated and proven dead.">
        A task with hands in it is never moved out of the isolation, whatever it would save.
      </Caution>
      <Section title="The stop">
        <FieldGrid>
          <Select
            label="People at hand"
            value={people}
            onChange={setPeople}
            options={['1', '2', '3', '4'].map((n) => ({ value: n, label: n }))}
          />
          <NumberField
            label="Stop allowed"
            unit="min"
            text={allowed}
            set={setAllowed}
            hint="Empty: nobody said"
          />
        </FieldGrid>
        {typed.length === 0 && (
          <Text mb="2">
            No task yet. Begin with what a swap usually takes, and put it right for this place.
          </Text>
        )}
        {tasks === null && (
          <Text color="failed">Something in the list cannot be read: it is not planned yet.</Text>
        )}
        {tasks !== null && trouble !== null && (
          <Text role="alert" color="failed" fontWeight="500">
            {troubleWords(trouble, tasks)}
          </Text>
        )}
        {failed && <Text color="failed">The plan could not be worked out. Load the page again.</Text>}
        {working && <Text role="status">Looking for the shortest stop…</Text>}
        {wish !== null && answer !== null && !working && (
          <>
            <Answer plan={answer} allowed={numberFrom(allowed)} />
            <StopChart plan={answer} tasks={wish[0]} people={hands} allowed_min={numberFrom(allowed)} />
            <Movables movable={movable} tasks={wish[0]} />
          </>
        )}
        <Box display="flex" gap="2" flexWrap="wrap" my="3">
          <Primary
            disabled={tasks === null || trouble !== null || tasks.length === 0}
            onClick={() => {
              if (tasks === null) return;
              store.record('stop.planned', { people: hands, allowed_min: numberFrom(allowed), tasks });
              setKept('The plan is kept.');
            }}
          >
            Keep the plan
          </Primary>
          <Secondary
            onClick={() =>
              change([...typed, { id: v7(), name: '', minutes: '10', needs: '', people: '1', after: [] }])
            }
          >
            Add a task
          </Secondary>
          {typed.length === 0 && (
            <Secondary onClick={() => change(usualSwap.map(typedTaskOf))}>
              What a swap usually takes
            </Secondary>
          )}
        </Box>
        <KeptNote text={kept} />
        {stopPlanned !== null && <CalendarLink jobId={jobId} />}
        <TaskList tasks={typed} set={change} />
      </Section>
    </>
  );
}
