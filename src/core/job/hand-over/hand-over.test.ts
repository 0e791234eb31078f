import { defaultStartUpChoices } from '../../equipment/application';
import { releaseOf } from '../release';
import { swapOf } from '../swap';
import { knownType, stateOf, swapJob } from '../swap/__tests__/swap-job';
import { againstHandOver, followError, handOverItems } from '.';

type Job = ReturnType<typeof swapJob>;
const items = (j: Job) => handOverItems(stateOf(j), swapOf(stateOf(j), knownType), null);
const itemOf = (j: Job, id: string) => items(j).find((i) => i.id === id);
const points = (...got: number[]) => got.map((g, i) => ({ asked: [10, 25, 45][i] ?? 0, got: g }));

it('a machine does not go back while people were not told and a partner was not checked', () => {
  const j = swapJob();
  const { never, byName } = againstHandOver(items(j));
  expect(never.map((i) => i.id)).toEqual(['told', 'partner:Shellfish grading drum']);
  expect(byName.map((i) => i.id)).toEqual(['settings', 'followed', 'backup', 'locks', 'inspection']);
  j.add('handover.told', { who: 'control room', how: '' });
  j.add('handover.partner', { machine: 'Shellfish grading drum', right: false, note: 'jerks' });
  expect(againstHandOver(items(j)).never).toMatchObject([
    { state: 'failed', text: 'Does not run as before. jerks' },
  ]);
  j.add('handover.partner', { machine: 'Shellfish grading drum', right: true, note: '' });
  expect(againstHandOver(items(j)).never).toEqual([]);
});

it('speeds follow within two percent of the largest reference', () => {
  // 0.8 of 45 Hz.
  expect(followError(points(10, 24.2, 45))).toBeCloseTo(0.8 / 45, 9);
  const j = swapJob();
  j.add('handover.followed', { unit: 'Hz', points: points(10, 24.2, 45) });
  expect(itemOf(j, 'followed')?.state).toBe('done');
  j.add('handover.followed', { unit: 'Hz', points: points(10, 24, 45) });
  expect(itemOf(j, 'followed')).toMatchObject({ state: 'failed' });
  j.add('handover.followed', { unit: 'Hz', points: [10, 10, 45].map((asked) => ({ asked, got: asked })) });
  expect(itemOf(j, 'followed')?.text).toContain('Three different references');
});

it('a backup counts when it was read out after the last change', () => {
  const j = swapJob();
  const values = { '5-01': 1 };
  const read = () =>
    j.add('drive.read', {
      target: '127.0.0.1:1',
      typeId: 'knot-k3',
      identity: { vendor: 'Knot', product: 'K3', revision: '2' },
      values,
      live: {},
      history: [],
    });
  expect(itemOf(j, 'backup')?.text).toContain('Not read out');
  read();
  expect(itemOf(j, 'backup')?.state).toBe('done');
  const asked = j.add('drive.write-asked', {
    target: '127.0.0.1:1',
    typeId: 'knot-k3',
    number: '5-01',
    name: 'Input',
    from: 1,
    to: 2,
    shownFrom: '1',
    shownTo: '2',
    reason: 'test',
    trial: false,
  } as never);
  j.add('drive.write-done', { asked, found: 2 });
  expect(itemOf(j, 'backup')?.state).toBe('open');
  read();
  expect(itemOf(j, 'backup')?.state).toBe('done');
});

it('locks left open and a stop that goes on are said', () => {
  const j = swapJob();
  j.add('handover.locks', { locks: 'open', note: 'code lost' });
  expect(itemOf(j, 'locks')).toMatchObject({ state: 'failed', text: 'Left open. code lost', mayWait: true });
  j.add('stop.begun', {});
  expect(itemOf(j, 'stop')).toMatchObject({ state: 'open', mayWait: false });
  j.add('stop.over', {}, { after: 60 * 60 });
  expect(itemOf(j, 'stop')?.text).toBe('Stopped for 60 minutes.');
});

it('what stands in the registers stands here too', () => {
  const j = swapJob();
  j.add('question.opened', { text: 'who has the code?' });
  expect(items(j).at(-1)).toMatchObject({ title: 'Open issue', state: 'open', mayWait: true });
});

it('a wrong direction is never handed over, until it was seen right', () => {
  const j = swapJob();
  const step = (outcome: 'ok' | 'not-ok') =>
    j.add('commission.step', { step: 'direction', outcome, seen: [], seenBy: 'hand', speeds: [] });
  step('not-ok');
  expect(itemOf(j, 'direction')).toMatchObject({ state: 'open', mayWait: false });
  step('ok');
  expect(itemOf(j, 'direction')).toBeUndefined();
});

it('the next look is not in the past', () => {
  const j = swapJob();
  j.add('handover.inspection', { date: '2020-01-01', what: 'fan' });
  expect(itemOf(j, 'inspection')).toMatchObject({ state: 'failed', mayWait: false });
  j.add('handover.inspection', { date: '2099-01-01', what: 'fan' });
  expect(itemOf(j, 'inspection')?.state).toBe('done');
});

it('what stands against a start-up that was begun stands here too, and safety functions never wait', () => {
  const j = swapJob();
  j.add('identify.motor', {
    plate: { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11.2, hz: 50, rpm: 1450, cosPhi: 0.83 },
    photos: [],
  });
  j.add('startup.choices', {
    choices: defaultStartUpChoices({ plate_Hz: 50, knob: false }),
    supply: { volts: 400, hz: 50 },
  });
  const known = knownType('whimbrel-w4');
  if (known === null) throw new Error('the catalogue has it');
  const released = () =>
    releaseOf(stateOf(j), known.control, { ratedAmps: 15, power_kW: 7.5, supply_V: 400 });
  const off = (released()?.sheet.rows ?? []).map(({ number, value }) => [number, (value ?? 0) + 1] as const);
  j.add('drive.read', {
    target: '127.0.0.1:1',
    typeId: 'whimbrel-w4',
    identity: { vendor: 'Whimbrel', product: 'W4', revision: '1' },
    values: Object.fromEntries(off),
    live: {},
    history: [],
  });
  const state = stateOf(j);
  const release = released();
  const { never, byName } = againstHandOver(handOverItems(state, null, release));
  const ids = (list: typeof never) => list.map((i) => i.id);
  expect(ids(never)).toEqual(
    expect.arrayContaining([
      'step:direction',
      'step:reversal',
      'step:safety-STO',
      'step:safety-emergency stop',
    ]),
  );
  expect(ids(byName)).toEqual(expect.arrayContaining(['entries', 'step:torque', 'step:speeds']));
  expect(handOverItems(state, null, null).some((i) => i.title === 'Start-up')).toBe(false);
});
