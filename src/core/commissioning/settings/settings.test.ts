import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import { limitsOf } from '../../equipment/drive-words';
import type { Plate } from '../../equipment/plate';
import { defaultStartUpChoices, type StartUpChoices } from '../../equipment/application';
import { differing, sheetAgainst, startUpSheet, type StartUp } from '.';

const types = ['dunlin-d1', 'knot-k3', 'whimbrel-w4', 'godwit-g4', 'godwit-g6'] as const;
const controls = Object.fromEntries(
  types.map((t) => [t, controlSchema.parse(JSON.parse(readFileSync(`catalogue/${t}/control.json`, 'utf8')))]),
);
const plate: Plate = {
  power: { value: 5.5, unit: 'kW' },
  volts: 400,
  amps: 11.2,
  hz: 50,
  rpm: 1450,
  cosPhi: 0.83,
};
const choices: StartUpChoices = { ...defaultStartUpChoices({ plate_Hz: 50, knob: false }), load: 'conveyor' };
type Differs = Omit<Partial<StartUp>, 'choices' | 'plate'> & {
  type?: (typeof types)[number];
  plate?: Partial<Plate>;
  choices?: Partial<StartUpChoices>;
};
const sheet = ({ type = 'whimbrel-w4', plate: p, choices: c, ...rest }: Differs = {}) =>
  startUpSheet({
    control: controls[type] as StartUp['control'],
    rating: { ratedAmps: 15, power_kW: 7.5, supply_V: 400 },
    supply: { volts: 400, hz: 50 },
    ...rest,
    plate: { ...plate, ...p },
    choices: { ...choices, ...c },
  });
const row = (made: ReturnType<typeof sheet>, concept: string) => {
  const found = made.rows.find((r) => r.concept === concept);
  if (found === undefined) throw new Error(`no row for ${concept}`);
  return found;
};

describe('the sums of the trade', () => {
  const onKnot = (amps: number, ratedAmps: number) =>
    row(
      sheet({ type: 'knot-k3', plate: { amps }, rating: { ratedAmps, power_kW: 4, supply_V: 400 } }),
      'protect.overload-percent',
    );

  it('7 A on a 10 A drive is 70 %; 1 A on 2.7 A is 37 %, rounded down', () => {
    expect(onKnot(7, 10)).toMatchObject({ number: 'B-05', value: 70, shown: '70 %' });
    expect(onKnot(1, 2.7)).toMatchObject({ value: 37 });
    expect(onKnot(1, 2.7).sum).toContain('37.0 %, rounded down');
  });

  it('below the floor it refuses, never clamps up, and names the smallest motor', () => {
    expect(onKnot(2, 10)).toMatchObject({
      value: null,
      refused: {
        why: expect.stringContaining('minimum of 30 %') as string,
        remedy: expect.stringContaining('3.0 A') as string,
      },
    });
  });

  it('a motor larger than the drive is refused in amps and in percent', () => {
    expect(onKnot(12, 10).refused?.remedy).toContain('larger drive');
    expect(row(sheet({ plate: { amps: 16 } }), 'protect.overload-amps').value).toBeNull();
  });

  it('overload in amps is the nameplate current, whatever the service factor says', () => {
    const overload = row(sheet({ plate: { serviceFactor: 1.15 } }), 'protect.overload-amps');
    expect(overload).toMatchObject({ number: '7-01', value: 11.2 });
    expect(overload.warnings.join()).toContain('service factor');
  });

  it('current limit: 110 % for fans and pumps, 150 % for the rest, of the motor, within the drive', () => {
    expect(row(sheet({ choices: { load: 'fan-or-pump' } }), 'limit.current').value).toBe(82);
    expect(row(sheet(), 'limit.current').value).toBe(112);
    expect(row(sheet({ type: 'godwit-g4' }), 'limit.current-amps').value).toBe(16.8);
    const tight = row(
      sheet({ plate: { amps: 15 }, rating: { ratedAmps: 10, power_kW: 4, supply_V: 400 } }),
      'limit.current',
    );
    expect(tight.value).toBe(180);
    expect(tight.warnings.join()).toContain('225 is outside 20 to 180');
  });

  it('hp both ways', () => {
    const power = row(sheet({ plate: { power: { value: 7.5, unit: 'hp' } } }), 'motor.power');
    expect(power.value).toBe(5.59);
    expect(power.sum).toBe('7.5 hp × 0.7457 = 5.59 kW (with the trade’s 0.746: 5.59)');
  });
});

describe('the 50/60 Hz default set', () => {
  const flux = (made: ReturnType<typeof sheet>) => made.findings.find((f) => f.code === 'v-per-hz');

  it('400 V at 50 Hz in a 60 Hz 50/60 Hz default set: 6.67 instead of 8 V/Hz, 17 % under-fluxed', () => {
    expect(flux(sheet({ choices: { region: '60Hz' } }))).toMatchObject({
      severity: 'wrong',
      text: expect.stringContaining('17 % under-fluxed') as string,
      sum: expect.stringContaining('6.67 V/Hz') as string,
    });
    expect(flux(sheet())).toMatchObject({ severity: 'info' });
  });

  it('a 60 Hz motor in a 50 Hz 50/60 Hz default set saturates', () => {
    expect(flux(sheet({ plate: { hz: 60, volts: 460, rpm: 1750 } }))?.text).toContain('20 % over-fluxed');
  });

  // 250 V ÷ 50 Hz = 5 V/Hz where the plate has 400 ÷ 50 = 8: 37.5 % too little.
  it('judges what can be entered, not what was wanted: 400 V on an entry that ends at 250 V', () => {
    const control = controls['whimbrel-w4'] as StartUp['control'];
    const parameters = control.parameters.map((p) =>
      p.concept === 'motor.voltage' ? { ...p, min: 100, max: 250 } : p,
    );
    const made = sheet({ control: { ...control, parameters } });
    expect(row(made, 'motor.voltage').value).toBe(250);
    expect(made.findings.filter((f) => f.code.startsWith('v-per-hz'))).toEqual([
      expect.objectContaining({
        code: 'v-per-hz-entered',
        severity: 'wrong',
        text: expect.stringMatching(/3[78] % under-fluxed/) as string,
        sum: expect.stringContaining('250 V ÷ 50 Hz = 5 V/Hz') as string,
      }),
    ]);
  });

  it('what is in the drive counts, not what was meant', () => {
    expect(flux(sheet({ values: { '0-01': 1 } }))?.severity).toBe('wrong');
  });
});

describe('what the machine decides', () => {
  it('a lifting load without a proven brake is never left to coast', () => {
    const stop = row(sheet({ choices: { load: 'winch' } }), 'stop.mode');
    expect(stop.shown).toBe('ramp');
    expect(stop.warnings.join()).toContain('refused: no mechanical brake proven to close');
    expect(row(sheet({ choices: { load: 'winch', brakeProven: true } }), 'stop.mode').warnings).toEqual([]);
  });

  it('autotune turns the shaft only uncoupled, never with a load that may hang', () => {
    const ident = (c: Partial<StartUpChoices>) =>
      row(sheet({ type: 'godwit-g4', choices: c }), 'motor.ident').shown;
    expect(ident({ coupled: false })).toBe('rotating');
    expect(ident({ coupled: true })).toBe('standstill');
    expect(ident({ coupled: false, load: 'hoist' })).toBe('standstill');
    // The Whimbrel knows none that turns.
    expect(row(sheet({ choices: { coupled: false } }), 'motor.ident').shown).toBe('at standstill');
  });

  it('no slip on the nameplate is another kind of motor: asked, and refused where the type cannot', () => {
    const synchronous = { rpm: 1500 };
    expect(row(sheet({ type: 'godwit-g4', plate: synchronous }), 'control.mode').shown).toBe(
      'permanent magnet',
    );
    expect(row(sheet({ plate: synchronous }), 'control.mode').refused).not.toBeNull();
  });

  it('a locked parameter comes with its code', () => {
    expect(
      row(
        sheet({ type: 'dunlin-d1', rating: { ratedAmps: 7, power_kW: 1.5, supply_V: 230 } }),
        'limit.reverse',
      ).lock,
    ).toEqual({
      level: 1,
      code: 27,
    });
  });

  it('a lowest frequency makes it turn at once, and does not cool it', () => {
    const lowest = row(sheet({ choices: { minimum_Hz: 8 } }), 'limit.minimum-frequency');
    expect(lowest.value).toBe(8);
    expect(lowest.warnings).toHaveLength(2);
  });
});

it.each(types)('%s: every value is one its parameter takes, with a rule and a sum', (type) => {
  const made = sheet({ type });
  const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
  expect(made.rows.length).toBeGreaterThan(18);
  expect(new Set(made.rows.map((r) => r.number)).size).toBe(made.rows.length);
  for (const r of made.rows) {
    expect(r.sum).not.toBe('');
    expect(r.provenance).not.toBe('');
    const p = controls[type]?.parameters.find((x) => x.number === r.number);
    if (r.value === null || p === undefined) continue;
    const { min, max } = limitsOf(p, rating);
    expect([r.number, r.value >= min && r.value <= max]).toEqual([r.number, true]);
    expect(Math.abs(r.value / p.scale - Math.round(r.value / p.scale))).toBeLessThan(1e-6);
  }
});

it('50/60 Hz default set comes first: it resets what is entered before it', () => {
  expect(sheet().rows[0]?.concept).toBe('region');
});

describe('what stands against signing', () => {
  const control = controls['whimbrel-w4'] as StartUp['control'];
  const inDrive = (values: Record<string, number>) => {
    const made = sheet({ values });
    return sheetAgainst(made, {}, control, values).map((a) => a.text);
  };
  const asSheet = () => {
    const values = Object.fromEntries(
      sheet().rows.flatMap((r) => (r.value === null ? [] : [[r.number, r.value]])),
    );
    return { ...values, '1-10': 1 };
  };

  it('nothing, when the drive has what the sheet says and the autotune is done', () => {
    expect(inDrive(asSheet())).toEqual([]);
  });

  it('a wrong 50/60 Hz default set and a stale autotune', () => {
    expect(inDrive({ ...asSheet(), '0-01': 1 }).join(' ')).toMatch(/under-fluxed.*0-01 /);
    expect(inDrive({ ...asSheet(), '1-10': 2 }).join()).toContain('Autotune invalid');
    expect(inDrive({ ...asSheet(), '1-10': 0 }).join()).toContain('not done yet');
  });

  it('a parameter that is otherwise, unless that value was typed with a reason', () => {
    const values = { ...asSheet(), '3-01': 2 };
    expect(inDrive(values).join()).toContain('One parameter differs in the drive: 3-01 Acceleration');
    expect(differing(sheet({ values }), { '3-01': { value: 2, reason: 'process need' } })).toEqual([]);
  });
});

describe('several motors on one drive', () => {
  const two = sheet({ motors: 2, plate: { amps: 4.6 } });

  it('give their sum, an overload relay each, no model and no autotune', () => {
    expect(row(two, 'motor.current')).toMatchObject({ value: 9.2, sum: '2 motors of 4.6 A' });
    const overload = two.rows.find((r) => r.concept.startsWith('protect.overload-'));
    expect(overload?.warnings.join()).toContain('relay for each');
    expect(row(two, 'control.mode').sum).toContain('fits none of them');
    expect(two.rows.some((r) => r.concept === 'motor.ident')).toBe(false);
  });

  it('leave slip and poles as they are on the nameplate', () => {
    expect(row(two, 'motor.speed').sum).toBe(row(sheet(), 'motor.speed').sum);
  });
});

it('the carrier is the one for which the unit was derated', () => {
  expect(row(sheet(), 'switching.frequency')).toMatchObject({ value: 4, warnings: [] });
  expect(row(sheet({ carrier_kHz: 8 }), 'switching.frequency').warnings.join()).toContain('hotter');
});

describe('autotune and flying start by what turns', () => {
  const ident = (differs: Differs) => row(sheet({ type: 'godwit-g4', ...differs }), 'motor.ident');
  it('a permanent-magnet motor mostly needs one, a fan too: both at standstill', () => {
    expect(ident({ plate: { rpm: 1500 }, choices: { coupled: false } })).toMatchObject({
      shown: 'standstill',
      sum: 'no slip on the nameplate: a permanent-magnet motor usually needs it, at standstill',
    });
    expect(ident({ choices: { load: 'fan-or-pump', coupled: false } })).toMatchObject({
      shown: 'standstill',
      sum: 'for fans and pumps too, at standstill',
    });
  });

  it('a fan that a draught turns is caught; on anything else that is a hazard', () => {
    const flying = (c: Partial<StartUpChoices>) => row(sheet({ choices: c }), 'start.flying');
    expect(flying({ load: 'fan-or-pump', windmills: true })).toMatchObject({ shown: 'on', warnings: [] });
    expect(flying({ load: 'fan-or-pump' })).toMatchObject({ shown: 'off', warnings: [] });
    expect(flying({ load: 'winch', windmills: true }).shown).toBe('off');
    expect(flying({ load: 'conveyor' }).warnings.join()).toContain('may turn a stopped machine');
  });
});
