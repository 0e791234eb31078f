import { Box } from '@chakra-ui/react';
import type { NamedTask } from '@/core/replacement/stop-plan';
import { Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { NumberField, Select, TextField, optionsOf } from '../../kit/field';
import { Tick } from '../../kit/tick';
import { Disclosure } from '../../kit/why';
import { Text } from '../../kit/text';

/** A task as it is typed. */
export interface TypedTask {
  id: string;
  name: string;
  minutes: string;
  needs: '' | 'stop' | 'isolated';
  people: string;
  after: readonly string[];
}

export const typedTaskOf = ({ id, name, minutes, needs, people, after }: NamedTask): TypedTask => ({
  id,
  name,
  minutes: String(minutes),
  needs: needs.includes('isolated') ? 'isolated' : needs.includes('stop') ? 'stop' : '',
  people: String(people ?? 1),
  after,
});

const minutesOf = (text: string): number | null => {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) && value >= 0 && value <= 10_000 ? value : null;
};

/** What was typed as tasks; null as long as something cannot be read. */
export function tasksOf(
  typed: readonly TypedTask[],
): (NamedTask & { people: number; needs: ('stop' | 'isolated')[]; after: string[] })[] | null {
  const made = typed.flatMap((t) => {
    const minutes = minutesOf(t.minutes);
    const people = Number(t.people);
    if (minutes === null || t.name.trim() === '' || !Number.isInteger(people) || people < 1 || people > 20)
      return [];
    const needs = t.needs === '' ? [] : [t.needs];
    return [{ id: t.id, name: t.name.trim(), minutes, needs, people, after: [...t.after] }];
  });
  return made.length === typed.length ? made : null;
}

function OneTask({
  task,
  place,
  others,
  change,
  remove,
}: {
  task: TypedTask;
  place: number;
  others: readonly TypedTask[];
  change: (task: TypedTask) => void;
  remove: () => void;
}) {
  const names = others.filter((o) => task.after.includes(o.id)).map((o) => o.name);
  return (
    <Box as="li" borderBottom="1px solid" borderColor="line" py="2">
      <FieldGrid min="150px">
        <TextField
          label={`${place}. Task`}
          text={task.name}
          maxLength={200}
          error={task.name.trim() === '' ? 'Task description' : undefined}
          set={(text) => change({ ...task, name: text })}
        />
        <NumberField
          label={`Duration, task ${place}`}
          unit="min"
          text={task.minutes}
          error={minutesOf(task.minutes) === null ? 'Minutes, from zero' : undefined}
          set={(minutes) => change({ ...task, minutes })}
        />
        <Select
          label={`Machine, task ${place}`}
          value={task.needs}
          onChange={(needs) => change({ ...task, needs })}
          options={optionsOf({ '': 'as it is', stop: 'stopped', isolated: 'isolated, hands in' })}
        />
        <Select
          label={`People, task ${place}`}
          value={task.people}
          onChange={(people) => change({ ...task, people })}
          options={['1', '2', '3', '4'].map((n) => ({ value: n, label: n }))}
        />
      </FieldGrid>
      <Text fontSize="0.92rem" color="soft">
        {names.length === 0 ? 'No dependencies.' : `After: ${names.join('; ')}.`}
      </Text>
      <Disclosure label={`what task ${place} depends on`}>
        {others.map((o) => (
          <Tick
            key={o.id}
            label={o.name}
            checked={task.after.includes(o.id)}
            onChange={(on) =>
              change({ ...task, after: on ? [...task.after, o.id] : task.after.filter((a) => a !== o.id) })
            }
          />
        ))}
        <Secondary onClick={remove}>Delete task {place} out</Secondary>
      </Disclosure>
    </Box>
  );
}

/** The tasks, each with its time, what the machine must be, who is needed and what comes before it. */
export const TaskList = ({
  tasks,
  set,
}: {
  tasks: readonly TypedTask[];
  set: (tasks: TypedTask[]) => void;
}) => (
  <Box as="ol" aria-label="Tasks" listStyleType="none">
    {tasks.map((task, i) => (
      <OneTask
        key={task.id}
        task={task}
        place={i + 1}
        others={tasks.filter((t) => t.id !== task.id)}
        change={(next) => set(tasks.map((t) => (t.id === task.id ? next : t)))}
        remove={() =>
          set(
            tasks
              .filter((t) => t.id !== task.id)
              .map((t) => ({ ...t, after: t.after.filter((a) => a !== task.id) })),
          )
        }
      />
    ))}
  </Box>
);
