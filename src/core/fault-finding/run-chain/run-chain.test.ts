import { readFileSync } from 'node:fs';
import type { Control } from '../../equipment/catalogue';
import { controlSchema } from '../../equipment/catalogue/schema';
import type { ConceptId } from '../../equipment/concepts';
import { factoryValues, parameterFor, type Live, type Values } from '../../equipment/drive-words';
import { runChain, type ChainFacts, type ChainLinkId } from '.';

const control: Control = controlSchema.parse(
  JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')),
);
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const factory: Values = factoryValues(control.parameters, rating, '50Hz');

/** Sets a concept to a neutral choice or a figure. */
const set = (changes: Partial<Record<ConceptId, string | number>>): Values =>
  Object.entries(changes).reduce<Values>((values, [concept, to]) => {
    const p = parameterFor(control, concept as ConceptId);
    const value = typeof to === 'number' ? to : p?.choices?.find((c) => c.means === to)?.value;
    if (p === undefined || value === undefined) throw new Error(`${concept} cannot be ${String(to)}`);
    return { ...values, [p.number]: value };
  }, factory);

/** A unit that stands ready with everything made but the run contact. */
const inputs = {
  DI1: false,
  DI2: false,
  DI3: true,
  DI4: false,
  DI5: false,
  DI6: false,
  STO1: true,
  STO2: true,
};
const ready: Live = {
  state: 'ready',
  alarm: null,
  busVolts: 565,
  outputFrequency_Hz: 0,
  reference_Hz: 30,
  inputs,
  AI1: 6,
  place: 'remote',
  serial: { run: false, reverse: false, 'coast-release': true },
};
const chain = (live: Partial<Live> = {}, values: Values = factory) => {
  const facts: ChainFacts = { control, supply_V: 400, values, live: { ...ready, ...live } };
  return runChain(facts);
};
const why = (id: ChainLinkId, made: ReturnType<typeof chain>): string =>
  made.links.find((l) => l.id === id)?.why ?? '';

describe('the first broken link is the answer', () => {
  const run = { ...inputs, DI1: true };
  it.each<[string, ChainLinkId, Partial<Live>, Values, RegExp]>([
    ['supply gone', 'supply', { busVolts: 60 }, factory, /bus not charged/],
    ['a phase lost', 'supply', { alarm: 'P-LOSS', state: 'tripped' }, factory, /input phase lost/],
    ['still charging', 'precharge', { state: 'precharge' }, factory, /precharge relay/],
    ['tripped', 'trip', { alarm: 'EARTH', state: 'tripped' }, factory, /Remove the cause, then reset/],
    [
      'one safe-stop channel',
      'safe-stop',
      { inputs: { ...run, STO2: false } },
      factory,
      /STO channel SB is off/,
    ],
    ['the STO return', 'safe-stop', { inputs: { ...run, STO1: false, STO2: false } }, factory, /return SC/],
    [
      'interlock at its usual input',
      'interlock',
      { inputs: { ...run, DI3: false } },
      factory,
      /X3 carries “interlock”/,
    ],
    [
      'interlock on another input',
      'interlock',
      { inputs: { ...run, DI5: false } },
      set({ 'input.DI3': 'none', 'input.DI5': 'interlock' }),
      /X5 carries “interlock”/,
    ],
    [
      'coast command from the serial link',
      'coast',
      { inputs: run, serial: { run: false, 'coast-release': false } },
      factory,
      /over the serial link/,
    ],
    ['no run', 'run', {}, factory, /No run command at the terminals: X1, X2 off/],
    [
      'run at the wrong place',
      'run',
      { inputs: run, place: 'local' },
      factory,
      /control source is the keypad/,
    ],
    [
      'waits for a start pulse',
      'run',
      { inputs: { ...run, DI4: true } },
      set({ 'run.wiring': 'three-wire', 'input.DI4': 'stop-break' }),
      /start pulse/,
    ],
    [
      'reverse is disabled',
      'direction',
      { inputs: { ...inputs, DI2: true } },
      factory,
      /reverse is disabled/,
    ],
    [
      'zero reference',
      'reference',
      { inputs: run, state: 'running', reference_Hz: 0, AI1: 0 },
      factory,
      /run LED on, shaft stopped.*A1 is at zero/,
    ],
    ['a limit at zero', 'limits', { inputs: run, state: 'running' }, set({ 'limit.torque': 0 }), /no output/],
  ])('%s', (_, first, live, values, because) => {
    const made = chain(live, values);
    expect(made.firstOpen).toBe(first);
    expect(why(first, made)).toMatch(because);
    expect(made.unknownBefore).toEqual([]);
  });

  it('has nothing to say against a unit that runs', () => {
    const made = chain({ inputs: run, state: 'running', outputFrequency_Hz: 30 });
    expect(made.firstOpen).toBeNull();
    expect(made.links.every((l) => l.state === 'closed')).toBe(true);
  });
});

describe('what nobody looked at', () => {
  it('is unknown, and the cheapest look comes first', () => {
    const made = runChain({ control, supply_V: 400, values: {}, live: {} });
    expect(made.firstOpen).toBeNull();
    expect(made.links.filter((l) => l.state === 'open')).toEqual([]);
    expect(made.unknownBefore.length).toBeGreaterThan(8);
    expect(made.next).toMatchObject({ minutes: 1 });
  });

  it('is said beside an open link that stands behind it', () => {
    const { STO1: _, ...blind } = inputs;
    const made = chain({ inputs: blind });
    expect(made.firstOpen).toBe('run');
    expect(made.unknownBefore).toEqual(['safe-stop']);
    expect(made.next).toMatchObject({
      settles: 'safe-stop',
      what: expect.stringContaining('SA and SB') as string,
    });
  });

  it('does not take the usual input for the one that carries the interlock', () => {
    const { '5-05': _, ...unread } = factory;
    const made = chain({}, unread);
    expect(made.links.find((l) => l.id === 'interlock')?.state).toBe('unknown');
  });

  it('a unit with no STO has no such link', () => {
    const made = runChain({
      control: { ...control, safeStop: null },
      supply_V: 400,
      values: factory,
      live: ready,
    });
    expect(made.links.map((l) => l.id)).not.toContain('safe-stop');
  });
});

describe('the bus against the levels of its class', () => {
  const bus = (supply_V: number, busVolts: number, busLevels?: ChainFacts['busLevels']) =>
    runChain({ control, supply_V, busLevels, values: {}, live: { ...ready, busVolts } }).links.find(
      (l) => l.id === 'supply',
    );
  // 400–480 V: undervoltage at about 360 V; 230 V: at about 200 V (from memory).
  it.each([
    [400, 370, 'closed'],
    [400, 350, 'open'],
    [480, 370, 'closed'],
    [230, 210, 'closed'],
    [230, 190, 'open'],
  ])('%d V with %d V on the bus: %s', (supply_V, busVolts, state) => {
    expect(bus(supply_V, busVolts)?.state).toBe(state);
  });

  it('a type may have its own, and where there is no class nothing is invented', () => {
    expect(bus(400, 370, { trip_V: 820, chopper_V: 780, under_V: 380 })?.state).toBe('open');
    expect(bus(1000, 1300)).toMatchObject({
      state: 'unknown',
      why: expect.stringContaining('see the manual') as string,
    });
  });
});
