/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { choose, show, tick, fillField } from '../../__tests__/show';
import { ConditionsForm, readConditions, usualConditions, type Conditions } from './conditions';

const usual = usualConditions('international');

function Harness({ phases, tell }: { phases: 1 | 3; tell: (now: Conditions) => void }) {
  const [value, setValue] = useState(usual);
  const set = (next: Conditions) => {
    tell(next);
    setValue(next);
  };
  return <ConditionsForm value={value} set={set} phases={phases} assumed={[]} />;
}
const open = (phases: 1 | 3 = 3) => {
  const told = { now: usual };
  show(<Harness phases={phases} tell={(now) => void (told.now = now)} />);
  return told;
};
const retype = async (label: string, text: string) => {
  await userEvent.clear(screen.getByLabelText(label));
  await fillField(screen.getByLabelText(label), text);
};

test('values out of range are an error at their field, and the usual is drawn', async () => {
  const told = open();
  await retype('Reference', '401');
  expect(screen.getByText('From 2 to 400 Hz; drawn at 40')).toBeTruthy();
  await retype('Load, of motor rating', '201');
  expect(screen.getByText('From 0 to 200 %; drawn at 70')).toBeTruthy();
  expect(readConditions(told.now)).toMatchObject({ f1: 40, share: 0.7 });
  await retype('Reference', '400');
  await retype('Load, of motor rating', '0');
  expect(screen.queryAllByRole('alert')).toEqual([]);
  expect(readConditions(told.now)).toMatchObject({ f1: 400, share: 0 });
});

test('the supply counts as measured only with all three of its volts', async () => {
  const told = open();
  await retype('Supply L1 to L2', '398');
  await retype('Supply L2 to L3', '401,5');
  expect(readConditions(told.now).measured_V).toBeNull();
  await retype('Supply L3 to L1', 'much');
  expect(screen.getByText('A value above zero; otherwise the nameplate value is used')).toBeTruthy();
  expect(readConditions(told.now).measured_V).toBeNull();
  await retype('Supply L3 to L1', '399');
  expect(readConditions(told.now).measured_V).toEqual([398, 401.5, 399]);
});

test('each load asks for its own value; a unit of one phase for no supply pairs', async () => {
  const told = open(1);
  expect(screen.queryByLabelText('Supply L1 to L2')).toBeNull();
  await choose('Load type', 'three lamps');
  expect(screen.queryByLabelText('Load, of motor rating')).toBeNull();
  await retype('Each lamp', '-60');
  expect(screen.getByText('A value above zero; drawn with 100')).toBeTruthy();
  await retype('Each lamp', '60');
  await tick('DC-link choke fitted');
  expect(readConditions(told.now)).toMatchObject({ lampWatts: 60, choke: true, supply_Hz: 50 });
  await choose('Load type', 'nothing');
  expect(screen.queryByLabelText('Each lamp')).toBeNull();
});
