// Attacks on the tracer: what must not count, and what must not be offered, after faults that kill.
import { greatestLimits } from '../bench/make-safe';
import type { Hazard } from '../fault-finding/tracing';
import { ines, job, odo, planned, proven, testDrive } from './__tests__/job';
import { deadlyTraced, fold, handsLock, isReleased } from '.';

const context = { limits: greatestLimits };
type Job = ReturnType<typeof job>;
const stateOf = (j: Job) => fold(j.entries, context);
const lastVoid = (j: Job) => stateOf(j).log.at(-1)?.void ?? null;
const answer = (
  j: Job,
  hazard: Hazard,
  options: Parameters<Job['add']>[2] & {
    family?: string;
    check?: string;
    outcome?: string;
    shown?: string;
  } = {},
) => {
  const { family = 'input-phase-loss', check = hazard, outcome = 'yes', shown, ...when } = options;
  const said = shown === undefined ? {} : { shown };
  return j.add('trace.answered', { family, check, outcome, words: 'seen', hazard, ...said }, when);
};
const insulated = (j: Job) => {
  j.add('motor.disconnected', { drive: 'off', thermistors: 'none', encoder: 'none' });
  j.add('motor.insulation', {
    ...{ of: 'motor-and-cable', between: 'earth', ratedVolts: 400, testVolts: 500 },
    readings: [{ at_s: 60, megohm: 900 }],
    ...{ winding_C: 20, construction: 'random', material: 'thermosetting', kind: 'modern' },
  });
};

describe('a dead check', () => {
  it('does not count without a dead proof, whoever answers', () => {
    const j = job();
    j.add('identify.drive', testDrive);
    answer(j, 'dead');
    expect(lastVoid(j)).toMatch(/valid dead proof/);
    expect(stateOf(j).traced).toEqual([]);
  });

  it('counts under the proof of the one who made it, and keeps that proof alive', () => {
    const j = proven();
    answer(j, 'dead', { after: 1500 });
    expect(lastVoid(j)).toBeNull();
    answer(j, 'dead', { check: 'lugs', after: 1500 });
    expect(lastVoid(j)).toBeNull();
    answer(j, 'dead', { check: 'static', after: 1801 });
    expect(lastVoid(j)).toMatch(/void/);
  });

  it('does not count under the proof of somebody else', () => {
    const j = proven();
    answer(j, 'dead', { by: odo });
    expect(lastVoid(j)).toMatch(/Proven dead by Ines Tarrow/);
  });

  it('that could not be made counts as that, without a proof', () => {
    const j = job();
    j.add('identify.drive', testDrive);
    answer(j, 'dead', { outcome: 'no-tool' });
    expect(lastVoid(j)).toBeNull();
  });
});

describe('a check under power', () => {
  it.each(['control', 'moves', 'live'] as const)('%s: ends the dead proof', (hazard) => {
    const j = proven();
    answer(j, hazard);
    expect(lastVoid(j)).toBeNull();
    const { safety, drive } = stateOf(j);
    expect(handsLock(safety, drive, greatestLimits, ines, j.now())).toMatchObject({
      open: false,
      why: 'lapsed',
    });
    answer(j, 'dead', { check: 'lugs' });
    expect(lastVoid(j)).toMatch(/valid dead proof/);
  });

  it.each(['ground', 'desaturation', 'short-circuit'])(
    'after %s: never before bench and insulation passed',
    (family) => {
      const j = proven();
      answer(j, 'live', { family });
      expect(lastVoid(j)).toMatch(/stays without power/);
      // Nor by opening another list.
      answer(j, 'live', { family: 'undervoltage', shown: family });
      expect(lastVoid(j)).toMatch(/stays without power/);
      answer(j, 'none', { family });
      answer(j, 'control', { family: 'undervoltage' });
      expect(lastVoid(j)).toMatch(/stays without power/);
      expect(deadlyTraced(stateOf(j).traced)).toBe(family);
    },
  );

  it('after an earth fault: it needs both, the bench test and the insulation test', () => {
    const j = planned();
    expect(isReleased(stateOf(j))).toBe(false);
    answer(j, 'live', { family: 'ground' });
    expect(lastVoid(j)).toMatch(/stays without power/);
    insulated(j);
    expect(lastVoid(j)).toBeNull();
    expect(isReleased(stateOf(j))).toBe(true);
    answer(j, 'live', { family: 'ground' });
    expect(lastVoid(j)).toBeNull();
  });
});

it('an answer is taken back; one that was never given cannot be', () => {
  const j = job();
  j.add('identify.drive', testDrive);
  answer(j, 'none', { check: 'three' });
  j.add('trace.withdrawn', { family: 'input-phase-loss', check: 'three' });
  expect(stateOf(j).traced).toEqual([]);
  j.add('trace.withdrawn', { family: 'input-phase-loss', check: 'three' });
  expect(lastVoid(j)).toMatch(/No such answer/);
});

it('after an earth fault no cause is put back to show it; elsewhere it may be', () => {
  const j = job();
  const confirmed = {
    cause: 'typed',
    name: 'a nail in the cable',
    how: 'cable replaced, runs since noon',
    recreated: 'tripped again',
  };
  j.add('trace.confirmed', { family: 'ground', ...confirmed });
  expect(lastVoid(j)).toMatch(/never re-create the cause/);
  j.add('trace.confirmed', { family: 'fan', ...confirmed });
  expect(stateOf(j).causes).toHaveLength(1);
});
