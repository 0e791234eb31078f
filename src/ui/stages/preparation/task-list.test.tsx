/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { show, tick, fillField } from '../../__tests__/show';
import { TaskList, tasksOf, typedTaskOf, type TypedTask } from './task-list';

const lift: TypedTask = {
  id: 'lift',
  name: 'Lift it out',
  minutes: '20',
  needs: 'isolated',
  people: '2',
  after: [],
};
const label: TypedTask = {
  id: 'label',
  name: 'Label the wires',
  minutes: '15',
  needs: '',
  people: '1',
  after: [],
};

function Harness({
  begun,
  tell,
}: {
  begun: readonly TypedTask[];
  tell: (now: readonly TypedTask[]) => void;
}) {
  const [tasks, setTasks] = useState(begun);
  const set = (next: readonly TypedTask[]) => {
    tell(next);
    setTasks(next);
  };
  return <TaskList tasks={tasks} set={set} />;
}
const open = (begun: readonly TypedTask[] = [label, lift]) => {
  const told = { now: begun };
  show(<Harness begun={begun} tell={(now) => void (told.now = now)} />);
  return told;
};
const retype = async (field: string, text: string) => {
  await userEvent.clear(screen.getByLabelText(field));
  if (text !== '') await fillField(screen.getByLabelText(field), text);
};

test.each([
  ['', 'Minutes, from zero'],
  ['-5', 'Minutes, from zero'],
  ['soon', 'Minutes, from zero'],
  ['10001', 'Minutes, from zero'],
])('minutes as "%s" are an error at the field, and no plan is made', async (text, words) => {
  const told = open();
  await retype('Duration, task 2', text);
  expect(screen.getByText(words)).toBeTruthy();
  expect(tasksOf(told.now)).toBeNull();
});

test('a task without a name is asked what is done; blanks are no name', async () => {
  const told = open();
  await retype('1. Task', '  ');
  expect(screen.getByText('Task description')).toBeTruthy();
  expect(tasksOf(told.now)).toBeNull();
});

test('a comma is read, and what waits for what is kept', async () => {
  const told = open();
  await retype('Duration, task 2', '12,5');
  const [, second] = screen.getAllByText(/^what task \d depends on$/);
  await userEvent.click(second!);
  await tick('Label the wires');
  expect(tasksOf(told.now)).toMatchObject([
    { id: 'label', minutes: 15, needs: [], people: 1, after: [] },
    { id: 'lift', minutes: 12.5, needs: ['isolated'], people: 2, after: ['label'] },
  ]);
  expect(screen.getByText('After: Label the wires.')).toBeTruthy();
});

test('a task that was waited for and is taken out is waited for no longer', async () => {
  const told = open([label, { ...lift, after: ['label'] }]);
  await userEvent.click(screen.getByText('what task 1 depends on'));
  await userEvent.click(screen.getByText('Delete task 1 out'));
  expect(tasksOf(told.now)).toMatchObject([{ id: 'lift', after: [] }]);
});

test('kept tasks open as they were', () => {
  const tasks = tasksOf([label, { ...lift, after: ['label'] }]);
  expect(tasks).not.toBeNull();
  expect(tasksOf(tasks!.map(typedTaskOf))).toEqual(tasks);
});
