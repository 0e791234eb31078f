'use client';
import { Box } from '@chakra-ui/react';
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
import { Text } from '../../kit/text';

const troubleWords = (trouble: TaskTrouble, tasks: readonly NamedTask[]): string => {
  const names = [...new Set(trouble.ids)].map((id) => tasks.find((t) => t.id === id)?.name ?? id).join(', ');
  if (trouble.trouble === 'ring') return `Circular dependency: ${names}. Remove one dependency.`;
  if (trouble.trouble === 'people') return `More people needed than available: ${names}.`;
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
          min outage
        </Text>
      </Text>
      <Text fontWeight="500">
        {fits !== null && <StateMark mark={fits ? 'sound' : 'failed'} label={null} />}{' '}
        {fits === null
          ? 'Allowed downtime not known.'
          : fits
            ? `Within the ${allowed} minutes allowed.`
            : `${inMinutes(plan.stop_min - (allowed ?? 0))} minutes more than allowed.`}{' '}
        {inMinutes(plan.total_min)} minutes of work in total.
      </Text>
      <Disclosure>
        {plan.optimal
          ? 'No plan with these tasks and people has a shorter outage: every other order was checked or excluded by a bound.'
          : `No plan has an outage under ${inMinutes(plan.bound_min)} minutes; a shorter one than this was not ruled out.`}{' '}
        {plan.totalOptimal
          ? 'With this outage no plan is shorter in total.'
          : `In total no plan takes under ${inMinutes(plan.totalBound_min)} minutes.`}{' '}
        All stopped or isolated tasks are in one outage window, and so are tasks between two of them.
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
      <Caution title="Work inside only when isolated and proven dead.">
        A task with work inside is never moved out of the isolation, whatever time it would save.
      </Caution>
      <Section title="Outage">
        <FieldGrid>
          <Select
            label="People available"
            value={people}
            onChange={setPeople}
            options={['1', '2', '3', '4'].map((n) => ({ value: n, label: n }))}
          />
          <NumberField
            label="Downtime allowed"
            unit="min"
            text={allowed}
            set={setAllowed}
            hint="Empty: not known"
          />
        </FieldGrid>
        {typed.length === 0 && (
          <Text mb="2">
            No tasks yet. Start with the usual replacement tasks, and adapt them to this site.
          </Text>
        )}
        {tasks === null && <Text color="failed">A value in the list cannot be read: no plan yet.</Text>}
        {tasks !== null && trouble !== null && (
          <Text role="alert" color="failed" fontWeight="500">
            {troubleWords(trouble, tasks)}
          </Text>
        )}
        {failed && <Text color="failed">The plan could not be calculated. Reload the page.</Text>}
        {working && <Text role="status">Calculating the shortest outage…</Text>}
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
              setKept('Plan saved.');
            }}
          >
            Save plan
          </Primary>
          <Secondary
            onClick={() =>
              change([...typed, { id: v7(), name: '', minutes: '10', needs: '', people: '1', after: [] }])
            }
          >
            Add a task
          </Secondary>
          {typed.length === 0 && (
            <Secondary onClick={() => change(usualSwap.map(typedTaskOf))}>Usual replacement tasks</Secondary>
          )}
        </Box>
        <KeptNote text={kept} />
        {stopPlanned !== null && <CalendarLink jobId={jobId} />}
        <TaskList tasks={typed} set={change} />
      </Section>
    </>
  );
}
