// Attacks on the dead proof: what must not pass for dead, whoever leans on it.
import {
  greatestLimits,
  isFormerStep,
  leastKnown_V,
  proofSteps,
  sourceKinds,
  type ProofPlace,
} from '../bench/make-safe';
import { ines, job, knownSources, proven, start, testDrive, testStage } from './__tests__/job';
import { benchLock, fold, handsLock, isFormerEntry } from '.';

const context = { limits: greatestLimits };
type Job = ReturnType<typeof job>;

const locksOf = (j: Job, after_s = 1) => {
  const { safety, drive } = fold(j.entries, context);
  const now = j.now() + after_s * 1000;
  return {
    bench: benchLock(safety, drive, greatestLimits, ines, now),
    hands: handsLock(safety, drive, greatestLimits, ines, now),
    safety,
  };
};
const lastVoid = (j: Job) => fold(j.entries, context).log.at(-1)?.void ?? null;
const absent = sourceKinds.map((kind) => ({ kind, state: 'absent' as const }));

/** Isolated and locked, nothing waited for. */
function locked(place: ProofPlace = 'installed', isolatedAt = start) {
  const j = job();
  j.add('identify.drive', testDrive);
  j.add('safety.sources', { sources: absent, place });
  j.add('safety.locked', { isolatedAt: new Date(isolatedAt).toISOString(), tag: 'padlock 7' });
  return j;
}

/** Locked and waited, with the meter proven. */
function begun(place: ProofPlace = 'installed') {
  const j = locked(place);
  j.add('safety.meter-proof', { when: 'before', ...knownSources }, { after: 300 });
  return j;
}

describe('AC where none expected', () => {
  it.each(['L1-L2', 'U-earth', 'bank', 'supply-L1-earth', 'control-earth'])(
    'at %s is not isolated, however small, for test and hands',
    (point) => {
      const j = proven();
      j.add('safety.figure', { point, quantity: 'ac', volts: 12 });
      j.add('safety.meter-proof', { when: 'after', ...knownSources });
      expect(locksOf(j)).toMatchObject({
        bench: { open: false, why: 'not-isolated' },
        hands: { open: false, why: 'not-isolated' },
      });
    },
  );

  it('is not got rid of by measuring again, only by going through the sources', () => {
    const j = proven();
    j.add('safety.figure', { point: 'L1-L2', quantity: 'ac', volts: 12 });
    j.add('safety.figure', { point: 'L1-L2', quantity: 'ac', volts: 0 });
    j.add('safety.discharged', { startVolts: 100, ohm: 1000 });
    j.add('safety.meter-proof', { when: 'after', ...knownSources });
    expect(locksOf(j).hands).toMatchObject({ why: 'not-isolated' });
    j.add('safety.sources', { sources: absent });
    expect(locksOf(j).safety.alive).toBeNull();
    expect(locksOf(j).hands.open).toBe(false);
  });

  it('of a few volts is the meter’s own', () => {
    const j = proven();
    j.add('safety.figure', { point: 'L1-L2', quantity: 'ac', volts: 4.9 });
    j.add('safety.meter-proof', { when: 'after', ...knownSources });
    expect(locksOf(j).bench.open).toBe(true);
  });
});

describe('the meter', () => {
  it.each([
    ['5 V', { source: 'battery', volts: 5 }],
    ['nothing', { source: 'socket', volts: 0 }],
    ['far less than the circuit', { source: 'a 24 V supply', volts: 24 }],
  ])('is not proven by %s, on either range', (_, shown) => {
    for (const quantity of ['dc', 'ac'] as const) {
      const j = begun();
      j.add('safety.meter-proof', { when: 'before', ...knownSources, [quantity]: shown });
      expect(lastVoid(j)).toMatch(/does not prove the meter/);
    }
  });

  it('is proven near the voltage of the circuit: 40 % of it, or 100 V where it is not known', () => {
    expect([leastKnown_V('ac', 400), leastKnown_V('dc', 400)]).toEqual([160, 216]);
    expect([leastKnown_V('ac', 690), leastKnown_V('ac', null)]).toEqual([276, 100]);
  });
});

describe('the points', () => {
  it('have both sides of the line fuses, motor and brake terminals to earth, and what comes to the control terminals', () => {
    const keys = proofSteps(testStage).map((s) => s.key);
    for (const key of [
      'supply-L1-L2 ac',
      'U-earth ac',
      'W-earth dc',
      'BR-DC- dc',
      'control-earth ac',
      'bank ac',
    ])
      expect(keys).toContain(key);
  });

  it('are fewer for a unit that lies on the bench with its leads off', () => {
    const keys = proofSteps(testStage, 'unplugged').map((s) => s.key);
    expect(keys.some((key) => /supply|control/.test(key))).toBe(false);
    const j = begun('unplugged');
    for (const { point, quantity } of proofSteps(testStage, 'unplugged'))
      j.add(
        'safety.figure',
        { point: point.id, quantity, volts: 0 },
        { after: point.id === 'bank-again' ? 61 : 5 },
      );
    j.add('safety.meter-proof', { when: 'after', ...knownSources });
    expect(locksOf(j).bench.open).toBe(true);
  });

  it('use DC alone where no lead is on the unit: only the bank has readings of its own', () => {
    const j = begun('bare');
    j.add('safety.meter-proof', { when: 'before', dc: knownSources.dc });
    const steps = proofSteps(testStage, 'bare');
    expect(steps.every((s) => s.quantity === 'dc')).toBe(true);
    expect(steps.filter((s) => s.point.alone).map((s) => s.key)).toEqual(['bank dc', 'bank-again dc']);
    const together = steps.filter((s) => !s.point.alone).map((s) => s.point.id);
    j.add('safety.figures', { quantity: 'dc', points: [...together, 'bank'], below_V: 1 });
    expect(Object.keys(locksOf(j).safety.figures)).toEqual([]);
    j.add('safety.figures', { quantity: 'dc', points: together, below_V: 1 });
    j.add('safety.figure', { point: 'bank', quantity: 'dc', volts: 2 });
    j.add('safety.meter-proof', { when: 'after', dc: knownSources.dc });
    expect(locksOf(j).safety.meterAfter).toBeNull();
    j.add('safety.figure', { point: 'bank-again', quantity: 'dc', volts: 3 }, { after: 61 });
    j.add('safety.meter-proof', { when: 'after', dc: knownSources.dc });
    expect(locksOf(j).bench.open).toBe(true);
  });

  it('take no lead for absent that something is isolated by', () => {
    const j = job();
    j.add('identify.drive', testDrive);
    const sources = absent.map((s) => (s.kind === 'mains' ? { ...s, state: 'isolated' as const } : s));
    j.add('safety.sources', { sources, place: 'bare' });
    expect(lastVoid(j)).toMatch(/no lead/);
    expect(locksOf(j).safety.sources).toBeNull();
  });

  it('need AC of the meter, too, as soon as leads are on', () => {
    const j = begun();
    j.add('safety.meter-proof', { when: 'before', dc: knownSources.dc });
    expect(locksOf(j).safety.meterBefore?.ac_V).toBe(knownSources.ac.volts);
  });

  it('may be recorded together below a volt, but never the bus', () => {
    const j = begun();
    const pairs = (quantity: 'dc' | 'ac') =>
      proofSteps(testStage)
        .filter((s) => s.quantity === quantity && !s.point.alone)
        .map((s) => s.point.id);
    for (const point of ['bank', 'plus-earth', 'control-earth', 'no such']) {
      j.add('safety.figures', { quantity: 'dc', points: [...pairs('dc'), point], below_V: 1 });
      expect(lastVoid(j)).not.toBeNull();
    }
    expect(locksOf(j).safety.figures).toEqual({});
    for (const { point, quantity } of proofSteps(testStage).filter(
      (s) => s.point.alone && s.point.id !== 'bank-again',
    ))
      j.add('safety.figure', { point: point.id, quantity, volts: 0.2 });
    for (const quantity of ['dc', 'ac'] as const)
      j.add('safety.figures', { quantity, points: pairs(quantity), below_V: 1 });
    j.add('safety.figure', { point: 'bank-again', quantity: 'dc', volts: 0.3 }, { after: 61 });
    j.add('safety.meter-proof', { when: 'after', ...knownSources });
    expect(lastVoid(j)).toBeNull();
    expect(locksOf(j)).toMatchObject({
      bench: { open: true },
      safety: { figures: { 'U-V ac': { below: true } } },
    });
  });
});

describe('without a bank terminal', () => {
  it('no hand goes in before lock, wait, meter, lines and motor terminals, as everywhere', () => {
    const bare = locked();
    bare.add('safety.no-bank-terminal', {});
    expect(locksOf(bare)).toMatchObject({
      hands: { open: false, why: 'not-proven' },
      bench: { open: false },
    });
    bare.add('safety.meter-proof', { when: 'before', ...knownSources });
    expect(lastVoid(bare)).toMatch(/5 minutes/);

    const j = begun();
    j.add('safety.no-bank-terminal', {});
    j.add('safety.meter-proof', { when: 'after', ...knownSources });
    expect(lastVoid(j)).toMatch(/readings are missing/);
    for (const { point, quantity } of proofSteps(testStage).filter((s) => !/^(DC|BR)/.test(s.point.a)))
      j.add('safety.figure', { point: point.id, quantity, volts: 0.1 });
    j.add('safety.meter-proof', { when: 'after', ...knownSources });
    expect(locksOf(j)).toMatchObject({
      hands: { open: true },
      bench: { open: false, why: 'no-bank-terminal' },
    });
    expect(locksOf(j, 31 * 60).hands).toMatchObject({ open: false, why: 'lapsed' });
    const { safety, drive } = fold(j.entries, context);
    const odo = { id: '0190a000-0000-7000-8000-000000000002', name: 'Odo Wrack', role: 'lead' as const };
    expect(handsLock(safety, drive, greatestLimits, odo, j.now())).toMatchObject({ why: 'other-person' });
  });
});

it('does not believe that it was isolated in the future: the label’s wait runs from now at the latest', () => {
  const j = locked('installed', start + 86_400_000);
  expect(locksOf(j).safety.locked?.isolatedAt).toBe(j.now());
});

describe('a proof that an earlier version began', () => {
  it('is judged by the rules of then, and its kind of entry is made no more', () => {
    const j = locked();
    j.add('safety.meter', { when: 'before', source: 'socket', volts: 231 }, { after: 300 });
    for (const step of proofSteps(testStage).filter(isFormerStep))
      j.add(
        'safety.figure',
        { point: step.point.id, quantity: step.quantity, volts: 0.1 },
        { after: step.point.id === 'bank-again' ? 61 : 5 },
      );
    j.add('safety.meter', { when: 'after', source: 'socket', volts: 231 });
    expect(locksOf(j).bench.open).toBe(true);
    const payload = { when: 'before', source: 'socket', volts: 231 } as const;
    expect(isFormerEntry({ v: 2, kind: 'safety.meter', payload })).toBe(true);
    j.add('safety.meter-proof', { when: 'before', ...knownSources });
    expect(locksOf(j).safety.former).toBe(false);
  });
});

describe('a capacitor bank that is bridged', () => {
  it('is not tested: neither before the bridge is removed, nor before the capacitor bank was measured again', () => {
    const j = proven();
    expect(locksOf(j).bench.open).toBe(true);
    j.add('safety.bridge', { fitted: true });
    expect(locksOf(j)).toMatchObject({ bench: { open: false, why: 'bridged' }, hands: { open: true } });
    j.add('static.reading', { red: 'L1', black: 'DC+', value: 0.45, typed: '0.45' });
    expect(lastVoid(j)).toMatch(/bridges the capacitor bank/);
    j.add('safety.bridge', { fitted: false });
    expect(locksOf(j).bench).toMatchObject({ open: false, why: 'not-proven' });
    j.add('safety.figure', { point: 'bank', quantity: 'dc', volts: 3 });
    j.add('safety.figure', { point: 'bank-again', quantity: 'dc', volts: 4 }, { after: 61 });
    j.add('safety.meter-proof', { when: 'after', ...knownSources });
    expect(locksOf(j).bench.open).toBe(true);
  });

  it('stays bridged when the proof lapses, and when another person takes over', () => {
    const j = proven();
    j.add('safety.bridge', { fitted: true });
    j.add('safety.source-back', { kind: 'mains' });
    expect(locksOf(j).bench).toMatchObject({ why: 'bridged' });
    j.add('safety.bridge', { fitted: true });
    expect(lastVoid(j)).toMatch(/already bridged/);
  });
});
