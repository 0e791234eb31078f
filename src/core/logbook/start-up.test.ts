import { greatestLimits } from '../bench/make-safe';
import { earthFor_s, fold, motorBlockers, stageLines, openIssues, summarise, type Payload } from '.';
import { testDrive, job, odo, opening, pip } from './__tests__/job';

const stateOf = (j: ReturnType<typeof job>) => fold(j.entries, { limits: greatestLimits });
const blockers = (j: ReturnType<typeof job>): string =>
  motorBlockers(stateOf(j).startUp)
    .map((b) => b.text)
    .join();
const insulation = (
  megohm: number,
  differs: Partial<Payload<'motor.insulation'>> = {},
): Payload<'motor.insulation'> => ({
  of: 'cable',
  between: 'earth',
  ratedVolts: 400,
  testVolts: 500,
  readings: [{ at_s: 60, megohm }],
  winding_C: 40,
  construction: 'random',
  material: 'thermosetting',
  kind: 'modern',
  ...differs,
});
const begun = () => {
  const j = job();
  j.add('job.opened', opening);
  j.add('identify.drive', testDrive);
  return j;
};
const ready = () => {
  const j = begun();
  j.add('motor.disconnected', { drive: 'off', thermistors: 'none', encoder: 'off' });
  return j;
};
const signature: Payload<'startup.signed'> = { seq: 0, entries: 30, against: [] };
const motorLine = (j: ReturnType<typeof job>) =>
  stageLines(stateOf(j), greatestLimits).find((l) => l.id === 'motor');

describe('tests of motor and cable', () => {
  it('do not count before it was said that drive, thermistors and encoder are off', () => {
    const j = begun();
    j.add('motor.insulation', insulation(900));
    expect(stateOf(j).startUp.insulations).toEqual([]);
    expect(stateOf(j).log.at(-1)?.void).toMatch(/destroys whatever is left connected/);
  });

  it('a cable that failed holds the job until a newer test of it passes and it was earthed', () => {
    const j = ready();
    const failed = j.add('motor.insulation', insulation(0.4));
    j.add('motor.earthed', { test: failed, seconds: 240 });
    expect(blockers(j)).toMatch(/The cable to earth failed/);
    expect(motorLine(j)).toMatchObject({ state: 'todo', note: 'blocked: test failed' });
    const good = j.add('motor.insulation', insulation(800));
    expect(blockers(j)).toMatch(/earth it for 240 s/);
    j.add('motor.earthed', { test: good, seconds: 240 });
    expect(motorBlockers(stateOf(j).startUp)).toEqual([]);
    expect(motorLine(j)).toMatchObject({ state: 'done' });
  });

  it('of one thing do not stand for another', () => {
    const j = ready();
    for (const part of ['cable', 'motor'] as const) {
      const id = j.add('motor.insulation', insulation(part === 'cable' ? 0.4 : 800, { of: part }));
      j.add('motor.earthed', { test: id, seconds: 240 });
    }
    expect(motorBlockers(stateOf(j).startUp)).toHaveLength(1);
  });

  it('earthing takes four times as long as the test', () => {
    const j = ready();
    j.add(
      'motor.insulation',
      insulation(800, {
        readings: [
          { at_s: 60, megohm: 800 },
          { at_s: 600, megohm: 1900 },
        ],
      }),
    );
    const [test] = stateOf(j).startUp.insulations;
    if (test === undefined) throw new Error('no test');
    expect(earthFor_s(test)).toBe(2400);
  });

  it('windings that are not alike hold it too', () => {
    const j = ready();
    const ohms = { uv: 1, vw: 1, wu: 1.5 };
    j.add('motor.winding', { ohms, temperature_C: 20, reference_C: 20, material: 'copper' });
    expect(blockers(j)).toMatch(/unbalanced/);
  });
});

describe('the signature of the start-up sheet', () => {
  it('is a technician’s, still stopped against nothing that the page knew', () => {
    const j = ready();
    j.add('startup.signed', signature, { by: pip });
    expect(stateOf(j).startUp.signed).toBeNull();
    j.add('startup.signed', { ...signature, against: ['The autotune is stale.'] });
    expect(stateOf(j).log.at(-1)?.void).toMatch(/stale/);
    j.add('startup.signed', signature, { by: odo });
    expect(stateOf(j).startUp.signed?.by).toEqual(odo);
  });

  it('is not taken over a failed motor, whatever the page says', () => {
    const j = ready();
    const id = j.add('motor.insulation', insulation(0.5));
    j.add('motor.earthed', { test: id, seconds: 240 });
    j.add('startup.signed', signature, { by: odo });
    expect(stateOf(j).startUp.signed).toBeNull();
  });

  it('falls with a value that is typed after it; a typed one needs a reason and can be taken back', () => {
    const j = ready();
    j.add('startup.signed', signature);
    j.add('startup.value', { number: '3-01', value: 2, reason: null });
    expect(stateOf(j).startUp.typed).toEqual({});
    j.add('startup.value', { number: '3-01', value: 2, reason: 'process need' });
    expect(stateOf(j).startUp).toMatchObject({
      signed: null,
      typed: { '3-01': { value: 2, reason: 'process need' } },
    });
    j.add('startup.value', { number: '3-01', value: null, reason: null });
    expect(stateOf(j).startUp.typed).toEqual({});
  });
});

it('a step of the run that an earlier version named otherwise is the step of today', () => {
  const j = ready();
  j.add('commission.step', {
    step: 'safety-safe stop',
    outcome: 'not-there',
    seen: [],
    seenBy: 'hand',
    speeds: [],
  });
  expect(stateOf(j).startUp.run.at(-1)?.payload.step).toBe('safety-STO');
});

describe('open issues', () => {
  const jumper = (differs: Partial<Payload<'jumper.set'>> = {}): Payload<'jumper.set'> => ({
    form: 'jumper',
    where: 'X1 to X7',
    guards: 'process',
    plant: 'existing',
    landed: 'yes',
    motorConnected: true,
    reason: 'float switch broken',
    approver: 'O. Wrack',
    removeBy: '2026-12-01',
    ...differs,
  });
  const until = (open: { id: string; text: string }[], day = '2026-12-01') => ({
    ...signature,
    mayRun: { until: day, approver: 'harbour master', open },
  });
  const named = (j: ReturnType<typeof job>) => openIssues(stateOf(j)).map(({ id, text }) => ({ id, text }));

  it('holds the signature, until it is named with a day and somebody who agrees', () => {
    const j = ready();
    j.add('jumper.set', jumper());
    j.add('question.opened', { text: 'whose is the grey wire?' });
    j.add('startup.value', { number: '3-01', value: 3, reason: 'for the test only' });
    expect(openIssues(stateOf(j))).toHaveLength(3);
    j.add('startup.signed', signature);
    expect(stateOf(j).log.at(-1)?.void).toMatch(/temporary jumper.*test-only.*grey wire/);
    j.add('startup.signed', until(named(j).slice(1)));
    expect(stateOf(j).startUp.signed).toBeNull();
    j.add('startup.signed', until(named(j)));
    expect(stateOf(j).startUp.signed?.payload.mayRun?.open).toHaveLength(3);
    expect(summarise(stateOf(j), greatestLimits, false)).toMatchObject({
      mayRun: { until: '2026-12-01', open: 3 },
      conclusion: { verdict: 'started', headline: 'Start-up sheet signed' },
    });
    expect(stageLines(stateOf(j), greatestLimits).find((l) => l.id === 'settings')?.note).toBe(
      'signed, may run until 2026-12-01',
    );
  });

  it('never holds for a bypassed safety function, and not after its day', () => {
    const j = ready();
    j.add('jumper.set', jumper({ guards: 'guard', motorConnected: false }));
    expect(openIssues(stateOf(j))[0]).toMatchObject({ mayWait: false });
    j.add('startup.signed', until(named(j)));
    expect(stateOf(j).log.at(-1)?.void).toMatch(/bypasses a safety function/);
    const k = ready();
    k.add('question.opened', { text: 'which fuse?' });
    const alone = { ...until(named(k)).mayRun, approver: 'ines  Tarrow, technician' };
    k.add('startup.signed', { ...signature, mayRun: alone });
    expect(stateOf(k).log.at(-1)?.void).toMatch(/the signer cannot agree for others/);
    k.add('startup.signed', until(named(k), '2026-11-19'));
    expect(stateOf(k).log.at(-1)?.void).toMatch(/in the past/);
  });

  it('is shown on the board as long as it is not settled', () => {
    const j = ready();
    const id = j.add('jumper.set', jumper());
    j.add('startup.signed', until(named(j)));
    j.add('jumper.removed', { jumper: id, how: 'switch replaced' });
    expect(summarise(stateOf(j), greatestLimits, false)?.mayRun).toBeUndefined();
    expect(stateOf(j).startUp.signed).not.toBeNull();
    j.add('jumper.set', jumper());
    expect(stateOf(j).startUp.signed).toBeNull();
  });
});

describe('what is kept when the power goes', () => {
  const read = (values: Record<string, number>): Payload<'drive.read'> => ({
    target: '127.0.0.1:5020',
    typeId: 'whimbrel-w4',
    identity: { vendor: 'Whimbrel', product: 'W4', revision: '1' },
    values,
    live: {},
    history: [],
  });
  const saved: Payload<'commission.step'> = {
    step: 'saved',
    outcome: 'ok',
    seen: [],
    seenBy: 'link',
    speeds: [],
  };

  it('is compared with the first read-out after it', () => {
    const j = ready();
    j.add('drive.read', read({ '3-01': 5 }));
    expect(stateOf(j).startUp.cycle).toBeNull();
    j.add('commission.power-off', {});
    expect(stateOf(j).startUp.cycle).toEqual({ before: { '3-01': 5 }, after: null });
    j.add('drive.read', read({ '3-01': 10 }));
    j.add('drive.read', read({ '3-01': 11 }));
    expect(stateOf(j).startUp.cycle).toEqual({ before: { '3-01': 5 }, after: { '3-01': 10 } });
  });

  it('is open again after a value was written', () => {
    const j = ready();
    j.add('drive.read', read({ '3-01': 5 }));
    j.add('commission.step', saved);
    const asked = j.add('drive.write-asked', {
      target: '127.0.0.1:5020',
      typeId: 'whimbrel-w4',
      number: '3-01',
      name: 'Acceleration',
      from: 5,
      to: 6,
      shownFrom: '5 s',
      shownTo: '6 s',
      reason: 'start-up sheet',
      trial: false,
      mayMove: 'nothing',
      runOpen: true,
      peopleClear: true,
    });
    expect(stateOf(j).startUp.run).toHaveLength(1);
    j.add('drive.write-done', { asked, found: 6 });
    expect(stateOf(j).startUp).toMatchObject({ run: [], cycle: null });
  });
});

describe('an autotune is out of date', () => {
  const steps = (j: ReturnType<typeof job>) => stateOf(j).startUp.run.map((r) => r.payload.step);
  const identified = () => {
    const j = begun();
    for (const step of ['saved', 'identification', 'speeds'])
      j.add('commission.step', { step, outcome: 'ok', seen: [], seenBy: 'hand', speeds: [] });
    return j;
  };
  const written = (j: ReturnType<typeof job>, outdates?: 'identification') => {
    const asked = j.add('drive.write-asked', {
      ...{ target: 't', typeId: 'whimbrel-w4', number: '1-03', name: 'x', from: 1, to: 2 },
      ...{ shownFrom: '1', shownTo: '2', reason: 'start-up sheet', trial: false },
      ...{ mayMove: 'it may start', runOpen: true, peopleClear: true },
      ...(outdates === undefined ? {} : { outdates }),
    });
    j.add('drive.write-done', { asked, found: 2 });
  };

  it('by a plate that is read anew', () => {
    const j = identified();
    j.add('identify.motor', {
      plate: { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11, hz: 50, rpm: 1450 },
      photos: [],
    });
    expect(steps(j)).toEqual(['saved', 'speeds']);
  });

  it('by motor data or control mode that are written, and by no other value', () => {
    const j = identified();
    written(j);
    expect(steps(j)).toEqual(['identification', 'speeds']);
    written(j, 'identification');
    expect(steps(j)).toEqual(['speeds']);
  });
});
