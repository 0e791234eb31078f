import { swapOf } from '../swap';
import { knownType, stateOf, swapJob } from '../swap/__tests__/swap-job';
import { testDrive } from '../../logbook/__tests__/job';
import { reportOf } from '.';

type Job = ReturnType<typeof swapJob>;
const report = (j: Job) =>
  reportOf(stateOf(j), swapOf(stateOf(j), knownType), { sheet: null, release: null, startUp: null });
const sentences = (j: Job) => report(j).customer.flatMap((c) => c.sentences);
const partOf = (j: Job, id: string) => report(j).record.find((p) => p.id === id);

it('begins in plain words with what was wrong, and leaves out what is not there', () => {
  const j = swapJob();
  expect(report(j).customer.map((c) => c.heading)).toEqual([
    'What was wrong',
    'What we found',
    'What you should know',
  ]);
  expect(sentences(j)[0]).toBe(
    'You reported: “Knot trips on overvoltage when it pays out, three times this week; no longer made”.',
  );
  expect(report(j).signed).toBeNull();
  expect(report(j).record.every((p) => p.lines.length > 0 || (p.table?.rows.length ?? 0) > 0)).toBe(true);
});

it('says the decision, and what was the cheapest where another way was taken', () => {
  const j = swapJob();
  j.add('decide.made', {
    choice: 'newer',
    reason: 'no longer made',
    costs: [
      { choice: 'newer', mid: 2100, stop_h: 1.5 },
      { choice: 'repair', mid: 1800, stop_h: 2 },
      { choice: 'exchange', mid: null, stop_h: 0 },
    ],
    cheapest: 'repair',
  });
  expect(sentences(j)).toContain('We decided to replace with a newer type: “no longer made”.');
  expect(partOf(j, 'decision')?.lines[1]).toBe('Least expected cost was: repair it.');
  expect(partOf(j, 'decision')?.table?.rows[2]).toEqual([
    'Replace with the same type',
    'not possible',
    '0.0',
  ]);
});

it('has every wire once, with where it ended and who saw it', () => {
  const state = stateOf(swapJob());
  const seen = { drive: 'Ines Tarrow', field: 'Ines Tarrow' };
  const wires = state.swap.wires.map((w, i) => (i === 0 ? { ...w, landed: 'R', ticked: seen } : w));
  const ticked = { ...state, swap: { ...state.swap, wires } };
  const { record } = reportOf(ticked, swapOf(ticked, knownType), {
    sheet: null,
    release: null,
    startUp: null,
  });
  const rows = record.find((p) => p.id === 'wires')?.table?.rows ?? [];
  expect(rows).toHaveLength(21);
  expect(rows[0]).toEqual(['1', 'L1', 'R', 'R', 'power, L1', 'both ends, Ines Tarrow', '']);
  expect(rows[12]?.[6]).toBe('drawing shows 4');
  expect(rows[19]?.[3]).toBe('open');
  expect(rows[20]?.[3]).toBe('cap');
});

it('does not say that a wire was looked at when it was not', () => {
  const j = swapJob();
  const state = stateOf(j);
  const out = { ...state, swap: { ...state.swap, outAt: 1 } };
  const { customer } = reportOf(out, swapOf(out, knownType), { sheet: null, release: null, startUp: null });
  expect(customer.flatMap((c) => c.sentences)).toContain(
    '19 wires were transferred, 0 of them checked at both ends.',
  );
});

it('every value of the old set ends in one row, with its sum', () => {
  const rows = partOf(swapJob(), 'settings')?.table?.rows ?? [];
  expect(rows).toHaveLength(66);
  expect(rows.find((r) => r[0]?.startsWith('B-05'))?.[6]).toContain('80 % × 18 A = 14.4 A');
});

it('values say what became of them, and the final backup has its checksum', () => {
  const j = swapJob();
  const row = () => partOf(j, 'settings')?.table?.rows.find((r) => r[3] !== '' && r[2] !== '');
  expect(row()?.[4]).toBe('requested');
  expect(partOf(j, 'backup')).toBeUndefined();
  j.add('identify.drive', { ...testDrive, type: 'W4-15' });
  const carried = swapOf(stateOf(j), knownType)?.carried?.rows ?? [];
  const to = carried.flatMap((r): [string, number][] =>
    r.to === null || r.to.value === null ? [] : [[r.to.number, r.to.value]],
  );
  j.add('drive.read', {
    target: '127.0.0.1:1',
    typeId: 'whimbrel-w4',
    identity: { vendor: 'Whimbrel', product: 'W4', revision: '1' },
    values: Object.fromEntries(to),
    live: {},
    history: [],
  });
  expect(row()?.[4]).toBe('found');
  expect(partOf(j, 'backup')?.lines[0]).toMatch(/^Read-out of Whimbrel W4, .*, checksum [0-9A-F]{8}\.$/);
});

it('the stop is compared with what was allowed, task by task', () => {
  const j = swapJob();
  const task = {
    id: 'run',
    name: 'First run',
    minutes: 20,
    needs: ['stop' as const],
    after: [],
    people: 1,
  };
  j.add('stop.planned', { people: 2, allowed_min: 90, tasks: [task] });
  j.add('stop.begun', {});
  j.add('stop.task', { task: 'run', did: 'begun' }, { after: 300 });
  j.add('stop.task', { task: 'run', did: 'done' }, { after: 1500 });
  j.add('stop.over', {}, { after: 4200 });
  expect(sentences(j)).toContain('The machine was stopped for 100 minutes, 10 longer than the 90 allowed.');
  expect(partOf(j, 'stop')?.table?.rows).toEqual([['First run', '20', '5', '30']]);
});

it('photographs come once, with what they show; entries that do not count are listed with their reason', () => {
  const j = swapJob();
  const sha = 'a'.repeat(64);
  j.add('swap.terminal', { mark: '5', note: 'two cores', photos: [sha] });
  j.add('note.added', { stage: 'swap', text: 'the same', photos: [sha] });
  j.add('wire.ticked', { wire: '0190c000-0000-7000-8000-000000000042', end: 'drive', on: true, to: 'R' });
  expect(report(j).photos).toHaveLength(1);
  expect(report(j).photos[0]?.caption).toContain('Terminal 5: “two cores”');
  expect(partOf(j, 'void')?.lines).toHaveLength(1);
});

it('two names, and what both took on', () => {
  const j = swapJob();
  j.add('handover.followed', {
    unit: 'Hz',
    points: [45, 10, 25].map((asked) => ({ asked, got: asked - 0.1 })),
  });
  j.add('job.signed-off', {
    second: 'Jory Pell',
    secondIs: 'shift lead',
    open: [{ id: 'locks', text: 'Locks: left open' }],
    seq: 1,
  });
  const { signed, curves } = report(j);
  expect(signed?.names).toEqual([
    { name: 'Ines Tarrow', is: 'technician' },
    { name: 'Jory Pell', is: 'shift lead' },
  ]);
  expect(signed?.open).toEqual(['Locks: left open']);
  expect(sentences(j)).toContain('Left open: Locks: left open.');
  expect(curves[0]?.series[0]?.points.map((p) => p[0])).toEqual([10, 25, 45]);
});

it('says what was seen under power, with its curve', () => {
  const j = swapJob();
  expect(partOf(j, 'power')).toBeUndefined();
  j.add('sheet.signed', { verdict: 'not-shorted', headline: 'Not shorted.', detail: '', seq: 0 });
  j.add('power.planned', {
    way: { by: 'lamps', watts: 100 },
    expected_V: 501,
    stopBelow_V: 426,
    stopAfter_s: 4,
  });
  j.add('power.on', { through: 'lamps' });
  for (const [at_s, volts] of [
    [1, 310],
    [4, 498],
  ] as const)
    j.add('power.bus', { at_s, volts });
  j.add('power.lamps', {
    lamp: { volts: 230, watts: 100 },
    perLeg: 1,
    hz: 30,
    volts: [240, 241, 240],
    amps: [0.4, 0.3, 0.4],
  });
  const power = partOf(j, 'power');
  expect(power?.lines).toEqual([
    'Balanced on lamps: no.',
    'Runs under load: no.',
    'Planned through lamps of 100 W: bus at rest 501 V, off below 426 V after 4 s.',
  ]);
  expect(power?.table?.rows[0]?.[3]).toMatch(/Phase V differs from the others/);
  expect(report(j).curves.find((c) => c.title === 'Bus at first power')?.series[0]?.points).toEqual([
    [1, 310],
    [4, 498],
  ]);
});
