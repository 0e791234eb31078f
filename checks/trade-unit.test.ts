/**
 * One healthy 230 V unit as somebody measured it (common practice, no source). Each reading over a
 * single junction fixes that device's drop; the reading over the whole bus is then predicted. A
 * sum of two drops would say 0.74 V: the meter's current splits over parallel legs.
 */
import {
  fullPlan,
  networkOf,
  readings,
  stage,
  typicalDevices,
  type DeviceLaw,
  commonMeter,
  familyOf,
  type Position,
} from '@/core/equipment/power-stage';
import { thermalVolts } from '@/core/numerics/circuit';

const measured: [Position, number][] = [
  ['rect.L1.hi', 0.451],
  ['rect.L2.hi', 0.445],
  ['rect.L3.hi', 0.458],
  ['inv.U.hi', 0.369],
  ['inv.V.hi', 0.372],
  ['inv.W.hi', 0.371],
  ['brk.diode', 0.554],
  ['rect.L1.lo', 0.38],
  ['rect.L2.lo', 0.451],
  ['rect.L3.lo', 0.444],
  ['inv.U.lo', 0.37],
  ['inv.V.lo', 0.371],
  ['inv.W.lo', 0.373],
  ['brk.switch', 0.551],
];
const busReading_V = 0.646;
const temperature_C = 27;

it('predicts the bus reading of a healthy unit from its single junctions within 40 mV', () => {
  const devices = Object.fromEntries(
    measured.map(([position, volts]): [Position, DeviceLaw] => {
      const family = familyOf(position);
      if (family === null) throw new Error('a junction');
      const { n, Rs } = typicalDevices[family];
      const Is = 1e-3 / (Math.exp((volts - 1e-3 * Rs) / (n * thermalVolts(temperature_C))) - 1);
      return [position, { Is, n, Rs }];
    }),
  );
  const on = stage({ brake: true });
  const all = readings(networkOf({ stage: on, temperature_C, devices }), fullPlan(on), commonMeter);
  const bus = all.find((r) => r.red === 'DC-' && r.black === 'DC+');
  process.stdout.write(`bus reading predicted ${bus?.volts.toFixed(3)} V, measured ${busReading_V} V\n`);
  expect(Math.abs((bus?.volts ?? 0) - busReading_V)).toBeLessThan(0.04);
});
