import { stage, type Stage } from '../../equipment/power-stage';
import {
  againId,
  greatestLimits,
  proofPoints,
  proofSteps,
  sourceKinds,
  unsafeSources,
  type EnergySource,
} from '.';

const ids = (s: ReturnType<typeof stage>) => proofPoints(s).map((p) => p.id);

describe('where a drive is proven dead', () => {
  it('is the capacitor bank itself and both sides of every link and fuse', () => {
    expect(ids(stage())).not.toContain('rectifier-side');
    expect(ids(stage({ link: 'link' }))).toContain('rectifier-side');
    expect(ids(stage({ link: 'precharge', fuse: 'inverter' }))).toEqual(
      expect.arrayContaining(['bank', 'rectifier-side', 'inverter-side']),
    );
  });

  it('is bus to earth, lines among themselves and to earth, and the motor terminals in pairs', () => {
    const points = ids(stage({ brake: true }));
    for (const id of ['plus-earth', 'minus-earth', 'L1-L2', 'L2-L3', 'L3-earth', 'U-V', 'V-W', 'U-W'])
      expect(points).toContain(id);
    expect(ids(stage({ frontEnd: 'diode-1ph' }))).not.toContain('L1-L3');
  });

  it('is measured on DC all the way down, then on AC, then the capacitor bank again', () => {
    const steps = proofSteps(stage({ link: 'link' }));
    const firstAc = steps.findIndex((s) => s.quantity === 'ac');
    expect(steps.slice(0, firstAc).every((s) => s.quantity === 'dc')).toBe(true);
    expect(steps.at(-1)?.point.id).toBe(againId);
    expect(steps.filter((s) => s.point.id === 'bank').map((s) => s.quantity)).toEqual(['dc', 'ac']);
    expect(new Set(steps.map((s) => s.key)).size).toBe(steps.length);
  });
});

describe('sources', () => {
  const all = (state: EnergySource['state']): EnergySource[] => sourceKinds.map((kind) => ({ kind, state }));
  it('are safe only when each was answered and is absent or isolated', () => {
    expect(unsafeSources([])).toEqual([...sourceKinds]);
    expect(unsafeSources(all('isolated'))).toEqual([]);
    expect(
      unsafeSources(all('absent').map((s) => (s.kind === 'load' ? { ...s, state: 'not-sure' } : s))),
    ).toEqual(['load']);
    expect(unsafeSources(all('live'))).toHaveLength(sourceKinds.length);
  });
});

it('has limits of 50 V for hands and 5 V for a test', () => {
  expect(greatestLimits).toEqual({ hands_V: 50, test_V: 5 });
});

it('a brake terminal that nobody knows of is proven, with the way out where there is none', () => {
  const point = (differs: Partial<Stage>) =>
    proofPoints({ ...stage({ brake: false }), ...differs }).find((p) => p.id === 'BR-DC-')?.where;
  expect(point({})).toBeUndefined();
  expect(point({ assumed: ['brake'] })).toBe(
    'brake terminal to bus minus, if fitted; otherwise measure the bus again',
  );
});
