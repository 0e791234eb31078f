/**
 * Our solver against ngspice on networks this project builds: random stages, faults, temperatures
 * and meters. 40 readings with a fixed seed; `./grim test --long` takes 600 with a fresh one.
 */
import { fullPlan, networkOf, readings } from '@/core/equipment/power-stage';
import { ngspiceVolts } from './ngspice';
import { pick, seeded } from './random';
import { anyDevices, anyFaults, anyMeter, anyStage } from './units';

const long = process.env['GRIM_LONG'] === '1';
const seed = long ? Date.now() % 1e9 : 4711;
const count = long ? 600 : 40;

describe(`the circuit solver against ngspice, seed ${seed}`, () => {
  it(`agrees within 1 mV on ${count} random readings, overload exactly`, () => {
    const random = seeded(seed);
    const wrong: string[] = [];
    let worst_V = 0;
    let figures = 0;
    for (let i = 0; i < count; i += 1) {
      const on = anyStage(random);
      const meter = anyMeter(random);
      const faults = random() < 0.2 ? [] : anyFaults(random, on, meter, random() < 0.3 ? 2 : 1);
      const network = networkOf({
        stage: on,
        temperature_C: 45 * random(),
        faults,
        devices: anyDevices(random, on),
        conditions: { motorConnected: random() < 0.15, busVolts: random() < 0.15 ? 1.2 * random() : 0 },
      });
      const probe = pick(random, fullPlan(on));
      const [ours] = readings(network, [probe], meter);
      const theirs = ngspiceVolts(network, probe.red, probe.black, meter);
      const overload = Math.abs(theirs) > meter.ceiling_V;
      const off_V = Math.abs((ours?.volts ?? NaN) - theirs);
      // Within the tolerance of the ceiling either state would be right.
      const atCeiling = Math.abs(Math.abs(theirs) - meter.ceiling_V) < 0.001;
      if (!overload) {
        figures += 1;
        worst_V = Math.max(worst_V, off_V);
      }
      if (!atCeiling && (overload !== (ours?.value === 'OL') || (!overload && !(off_V < 0.001))))
        wrong.push(`${JSON.stringify({ on, meter, faults, probe })}: ngspice ${theirs}, ours ${ours?.volts}`);
    }
    process.stdout.write(
      `solver against ngspice: ${count} readings, ${figures} values, worst ${(worst_V * 1000).toFixed(4)} mV\n`,
    );
    expect(figures).toBeGreaterThan(count / 5);
    expect(wrong).toEqual([]);
  });
});
