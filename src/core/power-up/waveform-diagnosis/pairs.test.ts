import type { Capture } from '../capture';
import { circuitOf, simulateWave } from '../waveform';
import { winchMotorWords, winchUnit } from '../waveform/__tests__/winch';
import { causesFor, pairsCompared, pairShapes, shapesTogether } from '.';
import { pairNotes } from './pairs';

it('names the pair that is unlike the others, and says nothing where they are alike', () => {
  expect(pairNotes({ vuv_rms: 365, vvw_rms: 312, vwu_rms: 362 }, false)).toEqual([
    'V to W differs from the other pairs: U to V 365 V, V to W 312 V, W to U 362 V, 9.9 % off their mean. Captured with a scope, the three are laid over each other.',
  ]);
  expect(pairNotes({ vuv_rms: 365, vvw_rms: 360, vwu_rms: 362 }, true)).toEqual([]);
});

it('asks for the other pairs before one is blamed', () => {
  expect(pairNotes({ vuv_rms: 312 }, true)).toEqual([
    'Pairs so far: U to V 312 V. Capture V to W and W to U the same way before blaming one of them.',
  ]);
  expect(pairNotes({ vuv_rms: 312, vvw_rms: 365 }, false)[0]).toContain('Capture W to U the same way');
  expect(pairNotes({ vuv_rms: 365 }, false)).toEqual([]);
  expect(pairNotes({ vdc_avg: 540 }, true)).toEqual([]);
});

describe('pairs by their waveforms', () => {
  const given = circuitOf(winchUnit, { load: 'motor', f1: 40, share: 0.7, motor: winchMotorWords }).given;
  /** What a scope on all three pairs shows of a fault. */
  const captured = (id: string, roles = ['vuv', 'vvw', 'vwu'] as const): Capture => {
    const change = causesFor(given, 47).find((c) => c.id === id)?.changes[0];
    const faulty = change?.(given) ?? given;
    const { run } = simulateWave({ ...faulty, window: [faulty.window[0], faulty.window[0] + 0.1] });
    const channels = roles.map((role) => ({ name: role, role, unit: 'V', values: run.samples[role]! }));
    return { t0: -0.013, dt: run.t[1]! - run.t[0]!, notes: [], channels };
  };

  it('lays them over each other whatever their phase', () => {
    const [uv, vw, wu] = pairShapes(captured('sound'), 40);
    expect(uv!.peak).toBeCloseTo(450, -1);
    const apart = (a: Float64Array, b: Float64Array) => Math.max(...a.map((v, i) => Math.abs(v - b[i]!)));
    // They are a third of a period apart as they were captured.
    expect(apart(uv!.volts, vw!.volts)).toBeLessThan(0.1 * uv!.peak);
    expect(apart(uv!.volts, wu!.volts)).toBeLessThan(0.1 * uv!.peak);
    expect(pairsCompared(pairShapes(captured('sound'), 40))).toBeNull();
  });

  it.each([
    ['switch.inv.U.hi', ['vuv', 'vwu'], 'Both include output U. U reaches DC+ less'],
    ['switch.inv.U.lo', ['vuv', 'vwu'], 'Both include output U. U reaches DC− less'],
    ['switch.inv.V.lo', ['vuv', 'vvw'], 'Both include output V. V reaches DC− less'],
    ['switch.inv.W.hi', ['vvw', 'vwu'], 'Both include output W. W reaches DC+ less'],
  ])('%s: names both pairs, the output they share, and which half it lacks', (id, odd, words) => {
    const compared = pairsCompared(pairShapes(captured(id), 40));
    expect(compared?.odd).toEqual(odd);
    expect(compared?.text).toContain(words);
  });

  it('a bus that is low, or a lost phase, makes no pair unlike the others', () => {
    for (const id of ['bank-weak', 'phase-lost.L2', 'unbalance.L1'])
      expect(pairsCompared(pairShapes(captured(id), 40))).toBeNull();
  });

  it('takes pairs captured one after the other together, and one alone that is unlike for a poor contact', () => {
    const all = pairShapes(captured('sound'), 40);
    const one = (k: number) => all.slice(k, k + 1);
    const two = shapesTogether(one(0), one(2));
    expect(two.map((s) => s.role)).toEqual(['vuv', 'vwu']);
    expect(pairsCompared(two)).toBeNull();
    const weak = { ...all[1]!, peak: 0.8 * all[1]!.peak };
    expect(pairsCompared(shapesTogether(two, [weak]))?.text).toContain('V to W alone');
    // At another frequency nothing of before is comparable.
    expect(shapesTogether(two, [{ ...weak, f1: 20 }])).toHaveLength(1);
  });

  it('has no shape of a record shorter than a period', () => {
    expect(pairShapes(captured('sound'), 5)).toEqual([]);
  });
});
