import { greatestLimits } from '../make-safe';
import { earthFor_s, fold, motorAgainst, stageLines, type Payload } from '.';
import { drive, job, odo, opening, pip } from './__tests__/job';

const stateOf = (j: ReturnType<typeof job>) => fold(j.entries, { limits: greatestLimits });
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
  j.add('identify.drive', drive);
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
    expect(stateOf(j).log.at(-1)?.void).toMatch(/kills what is left connected/);
  });

  it('a cable that failed holds the job until a newer test of it passes and it was earthed', () => {
    const j = ready();
    const failed = j.add('motor.insulation', insulation(1));
    j.add('motor.earthed', { test: failed, seconds: 240 });
    expect(motorAgainst(stateOf(j).startUp).join()).toMatch(/The cable to earth failed/);
    expect(motorLine(j)).toMatchObject({ state: 'todo', note: 'held: see what failed' });
    const good = j.add('motor.insulation', insulation(800));
    expect(motorAgainst(stateOf(j).startUp).join()).toMatch(/earth it for 240 s/);
    j.add('motor.earthed', { test: good, seconds: 240 });
    expect(motorAgainst(stateOf(j).startUp)).toEqual([]);
    expect(motorLine(j)).toMatchObject({ state: 'done' });
  });

  it('of one thing do not stand for another', () => {
    const j = ready();
    for (const part of ['cable', 'motor'] as const) {
      const id = j.add('motor.insulation', insulation(part === 'cable' ? 1 : 800, { of: part }));
      j.add('motor.earthed', { test: id, seconds: 240 });
    }
    expect(motorAgainst(stateOf(j).startUp)).toHaveLength(1);
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
    expect(motorAgainst(stateOf(j).startUp).join()).toMatch(/not alike/);
  });
});

describe('the signature of the start-up sheet', () => {
  it('is a technician’s, and stands against nothing that the page knew', () => {
    const j = ready();
    j.add('startup.signed', signature, { by: pip });
    expect(stateOf(j).startUp.signed).toBeNull();
    j.add('startup.signed', { ...signature, against: ['The identification is stale.'] });
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
