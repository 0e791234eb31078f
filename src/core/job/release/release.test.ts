import { readFileSync } from 'node:fs';
import { fold, type Payload } from '../../logbook';
import { testDrive, job, opening } from '../../logbook/__tests__/job';
import { controlSchema } from '../../equipment/catalogue/schema';
import { greatestLimits } from '../../bench/make-safe';
import { defaultStartUpChoices, type StartUpChoices } from '../../equipment/application';
import type { Values } from '../../equipment/drive-words';
import { coupledIdentification } from './registers';
import { inShort, analogLineOf, missingParts, releaseOf } from '.';

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')));
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const plate = {
  power: { value: 5.5, unit: 'kW' as const },
  volts: 400,
  amps: 11.2,
  hz: 50,
  rpm: 1450,
  cosPhi: 0.83,
};
const numberOf = (concept: string) => control.parameters.find((p) => p.concept === concept)?.number ?? '';
const valueOf = (concept: string, means: string) =>
  control.parameters.find((p) => p.concept === concept)?.choices?.find((c) => c.means === means)?.value ?? -1;
const choices: StartUpChoices = { ...defaultStartUpChoices({ plate_Hz: 50, knob: false }), load: 'conveyor' };
const place: Payload<'startup.place'> = {
  phases: 3,
  earthing: 'star-earthed',
  ambient_C: 30,
  altitude_m: 0,
  carrier_kHz: 4,
  sideBySide: false,
  storedYears: 0,
  motors: 1,
  singlePhaseMotor: false,
};

/** A job with plates and choices, and these values in its drive. */
function started(differs: Partial<StartUpChoices> = {}, p: Payload<'startup.place'> | null = null) {
  const j = job();
  j.add('job.opened', opening);
  j.add('identify.drive', testDrive);
  j.add('identify.motor', { plate, photos: [] });
  j.add('startup.choices', { choices: { ...choices, ...differs }, supply: { volts: 400, hz: 50 } });
  if (p !== null) j.add('startup.place', p);
  return j;
}
const read = (j: ReturnType<typeof job>, values: Record<string, number>) =>
  j.add('drive.read', {
    target: 't',
    typeId: 'whimbrel-w4',
    identity: { vendor: 'Whimbrel', product: 'W4', revision: '1' },
    values,
    live: {},
    history: [],
  });
const write = (j: ReturnType<typeof job>, concept: string, to: number) => {
  const number = numberOf(concept);
  const asked = j.add('drive.write-asked', {
    target: 't',
    typeId: 'whimbrel-w4',
    number,
    name: number,
    from: 0,
    to,
    shownFrom: '0',
    shownTo: String(to),
    reason: 'start-up sheet',
    trial: false,
    mayMove: 'nothing',
    runOpen: true,
    peopleClear: true,
  });
  j.add('drive.write-done', { asked, found: to });
};
const release = (j: ReturnType<typeof job>) => {
  const made = releaseOf(fold(j.entries, { limits: greatestLimits }), control, rating);
  if (made === null) throw new Error('plates and choices are there');
  return made;
};
const ids = (j: ReturnType<typeof job>) => release(j).issues.map((m) => m.id);

it('there is none before plates and choices', () => {
  const j = job();
  j.add('identify.drive', testDrive);
  expect(releaseOf(fold(j.entries, { limits: greatestLimits }), control, rating)).toBeNull();
});

it('what resets others makes what was known before it doubtful, until the drive is read', () => {
  const j = started();
  read(j, {});
  write(j, 'motor.current', 11.2);
  expect(ids(j)).not.toContain('unread');
  write(j, 'region', 0);
  expect(release(j).issues.find((m) => m.id === 'unread')).toMatchObject({ mayWait: false });
  read(j, {});
  expect(ids(j)).not.toContain('unread');
});

describe('supervision that is off', () => {
  const off = (concept: string) => ({ [numberOf(concept)]: valueOf(concept, 'ignore') });
  const issue = (j: ReturnType<typeof job>, concept: string) =>
    release(j).issues.find((m) => m.id.startsWith('audit:') && m.text.startsWith(numberOf(concept)));

  it('of an input phase is an open issue on three phases and explained on one', () => {
    const three = started({}, place);
    read(three, off('protect.input-phase'));
    expect(issue(three, 'protect.input-phase')).toMatchObject({ mayWait: true });
    const one = started({}, { ...place, phases: 1 });
    read(one, off('protect.input-phase'));
    expect(issue(one, 'protect.input-phase')).toBeUndefined();
  });

  it('is open again when the feed is changed back to three phases', () => {
    const j = started({}, { ...place, phases: 1 });
    read(j, off('protect.input-phase'));
    expect(release(j).sheet.rows.find((r) => r.concept === 'protect.input-phase')).toMatchObject({
      value: valueOf('protect.input-phase', 'ignore'),
    });
    j.add('startup.place', place);
    expect(issue(j, 'protect.input-phase')).toBeDefined();
    expect(ids(j)).toContain('entries');
  });

  it('of the motor’s overload never waits', () => {
    const j = started();
    read(j, off('protect.overload'));
    expect(issue(j, 'protect.overload')).toMatchObject({ mayWait: false });
  });
});

it('a code that still opens parameters is an open issue', () => {
  const j = started();
  read(j, { [numberOf('lock.code')]: control.locks[0]?.code ?? -1 });
  expect(ids(j)).toContain('audit:code-in');
  read(j, { [numberOf('lock.code')]: 0 });
  expect(ids(j)).not.toContain('audit:code-in');
});

it('a motor that asks for more than the unit gives there never waits', () => {
  const hot = started({}, { ...place, ambient_C: 50, altitude_m: 3000 });
  expect(release(hot).issues.find((m) => m.id.startsWith('place:'))).toMatchObject({ mayWait: false });
});

it('open steps of the run are open issues; safety among them never waits', () => {
  const j = started();
  const steps = release(j).issues.filter((m) => m.id.startsWith('step:'));
  expect(steps).toHaveLength(release(j).steps.length);
  expect(steps.find((m) => m.id === 'step:safety-emergency stop')?.mayWait).toBe(false);
  expect(steps.find((m) => m.id === 'step:partners')?.mayWait).toBe(true);
  expect(inShort(release(j).issues).at(-1)).toMatchObject({
    text: expect.stringMatching(
      /^\d+ steps of the commissioning run are open: Wires, Torques, Earth …/,
    ) as string,
    mayWait: false,
  });
});

it('what is missing is counted where it is put right', () => {
  const without = release(started({}, null));
  const parts = missingParts(without.issues);
  expect(parts).toMatchObject({ place: true, steps: without.steps.length });
  expect(missingParts(release(started({}, place)).issues)).toMatchObject({ place: false });
  expect(1 + parts.steps + parts.sheet).toBe(without.issues.length);
});

it('what was lost when the power went is named as the keypad shows it', () => {
  const j = started();
  const up = numberOf('ramp.up');
  read(j, { [up]: 5 });
  expect(release(j).lost).toBeNull();
  j.add('commission.power-off', {});
  read(j, { [up]: 10 });
  expect(release(j).lost).toEqual([
    { number: up, text: expect.stringMatching(/was 5 s, is 10 s/) as string },
  ]);
});

it('the line of the speed signal goes from the lowest to the highest frequency', () => {
  expect(analogLineOf(control, { ...choices, minimum_Hz: 10 }, 50)).toEqual({
    signal: '0-10V',
    atLow: 10,
    atHigh: 50,
  });
  expect(analogLineOf(control, { ...choices, speedFrom: 'keypad' }, 50)).toBeNull();
});

describe('overhauling load', () => {
  const against = (means: string, brakeProven: boolean) => {
    const j = started({ load: 'winch', brakeProven });
    j.add('startup.value', {
      number: numberOf('stop.mode'),
      value: valueOf('stop.mode', means),
      reason: 'process need',
    });
    return release(j).issues.filter((m) => m.id === 'audit:stop-lets-go');
  };

  it.each(['coast', 'dc-injection'])('is not let go by %s without a brake that is proven', (means) => {
    expect(against(means, false)).toMatchObject([{ mayWait: false }]);
    expect(against(means, true)).toEqual([]);
    expect(against('ramp', false)).toEqual([]);
  });
});

describe('a value that was typed', () => {
  const typedIssues = (concept: string, value: number, differs: Partial<StartUpChoices> = {}) => {
    const j = started(differs);
    j.add('startup.value', { number: numberOf(concept), value, reason: 'process need' });
    return release(j)
      .issues.filter((m) => m.id.startsWith('typed'))
      .map(({ text, mayWait }) => [text, mayWait] as const);
  };

  it.each([
    ['protect.overload-amps', 9999, /takes .* to .*, not 9999/],
    ['ramp.down', -4, /takes .* to .*, not -4/],
    ['limit.maximum-frequency', 5000, /takes .* to .*, not 5000/],
    ['protect.overload-amps', 11.234, /takes steps of/],
    // 11.2 A on the plate: 129 %.
    ['protect.overload-amps', 14.4, /Overload set above FLA/],
    ['limit.minimum-frequency', 60, /against/],
  ] as const)('%s of %d is refused by the release, and never waits', (concept, value, why) => {
    const issues = typedIssues(concept, value);
    expect(issues.map(([text]) => text).join()).toMatch(why);
    expect(issues.every(([, mayWait]) => !mayWait)).toBe(true);
  });

  it('within range, step and rules it stands', () => {
    expect(typedIssues('ramp.up', 7)).toEqual([]);
  });
});

it('a rotating autotune is refused while the machine is coupled, whichever way it was chosen', () => {
  const godwit = controlSchema.parse(JSON.parse(readFileSync('catalogue/godwit-g4/control.json', 'utf8')));
  const ident = godwit.parameters.find((p) => p.concept === 'motor.ident');
  const rotating = ident?.choices?.find((c) => c.means === 'rotating')?.value ?? -1;
  const held = (coupled: boolean, values: Values, wanted: Values) =>
    coupledIdentification(godwit, { coupled, values, wanted }).map((m) => m.mayWait);
  const set = { [ident?.number ?? '']: rotating };
  expect(held(true, {}, set)).toEqual([false]);
  expect(held(true, set, {})).toEqual([false]);
  expect(held(false, set, set)).toEqual([]);
  expect(held(true, {}, {})).toEqual([]);
});

describe('what became of a value', () => {
  const number = numberOf('motor.current');
  const stateOf = (j: ReturnType<typeof job>) => release(j).entries[number]?.state;

  it('is requested, found, or written and read back, and no more than that', () => {
    const j = started();
    const wanted = release(j).sheet.rows.find((r) => r.number === number)?.value ?? NaN;
    expect(stateOf(j)).toBe('requested');
    read(j, { [number]: wanted + 1 });
    expect(stateOf(j)).toBe('requested, found different');
    read(j, { [number]: wanted });
    expect(stateOf(j)).toBe('found');
    write(j, 'motor.current', wanted);
    expect(stateOf(j)).toBe('written and read back');
  });

  it('is not known any more once something reset it, until it is read', () => {
    const j = started();
    const wanted = release(j).sheet.rows.find((r) => r.number === number)?.value ?? NaN;
    write(j, 'motor.current', wanted);
    const region = numberOf('region');
    const asked = j.add('drive.write-asked', {
      ...{ target: 't', typeId: 'whimbrel-w4', number: region, name: 'Region', from: 0, to: 1 },
      ...{ shownFrom: '50', shownTo: '60', reason: 'start-up sheet', trial: false, mayMove: 'nothing' },
      ...{ runOpen: true as const, peopleClear: true as const, resets: 'all' as const },
    });
    j.add('drive.write-done', { asked, found: 1 });
    expect(stateOf(j)).toBe('requested');
    expect(release(j).sheet.rows.find((r) => r.number === number)?.now).toBeNull();
    expect(release(j).sheet.rows.find((r) => r.number === region)?.now).toBe(1);
    read(j, { [number]: wanted, [region]: 1 });
    expect(stateOf(j)).toBe('written and read back');
  });

  it('comes in the order of the planner, each with the reason for its place', () => {
    const { sheet, entries } = release(started());
    const at = (concept: string) => sheet.rows.findIndex((r) => r.concept === concept);
    expect(at('region')).toBe(0);
    expect(at('control.mode')).toBeLessThan(at('motor.current'));
    expect(at('motor.current')).toBeLessThan(at('place.remote-run'));
    expect(entries[numberOf('region')]?.why).toContain('resets all others');
    expect(sheet.rows.every((r) => (entries[r.number]?.why ?? '') !== '')).toBe(true);
  });
});

describe('signal, selector and potentiometer', () => {
  const knot = controlSchema.parse(JSON.parse(readFileSync('catalogue/knot-k3/control.json', 'utf8')));
  const analog = (of: typeof control, differs: Partial<StartUpChoices>, j = started(differs)) => {
    const made = releaseOf(fold(j.entries, { limits: greatestLimits }), of, rating);
    return (made?.issues ?? []).filter((m) => /^(selector|potentiometer)/.test(m.id));
  };

  it('a selector is looked at, still stopped as the signal wants it', () => {
    const current = { speedFrom: 'AI2', signal: '4-20mA' } as const;
    expect(analog(knot, current)).toMatchObject([{ id: 'selector:AI2', mayWait: true }]);
    const j = started(current);
    j.add('startup.jumper', { input: 'AI2', position: 'V' });
    expect(analog(knot, current, j)).toMatchObject([
      { text: 'C1: selector set to V, but the signal is 4-20mA.', mayWait: false },
    ]);
    j.add('startup.jumper', { input: 'AI2', position: 'mA' });
    expect(analog(knot, current, j)).toEqual([]);
    expect(analog(control, { speedFrom: 'AI1', signal: '0-10V' })).toEqual([]);
  });

  it('a potentiometer outside the window of the type is held, and the one that is sold is named', () => {
    const volts = { speedFrom: 'AI1', signal: '0-10V' } as const;
    const j = started(volts);
    j.add('startup.potentiometer', { ohm: 22_000 });
    expect(analog(control, volts, j)).toMatchObject([
      {
        text: '22 kΩ is outside 3 kΩ to 5 kΩ, as allowed by the type: nearest standard value: 5 kΩ.',
        mayWait: false,
      },
    ]);
    j.add('startup.potentiometer', { ohm: 4700 });
    expect(analog(control, volts, j)).toEqual([]);
    j.add('startup.potentiometer', { ohm: 22_000 });
    j.add('startup.potentiometer', { ohm: null });
    expect(analog(control, volts, j)).toEqual([]);
  });
});
