/**
 * Operating points of 33 power stages, sound and faulty, solved by ngspice 39 (reference/power-stage.json).
 * A second solver agreed with them within 5 µV; within 0.2 mV is honest, 1 mV is required, and
 * overload must match exactly.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Element } from '@/core/numerics/circuit';
import { readings, type Shown } from '@/core/equipment/power-stage';

type ReferenceElement =
  | { type: 'R'; name: string; a: string; b: string; ohm: number }
  | { type: 'V'; name: string; plus: string; minus: string; volts: number; series_ohm: number }
  | {
      type: 'D';
      name: string;
      anode: string;
      cathode: string;
      Rs_ohm: number;
      Is_atT_A: number;
      nVt_atT_V: number;
    };

interface ReferenceCase {
  id: string;
  meter: { testCurrent_mA: number; openCircuit_V: number; ceiling_V: number };
  elements: ReferenceElement[];
  readings: { red: string; black: string; volts: number; display: Shown }[];
}

const { cases } = JSON.parse(
  readFileSync(join(process.cwd(), 'checks/reference/power-stage.json'), 'utf8'),
) as {
  cases: ReferenceCase[];
};

const element = (e: ReferenceElement): Element =>
  e.type === 'D' ? { ...e, saturation_A: e.Is_atT_A, emission_V: e.nVt_atT_V, series_ohm: e.Rs_ohm } : e;

describe('the circuit solver against ngspice operating points', () => {
  it('has the whole reference', () => {
    expect(cases).toHaveLength(33);
    expect(cases.flatMap((c) => c.readings)).toHaveLength(1404);
  });

  it.each(cases.map((c) => [c.id, c] as const))('%s', (_, c) => {
    const ours = readings(c.elements.map(element), c.readings, { ...c.meter, resolution_V: 0.001 });
    c.readings.forEach((theirs, i) => {
      const mine = ours[i];
      expect([theirs.red, theirs.black, mine?.value === 'OL']).toEqual([
        theirs.red,
        theirs.black,
        theirs.display === 'OL',
      ]);
      if (theirs.display !== 'OL') expect(Math.abs((mine?.volts ?? NaN) - theirs.volts)).toBeLessThan(0.0002);
    });
  });
});
