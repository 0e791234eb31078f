/** Every type of the catalogue as a simulated drive: out of its box, up, running as it is wired. */
import type { ConceptId } from '@/core/equipment/concepts';
import { busOf, meaningOf } from '@/core/equipment/drive-words';
import type { Holder } from './memory';
import { obey, orderSchema, pass } from './rig';
import { boxed } from './types';
import { shownBy } from './unit';
import { memoryOf } from './memory';

const types = [
  ['dunlin-d1', 'D1-4'],
  ['knot-k3', 'K3-10'],
  ['whimbrel-w4', 'W4-15'],
  ['godwit-g4', 'G4-12'],
  ['godwit-g6', 'G6-60'],
] as const;
const box = (type: string, model: string): Promise<Holder> => boxed({ type, model, fitted: [] });
const tell = (holder: Holder, order: unknown) => obey(holder, orderSchema.parse(order));
const setTo = ({ unit }: Holder, concept: ConceptId) =>
  meaningOf(unit.settings.control, unit.settings.values, concept);
/** The input that runs it forward, whatever this type calls it. */
const runInput = (holder: Holder): string =>
  holder.unit.settings.control.inputs.find(({ id }) =>
    ['run', 'run-forward'].includes(String(setTo(holder, `input.${id}` as ConceptId))),
  )?.id ?? '';
const runOn = (holder: Holder) =>
  tell(holder, { plant: { contacts: { ...holder.plant.contacts, [runInput(holder)]: true } } });

it.each(types)(
  '%s %s gets ready with its factory settings and runs from its terminals',
  async (type, model) => {
    const holder = await box(type, model);
    await tell(holder, { wait_s: 3, plant: { AI1: 5, knob_percent: 50 } });
    expect(holder.unit.state).toBe('ready');
    await runOn(holder);
    pass(holder, 40);
    expect(holder.unit).toMatchObject({ state: 'running', alarm: null });
    expect(holder.unit.output_Hz).toBeCloseTo(25, 1);
    expect(holder.unit.machine.shaft_Hz).toBeGreaterThan(22);
    // Its own registers say the same.
    const { control } = holder.unit.settings;
    const at = busOf(control).live.find((l) => l.key === 'output-frequency');
    const [word] = memoryOf(holder).holding(at?.register ?? 0, 1) ?? [];
    expect((word ?? 0) * (at?.scale ?? 1)).toBeCloseTo(25, 1);
  },
);

it('the Dunlin needs its enable even from the keypad', async () => {
  const holder = await box('dunlin-d1', 'D1-4');
  const { contacts } = holder.plant;
  await tell(holder, {
    set: { 'place.selected': 'local' },
    plant: { keypadRun: false, knob_percent: 50, contacts: { ...contacts, DI2: false } },
    wait_s: 3,
  });
  await tell(holder, { plant: { keypadRun: true }, wait_s: 1 });
  expect(holder.unit.state).toBe('not-ready');
  await tell(holder, { plant: { keypadRun: false, contacts }, wait_s: 1 });
  await tell(holder, { plant: { keypadRun: true }, wait_s: 1 });
  expect(holder.unit.state).toBe('running');
});

it('the Knot protects a 5 A motor at 50 % of its 10 A, and not at 100 %', async () => {
  const overloaded = async (percent: number) => {
    const holder = await box('knot-k3', 'K3-10');
    await tell(holder, {
      set: { 'protect.overload-percent': percent },
      plant: { AI1: 10, motor: { ratedAmps: 5, power_kW: 2.2 }, load: { torque: 1.6 } },
      wait_s: 3,
    });
    await runOn(holder);
    pass(holder, 240);
    return holder.unit.alarm;
  };
  expect(await overloaded(50)).toBe('E11');
  expect(await overloaded(100)).toBeNull();
});

it('ramp reference frequency base or maximum as the type has it', async () => {
  const after = async (type: string, model: string) => {
    const holder = await box(type, model);
    await tell(holder, {
      set: { 'limit.maximum-frequency': 100, 'ramp.up': 10 },
      plant: { AI1: 10, knob_percent: 100, load: { torque: 0.1, inertia_s: 0.1 } },
      wait_s: 3,
    });
    await runOn(holder);
    pass(holder, 2);
    return holder.unit.output_Hz;
  };
  expect(await after('knot-k3', 'K3-10')).toBeCloseTo(10, 0);
  expect(await after('dunlin-d1', 'D1-4')).toBeCloseTo(20, 0);
});

describe('the autotune', () => {
  it.each([
    ['standstill', 5, 0],
    ['rotating', 13, 30],
  ] as const)(
    '%s: done, with the shaft as it expected, and stale after a new plate value',
    async (kind, lasts_s, atLeast_Hz) => {
      const holder = await box('godwit-g4', 'G4-12');
      await tell(holder, { set: { 'motor.ident': kind }, wait_s: 3 });
      await runOn(holder);
      let fastest_Hz = 0;
      for (let t = 0; t < lasts_s; t += 0.5) {
        pass(holder, 0.5);
        fastest_Hz = Math.max(fastest_Hz, holder.unit.machine.shaft_Hz);
      }
      expect(setTo(holder, 'motor.ident-state')).toBe('done');
      expect(setTo(holder, 'motor.ident')).toBe('none');
      expect(fastest_Hz).toBeGreaterThanOrEqual(atLeast_Hz);
      if (kind === 'standstill') expect(fastest_Hz).toBeLessThan(0.5);
      const rated = holder.unit.settings.control.parameters.find((p) => p.concept === 'motor.current');
      memoryOf(holder).writeHolding(rated?.register ?? 0, 80);
      expect(setTo(holder, 'motor.ident-state')).toBe('stale');
      await tell(holder, { plant: { mains: { on: false } }, wait_s: 400 });
      await tell(holder, { plant: { mains: { on: true } }, wait_s: 3 });
      // The edit was not stored, the result of the run was.
      expect(setTo(holder, 'motor.ident-state')).toBe('done');
    },
  );

  it('fails where run is taken away in the middle', async () => {
    const holder = await box('godwit-g4', 'G4-12');
    await tell(holder, { set: { 'motor.ident': 'standstill' }, wait_s: 3 });
    const { contacts } = holder.plant;
    await runOn(holder);
    pass(holder, 1);
    await tell(holder, { plant: { contacts }, wait_s: 1 });
    expect(setTo(holder, 'motor.ident-state')).toBe('failed');
  });
});

it('restarts by itself as often as it is set to, then stays tripped', async () => {
  const holder = await box('whimbrel-w4', 'W4-15');
  await tell(holder, {
    set: { 'restart.count': 2, 'restart.delay': 2, 'control.mode': 'vector-encoder' },
    plant: { AI1: 5 },
    wait_s: 3,
  });
  await runOn(holder);
  pass(holder, 30);
  expect(shownBy(holder.unit, holder.plant)).toMatchObject({ state: 'tripped', alarm: 'ENC' });
  expect(holder.unit.history.map((s) => s.code)).toEqual(['ENC', 'ENC', 'ENC']);
});
