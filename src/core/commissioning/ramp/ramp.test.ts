import { busLevelsOf } from '../../equipment/power-stage';
import fc from 'fast-check';
import {
  inertiaFromCoastDown,
  inertiaOf,
  machineCase,
  rampAnswer,
  shortestDown,
  shortestUp,
  simulate,
  speedOf,
  type RampCase,
} from '.';

/** A 5.5 kW, 1450 rpm motor: 36.2 N·m. */
const base: RampCase = {
  motor: { torque_Nm: 36.2, rpm: 1450, hz: 50, inertia_kgm2: 0.02 },
  load: { torque_Nm: 15, curve: 'constant', inertia_kgm2: 0.2 },
  drive: { limit: 1.5, busVolts: 565, tripVolts: 820, capacitance_F: 820e-6, losses: 0, regulated: false },
  ramp: { up_s: 5, down_s: 5, rounding: 0, to_Hz: 50, countsTo_Hz: 50, hold_s: 1 },
};
const on = (differs: { [K in keyof RampCase]?: Partial<RampCase[K]> }): RampCase => ({
  motor: { ...base.motor, ...differs.motor },
  load: { ...base.load, ...differs.load },
  drive: { ...base.drive, ...differs.drive },
  ramp: { ...base.ramp, ...differs.ramp },
});
const omega = speedOf(base, 50);
const inertia = inertiaOf(base);

describe('closed forms', () => {
  it('a constant-torque ramp needs J·ω/t + T', () => {
    const { samples } = simulate(base);
    const middle = samples.find((s) => s.t > 2.4 && s.t < 2.6);
    expect(middle?.torque_Nm).toBeCloseTo((inertia * omega) / 5 + 15, 1);
  });

  it('shortest acceleration is J·ω ÷ (T_limit − T_load), and the run agrees', () => {
    const seconds = (inertia * omega) / (1.5 * 36.2 - 15);
    expect(shortestUp(base).seconds).toBeCloseTo(seconds, 6);
    expect(simulate(on({ ramp: { up_s: seconds * 1.01 } })).trip).toBeNull();
    expect(simulate(on({ ramp: { up_s: seconds * 0.98 } })).trip).toMatchObject({
      why: 'overcurrent',
      while: 'up',
    });
  });

  it('a regulated drive holds the ramp instead, and gets there as fast as the torque lets it', () => {
    const run = simulate(on({ ramp: { up_s: 0.2 }, drive: { regulated: true } }));
    expect(run.trip).toBeNull();
    expect(run.reachedAt_s).toBeCloseTo((inertia * omega) / (1.5 * 36.2 - 15), 0);
  });

  it('without braking the bus takes the energy of what turns: ½CΔV² = ½Jω²', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.005, max: 0.08, noNaN: true }), (inertia_kgm2) => {
        const free = on({
          motor: { inertia_kgm2 },
          load: { torque_Nm: 0, inertia_kgm2: 0 },
          drive: { tripVolts: 5000, limit: 20 },
          ramp: { up_s: 2, down_s: 0.5, hold_s: 0.2 },
        });
        const { samples, stoodAt_s } = simulate(free);
        expect(stoodAt_s).not.toBeNull();
        const top = samples.reduce((most, s) => Math.max(most, s.busVolts), 0);
        const expected = Math.sqrt(565 ** 2 + (inertia_kgm2 * omega ** 2) / 820e-6);
        expect(top / expected).toBeGreaterThan(0.99);
        expect(top / expected).toBeLessThan(1.01);
      }),
      { numRuns: 15 },
    );
  });

  it('losses take their share', () => {
    const top = (losses: number) =>
      Math.max(
        ...simulate(on({ load: { torque_Nm: 0 }, drive: { losses, tripVolts: 5000 } })).samples.map(
          (s) => s.busVolts,
        ),
      );
    expect(top(0.1)).toBeLessThan(top(0.02));
  });

  it('inertia from a coast-down test: J = T·t/ω', () => {
    expect(inertiaFromCoastDown(3, 20, 1450)).toBeCloseTo((3 * 20) / omega, 9);
  });
});

describe('stopping', () => {
  it('trips where the ramp is too short for the capacitor bank, and not at the shortest that was found', () => {
    const heavy = on({ load: { torque_Nm: 2, inertia_kgm2: 1 }, drive: { losses: 0.05 } });
    expect(simulate(on({ ...heavy, ramp: { down_s: 1 } })).trip).toMatchObject({ while: 'down' });
    const { seconds } = shortestDown(heavy);
    if (seconds === null) throw new Error('no ramp');
    const with_s = (down_s: number) =>
      simulate({ ...heavy, ramp: { ...heavy.ramp, up_s: 60, hold_s: 0, down_s } }).trip;
    expect(with_s(seconds * 1.05)).toBeNull();
    expect(with_s(seconds * 0.9)).toMatchObject({ why: 'overvoltage', while: 'down' });
  });

  it('a brake resistor lets the same stop through, and it is asked for', () => {
    const heavy = on({ load: { torque_Nm: 2, inertia_kgm2: 0.5 }, ramp: { down_s: 2 } });
    const tripped = simulate(heavy);
    expect(tripped.trip).toMatchObject({ why: 'overvoltage' });
    // The curve goes all the way to where it tripped.
    expect(tripped.samples.at(-1)?.busVolts).toBeGreaterThan(heavy.drive.tripVolts);
    const braked = on({ ...heavy, drive: { chopper: { above_V: 780, ohm: 60 } } });
    expect(simulate(braked).trip).toBeNull();
    const { brake, turning_J } = rampAnswer(braked, { cycle_s: 30 });
    expect(brake.energy_J).toBeLessThan(turning_J);
    expect(brake.average_W).toBeCloseTo(brake.energy_J / 30, 6);
    expect(brake.most_ohm).toBeCloseTo(780 ** 2 / brake.peak_W, 6);
    expect(brake.sum).not.toContain('limited');
    // From stop to stop in less time than one stop takes: what is limited says so.
    const hurried = rampAnswer(braked, { cycle_s: 1 }).brake;
    expect(hurried.duty).toBe(1);
    expect(hurried.sum).toMatch(/longer than the cycle of 1 s: duty limited to 1/);
  });

  it('a regulated drive stretches the ramp instead of tripping', () => {
    const heavy = on({
      load: { torque_Nm: 4, inertia_kgm2: 1 },
      ramp: { down_s: 2 },
      drive: { losses: 0.05, regulated: true },
    });
    const run = simulate(heavy);
    expect(run.trip).toBeNull();
    expect(run.stoodAt_s).toBeGreaterThan(5 + 1 + 2.2);
  });

  it('a hanging load gives its torque times speed back all the way down', () => {
    const hanging = on({ load: { curve: 'hoisting', torque_Nm: 20, inertia_kgm2: 0.02 } });
    expect(rampAnswer(hanging).brake.lowering_W).toBeCloseTo(20 * omega, 6);
    expect(rampAnswer(base).brake.lowering_W).toBeNull();
  });

  it('a load that is lowered fills the capacitor bank before it is stopped, and a resistor carries it', () => {
    const lowered = on({ load: { curve: 'hoisting', torque_Nm: -20, inertia_kgm2: 0.02 } });
    expect(simulate(lowered).trip).toMatchObject({ why: 'overvoltage', while: 'up' });
    expect(rampAnswer(lowered).shortestDown.seconds).toBeNull();
    const braked = on({ ...lowered, drive: { chopper: { above_V: 780, ohm: 60 } } });
    const { run, brake } = rampAnswer(braked, { cycle_s: 60 });
    expect(run.trip).toBeNull();
    // Without losses all of it comes back: its torque times the angle of both ramps and the second between.
    const turned_rad = omega * (5 / 2 + 1 + 5 / 2);
    expect(brake.energy_J / (20 * turned_rad)).toBeCloseTo(1, 1);
    expect(run.samples.at(-1)?.back_J).toBeCloseTo(brake.energy_J, -2);
    expect(brake.duty).toBeGreaterThan(0.05);
  });

  it('a resistor that is enough is enough however long the ramps are', () => {
    const slow = on({
      load: { curve: 'hoisting', torque_Nm: -20, inertia_kgm2: 0.02 },
      ramp: { up_s: 40, down_s: 40 },
      // 20 N·m at 151.8 rad/s are 3036 W; 780² ÷ 190 Ω are 3202 W.
      drive: { chopper: { above_V: 780, ohm: 190 } },
    });
    expect(simulate(slow).trip).toBeNull();
    expect(Math.max(...simulate(slow).samples.map((s) => s.busVolts))).toBeLessThan(790);
    const small = on({ ...slow, drive: { chopper: { above_V: 780, ohm: 260 } } });
    expect(simulate(small).trip).toMatchObject({ why: 'overvoltage' });
  });

  it('a pump that brakes itself gives nothing back', () => {
    const pump = on({ load: { curve: 'square', torque_Nm: 34, inertia_kgm2: 0.01 }, ramp: { down_s: 10 } });
    expect(rampAnswer(pump).brake.energy_J).toBeLessThan(50);
  });

  it('S-rounded ends ask for more torque in the middle', () => {
    const most = (rounding: number) =>
      Math.max(...simulate(on({ ramp: { rounding } })).samples.map((s) => s.torque_Nm));
    expect(most(0.5)).toBeGreaterThan(most(0) * 1.05);
  });
});

it('a load beyond the limit has no shortest ramp', () => {
  expect(shortestUp(on({ load: { torque_Nm: 60 } })).seconds).toBeNull();
});

describe('a machine in a few words', () => {
  const words = {
    plate: { power: { value: 5.5, unit: 'kW' as const }, volts: 400, amps: 11.2, hz: 50, rpm: 1450 },
    supply_V: 400,
    levels: busLevelsOf(400),
    capacitance_F: 820e-6,
    curve: 'constant' as const,
    loadShare: 0.5,
    inertia: { as: 'multiple' as const, ofMotor: 4 },
    limit: 1.5,
    brake_ohm: null,
    up_s: 5,
    down_s: 5,
    rounding: 0,
  };

  it('has the torque of its nameplate, and its bus at the peak of the supply', () => {
    const made = machineCase(words);
    expect(made.motor.torque_Nm).toBeCloseTo((9550 * 5.5) / 1450, 9);
    expect(made.load.torque_Nm).toBeCloseTo(made.motor.torque_Nm / 2, 9);
    expect(made.drive.busVolts).toBeCloseTo(Math.SQRT2 * 400, 9);
    expect(made.drive.tripVolts).toBe(800);
    expect(made.drive.chopper).toBeUndefined();
    expect(machineCase({ ...words, brake_ohm: 60 }).drive.chopper).toEqual({ above_V: 760, ohm: 60 });
  });

  it('knows its inertia by kind, as a value, or from a coast-down test', () => {
    const own = machineCase(words).motor.inertia_kgm2;
    expect(inertiaOf(machineCase(words))).toBeCloseTo(5 * own, 9);
    expect(inertiaOf(machineCase({ ...words, inertia: { as: 'figure', kgm2: 1.2 } }))).toBeCloseTo(1.2, 9);
    const coast = machineCase({ ...words, inertia: { as: 'coast-down', seconds: 10 } });
    expect(inertiaOf(coast)).toBeCloseTo(inertiaFromCoastDown(coast.load.torque_Nm, 10, 1450), 9);
    // A figure below the motor's own cannot be.
    expect(machineCase({ ...words, inertia: { as: 'figure', kgm2: 1e-6 } }).load.inertia_kgm2).toBe(0);
  });
});

/**
 * A straight stop without load, in closed form: the torque J·ω₀ ÷ t brakes with a power that falls in a straight line, and what is
 * above the losses goes into the bank.
 */
describe('a straight stop, against its closed form', () => {
  const omega = (940 * 2 * Math.PI) / 60;
  const given: RampCase = {
    motor: { torque_Nm: 22.35, rpm: 940, hz: 50, inertia_kgm2: 0.0363 },
    load: { torque_Nm: 0, curve: 'constant', inertia_kgm2: 0 },
    drive: {
      limit: 1.8,
      busVolts: 565,
      tripVolts: 820,
      capacitance_F: 820e-6,
      losses: 0.05,
      regulated: false,
    },
    ramp: { up_s: 5, down_s: 5, rounding: 0, to_Hz: 50, countsTo_Hz: 50, hold_s: 1 },
  };
  const peak_W = (down_s: number): number => {
    const torque = (0.0363 * omega) / down_s;
    const loss = 0.05 * 22.35 * omega * Math.hypot(0.35, Math.sqrt(1 - 0.35 ** 2) * (torque / 22.35));
    return torque * omega - loss;
  };
  const into_J = (down_s: number): number => {
    const whole = (0.0363 * omega ** 2) / down_s;
    return (Math.max(0, peak_W(down_s)) ** 2 / (2 * whole)) * down_s;
  };
  const room_J = 0.5 * 820e-6 * (820 ** 2 - 565 ** 2);
  const closed = (): number => {
    let [low, high] = [0.1, 10];
    for (let i = 0; i < 60; i += 1) {
      const middle = (low + high) / 2;
      if (into_J(middle) > room_J) low = middle;
      else high = middle;
    }
    return high;
  };
  const tripOf = (ramp: Partial<RampCase['ramp']>) =>
    simulate({ ...given, ramp: { ...given.ramp, ...ramp } }).trip;

  it('the shortest is the one of the closed form, does not trip when it is entered, and trips below', () => {
    const { seconds } = shortestDown(given);
    expect(closed()).toBeCloseTo(0.73, 2);
    expect((seconds ?? 0) / closed()).toBeCloseTo(1, 2);
    for (const up_s of [0.3, 5, 1200]) {
      expect(tripOf({ up_s, down_s: seconds ?? 0 })).toBeNull();
      expect(tripOf({ up_s, down_s: 0.98 * closed() })?.why).toBe('overvoltage');
    }
  });

  it.each([0.5, 5, 60, 1200])('its peak is the same after %d s of run-up', (up_s) => {
    const { brake } = simulate({
      ...given,
      drive: { ...given.drive, tripVolts: 5000 },
      ramp: { ...given.ramp, up_s, down_s: 0.5 },
    });
    expect(brake.peak_W / peak_W(0.5)).toBeCloseTo(1, 2);
  });

  // Above base speed the voltage is at its end, and the torque falls with 1/f (any textbook on drives).
  it('twice the base frequency has half the torque', () => {
    const fast = {
      ...given,
      drive: { ...given.drive, tripVolts: 5000 },
      ramp: { ...given.ramp, to_Hz: 100, countsTo_Hz: 100 },
    };
    const closedUp = (0.0363 * 2 * omega) / ((1.8 * 22.35) / 2);
    expect((shortestUp(fast).seconds ?? 0) / closedUp).toBeCloseTo(1, 6);
    const at = (up_s: number) => simulate({ ...fast, ramp: { ...fast.ramp, up_s, down_s: 10 } });
    expect(at(1.02 * closedUp)).toMatchObject({ trip: null });
    expect(at(0.95 * closedUp).trip).toMatchObject({ why: 'overcurrent', while: 'up' });
  });
});
