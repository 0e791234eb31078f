/** @jest-environment jsdom */
import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { factoryValues, parameterFor, type Live } from '@/core/equipment/drive-words';
import type { Entry, Payload, Person } from '@/core/logbook';
import { defaultStartUpChoices } from '@/core/equipment/application';
import type { StageProps } from '../../job-store/stage-props';
import {
  answering,
  choose,
  testControl,
  ines,
  openTab,
  pip,
  press,
  serverThatWrites,
  show,
  tick,
  typeOf,
  winchDrive,
  winchMotor,
  WithStore,
  type RecordedEntry,
  fill,
  fillField,
} from '../../__tests__/show';
import { CommissioningWork } from './commissioning-work';

const control = testControl('whimbrel-w4');
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
/** What the factory set for 60 Hz. */
const regionNumber = parameterFor(control, 'region')?.number ?? '';
const factory: Record<string, number> = {
  ...factoryValues(control.parameters, rating, '60Hz'),
  [regionNumber]: 1,
};
const numberOf = (concept: string) => control.parameters.find((p) => p.concept === concept)?.number ?? '';
const chosen: Payload<'startup.choices'> = {
  choices: { ...defaultStartUpChoices({ plate_Hz: 50, knob: false }), load: 'conveyor' },
  supply: { volts: 400, hz: 50 },
};
const plates: readonly RecordedEntry[] = [
  ['identify.drive', winchDrive],
  ['identify.motor', winchMotor],
];
const begun: readonly RecordedEntry[] = [...plates, ['startup.choices', chosen]];

/** The link of the watched drive: what the test sends, comes. */
class Link {
  static open: Link | null = null;
  onmessage: ((e: { data: string }) => void) | null = null;
  constructor() {
    Link.open = this;
  }
  addEventListener() {}
  close() {}
}
const sends = (live: Live) => act(() => Link.open?.onmessage?.({ data: JSON.stringify(live) }));

const identity = { vendor: 'Whimbrel', product: 'W4', revision: '3.2' };
let inDrive: Record<string, number> = {};
let onServer: Entry[] = [];
const server = () =>
  answering((asked) => {
    const { url } = asked;
    if (url.endsWith('/api/v1/drives'))
      return { body: { found: [{ target: 't:1', identity, typeIds: ['whimbrel-w4'], trouble: null }] } };
    if (url.endsWith('/drives/read')) return { body: { identity, values: inDrive, live: {}, history: [] } };
    if (url.endsWith('/drives/write')) {
      const { number, to } = asked.body as { number: string; to: number };
      inDrive = { ...inDrive, [number]: to };
      return serverThatWrites(control, onServer, () => ({ found: to, kept: false }))(asked);
    }
    return null;
  });

beforeEach(() => {
  inDrive = factory;
  onServer = [];
  Link.open = null;
  Object.assign(globalThis, { EventSource: Link });
});

function faced(said = begun, person: Person = ines) {
  const log: RecordedEntry[] = [];
  const asked = server();
  show(
    <WithStore said={said} log={log} server={onServer} person={person}>
      {(store) => (
        <CommissioningWork
          {...({
            jobId: 'j',
            store,
            person,
            catalogue: [typeOf('whimbrel-w4')],
            goTo: () => undefined,
          } as unknown as StageProps)}
          drive={winchDrive}
          plate={winchMotor.plate}
          control={control}
        />
      )}
    </WithStore>,
  );
  return { log, asked };
}
const readOut = async () => {
  await press('Search for drives');
  await screen.findByRole('combobox', { name: 'Drive' });
  await press('Read out');
  await screen.findByText(/^Read out: \d+ parameters/);
};
const rows = () => within(screen.getByRole('list', { name: 'Start-up sheet' }));
const row = (number: string) => {
  const found = rows()
    .getAllByRole('listitem')
    .find((li) => within(li).queryByText(number) !== null);
  if (found === undefined) throw new Error(`no row ${number}`);
  return within(found);
};

it('what is missing stands on top, and leads to where it is put right', async () => {
  faced();
  const missing = within(screen.getByRole('region', { name: 'Missing before signing' }));
  expect(missing.getByRole('button', { name: /^\d+ steps of the commissioning run$/ })).toBeTruthy();
  await userEvent.click(missing.getByRole('button', { name: 'supply and installation' }));
  expect(screen.getByRole('tab', { name: 'Supply and installation' }).getAttribute('aria-selected')).toBe(
    'true',
  );
});

describe('load and control', () => {
  it('come first; a ramp of no time is asked about and what was typed stays', async () => {
    const { log } = faced(plates);
    expect(screen.queryByRole('tab', { name: 'Commissioning run' })).toBeNull();
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Load' }), 'winch');
    await fill('Ramp up', '0');
    await press('Make start-up sheet');
    expect(screen.getByText(/A ramp needs a time above zero/)).toBeTruthy();
    await userEvent.clear(screen.getByLabelText('Ramp up'));
    await fill('Ramp up', '4,5');
    await press('Make start-up sheet');
    expect(log.at(-1)).toMatchObject(['startup.choices', { choices: { load: 'winch', up_s: 4.5 } }]);
    expect(await screen.findByRole('list', { name: 'Start-up sheet' })).toBeTruthy();
  });
});

describe('the sheet', () => {
  it('stands against what is in the drive: a wrong 50/60 Hz default set is said aloud, and goes first, alone', async () => {
    faced();
    await readOut();
    expect(await screen.findByText(/17 % under-fluxed/, { selector: '[role="note"] *' })).toBeTruthy();
    expect(row('0-01').getByText(/drive has 60 Hz/)).toBeTruthy();
    await userEvent.click(row('0-01').getByRole('button', { name: 'Write' }));
    const form = within(await screen.findByRole('region', { name: 'Write to the drive' }));
    const go = form.getByRole('button', { name: 'Write and read back' });
    expect((go as HTMLButtonElement).disabled).toBe(true);
    for (const box of form.getAllByRole('checkbox')) await userEvent.click(box);
    await userEvent.click(go);
    expect(await screen.findByText(/It reset other parameters: read out again/)).toBeTruthy();
    // Until it was read again nothing that was known counts.
    expect(screen.getByText(/values entered before it may be lost/)).toBeTruthy();
    await press('Read out');
    expect(screen.queryByText(/values entered before it may be lost/)).toBeNull();
  });

  it('a potentiometer that the type does not take is refused in place, and the one that is sold is named', async () => {
    const { log } = faced();
    await fill('Potentiometer fitted', '22');
    await press('Save potentiometer');
    expect(await screen.findByText(/nearest standard value: 5 kΩ/)).toBeTruthy();
    expect(log.some(([kind]) => kind === 'startup.potentiometer')).toBe(false);
    await userEvent.clear(screen.getByLabelText('Potentiometer fitted'));
    await fill('Potentiometer fitted', '4,7');
    await press('Save potentiometer');
    expect(log.at(-1)).toEqual(['startup.potentiometer', { ohm: 4700 }]);
  });

  it('takes another value with a reason only, and goes use the rule', async () => {
    const { log } = faced();
    const up = numberOf('ramp.up');
    await userEvent.click(screen.getByRole('button', { name: `Another value for ${up}` }));
    await fill('Value', '12');
    const keep = screen.getByRole('button', { name: 'Save value' });
    expect((keep as HTMLButtonElement).disabled).toBe(true);
    await choose('Why', 'for the test only');
    await userEvent.click(keep);
    expect(log.at(-1)).toEqual(['startup.value', { number: up, value: 12, reason: 'for the test only' }]);
    expect(row(up).getByText('12 s')).toBeTruthy();
    expect(screen.getByText(new RegExp(`A test-only value: ${up}`))).toBeTruthy();
    await press('use the rule');
    expect(screen.queryByText(new RegExp(`A test-only value: ${up}`))).toBeNull();
  });

  it('refuses coast for a load that pulls, as long as no brake is proven', async () => {
    const winch = { ...chosen, choices: { ...chosen.choices, load: 'winch' as const } };
    const stop = control.parameters.find((p) => p.concept === 'stop.mode');
    const coast = stop?.choices?.find((c) => c.means === 'coast')?.value ?? -1;
    faced([
      ...plates,
      ['startup.choices', winch],
      ['startup.value', { number: stop?.number ?? '', value: coast, reason: 'process need' }],
    ]);
    expect(screen.getByText(/coast and DC injection are refused/)).toBeTruthy();
  });
});

describe('signing', () => {
  /** Readings that pass. */
  const read: Record<string, { figures: { id: string; value: number; unit: string }[] }> = {
    torque: { figures: [{ id: 'power', value: 1.5, unit: 'N·m' }] },
    earth: { figures: [{ id: 'bond', value: 0.05, unit: 'Ω' }] },
    supply: { figures: ['line-1', 'line-2', 'line-3'].map((id) => ({ id, value: 400, unit: 'V' })) },
  };
  /** Everything settled by hand, but for these steps. */
  const settled = (but: readonly string[]): RecordedEntry[] => {
    const steps = [
      ...[
        'wires',
        'torque',
        'earth',
        'run-off',
        'covers',
        'supply',
        'display',
        'saved',
        'reversal',
        'direction',
      ],
      ...[
        'identification',
        'speeds',
        'analog-AI1',
        'relay-RO1',
        'relay-RO2',
        'output',
        'automatic',
        'partners',
      ],
    ];
    return steps
      .filter((s) => !but.includes(s))
      .map((step): RecordedEntry => [
        'commission.step',
        {
          step,
          outcome: 'ok',
          seen: [],
          seenBy: step === 'analog-AI1' ? 'link' : 'hand',
          speeds: [],
          ...read[step],
        },
      ]);
  };
  const notThere = (steps: readonly string[]): RecordedEntry[] =>
    steps.map((step): RecordedEntry => [
      'commission.step',
      { step, outcome: 'not-there', seen: [], seenBy: 'hand', speeds: [], qualified: 'A. Fenn' },
    ]);
  const place: RecordedEntry = [
    'startup.place',
    {
      ...{ phases: 3, earthing: 'star-earthed', ambient_C: 30, altitude_m: 0, carrier_kHz: 4 },
      ...{ sideBySide: false, storedYears: 0, motors: 1, singlePhaseMotor: false },
    },
  ];
  const all = (but: readonly string[]): RecordedEntry[] => [
    ...begun,
    place,
    ...settled(but),
    ...notThere(['places', 'safety-STO', 'safety-emergency stop']),
  ];
  const sign = () => screen.getByRole('button', { name: /^Sign as|A technician signs/ }) as HTMLButtonElement;

  it('is held by every open step, in one line', () => {
    faced();
    expect(
      screen.getByText(/^\d+ steps of the commissioning run are open: Wires, Torques, Earth …/),
    ).toBeTruthy();
    expect(sign().disabled).toBe(true);
  });

  it('needs nothing more when everything is settled; an apprentice does not sign', async () => {
    const { log } = faced(all([]));
    await userEvent.click(sign());
    expect(log.at(-1)).toMatchObject(['startup.signed', { against: [] }]);
    expect(screen.getByText(/^Signed by Ines Tarrow/)).toBeTruthy();
    faced(all([]), pip);
    expect(screen.getByRole('button', { name: 'A technician signs' })).toBeTruthy();
  });

  it('may be until a day: each open thing ticked, a day to come, and somebody who agrees', async () => {
    const { log } = faced(all(['partners', 'automatic']));
    expect(sign().disabled).toBe(true);
    await tick(/Connected machines/);
    await fill('Agreed with', 'ines tarrow');
    await fill('Function', 'harbour master');
    await fillField(screen.getByLabelText('May run until', { selector: 'input' }), '2099-01-02');
    expect(sign().disabled).toBe(true);
    await tick(/Return to automatic/);
    // Who signs does not agree in place of others.
    expect(sign().disabled).toBe(true);
    await userEvent.clear(screen.getByRole('textbox', { name: 'Agreed with' }));
    await fill('Agreed with', 'O. Wrack');
    await userEvent.click(sign());
    expect(log.at(-1)).toMatchObject([
      'startup.signed',
      { mayRun: { until: '2099-01-02', approver: 'O. Wrack, harbour master', open: [{}, {}] } },
    ]);
    expect(
      screen.getByText(
        /May run until 2 January 2099, agreed with O\. Wrack, harbour master, as Ines Tarrow states/,
      ),
    ).toBeTruthy();
  });

  it('is never until a day with the direction open', () => {
    faced(all(['direction', 'partners']));
    expect(screen.queryByLabelText('May run until')).toBeNull();
    expect(sign().disabled).toBe(true);
  });
});

describe('the run over the link', () => {
  const steps = () => within(screen.getByRole('list', { name: 'Steps of the run' }));
  const take = (name: RegExp) => userEvent.click(steps().getByRole('button', { name }));
  const linked = async () => {
    const made = faced();
    await readOut();
    await openTab('Commissioning run');
    return made;
  };
  const bits = { DI1: false, DI2: false, DI3: true, DI4: false, DI5: false, DI6: false };

  it('covers go on after wires, torque and earth; their values are kept', async () => {
    const { log } = await linked();
    await take(/^.*Covers/);
    const first = within(screen.getByRole('group', { name: 'First' }));
    expect(first.getAllByRole('button').map((b) => b.textContent)).toEqual(['Wires', 'Torques', 'Earth']);
    await userEvent.click(first.getByRole('button', { name: 'Earth' }));
    const seen = screen.getByRole('button', { name: 'Passed' }) as HTMLButtonElement;
    expect(seen.disabled).toBe(true);
    await fill('Frame to PE bar', '0,06');
    await userEvent.click(seen);
    expect(log.at(-1)).toMatchObject([
      'commission.step',
      { step: 'earth', figures: [{ id: 'bond', value: 0.06, unit: 'Ω' }] },
    ]);
  });

  it('a bit is kept when it was seen both ways and nothing moved with it', async () => {
    const { log } = await linked();
    await take(/X4: reset/);
    const keep = () => screen.getByRole('button', { name: 'Save link result' }) as HTMLButtonElement;
    sends({ inputs: bits });
    sends({ inputs: { ...bits, DI4: true, DI5: true } });
    expect(screen.getByText(/Another input changed too: DI5/)).toBeTruthy();
    expect(keep().disabled).toBe(true);
    await press('Check again');
    sends({ inputs: bits });
    expect(keep().disabled).toBe(true);
    sends({ inputs: { ...bits, DI4: true } });
    await userEvent.click(keep());
    expect(log.at(-1)).toMatchObject([
      'commission.step',
      { step: 'input-DI4', outcome: 'ok', seenBy: 'link' },
    ]);
  });

  it('three points of the analog line; one that is off is kept as not right', async () => {
    const { log } = await linked();
    await take(/A1 at four points/);
    for (const [volts, hz] of [
      [0, 0],
      [5, 20],
      [10, 50],
    ] as const) {
      sends({ AI1: volts, reference_Hz: hz });
      await press('Take this point');
    }
    expect(screen.getByText(/5 V should give 25 Hz, the drive shows 20 Hz/)).toBeTruthy();
    await press('Save: scaling wrong');
    expect(log.at(-1)).toMatchObject(['commission.step', { step: 'analog-AI1', outcome: 'not-ok' }]);
  });

  it('what was not saved is gone with the power, and said parameter by parameter', async () => {
    const { log } = await linked();
    inDrive = { ...factory, [numberOf('ramp.up')]: 9 };
    await press('Read out');
    await take(/Saved to memory/);
    await press('Switch power off now');
    expect(log.at(-1)?.[0]).toBe('commission.power-off');
    inDrive = factory;
    onServer = [];
    await press(/Power is back: read out/);
    expect(await screen.findByText(new RegExp(`${numberOf('ramp.up')} .* was 9 s, is 5 s`))).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Save link result' })).toBeNull();
    await press(/cycle power once more/);
    await press(/Power is back: read out/);
    await press('Save link result');
    expect(log.at(-1)).toMatchObject(['commission.step', { step: 'saved', outcome: 'ok', seenBy: 'link' }]);
  });

  it('currents are taken from the drive, and one above the nameplate is not kept', async () => {
    const { log } = await linked();
    for (const step of [/Direction/, /Run inputs off/, /Wires/]) await take(step);
    await press('Passed');
    await take(/Two or three speeds/);
    expect(screen.getByRole('group', { name: 'First' })).toBeTruthy();
    expect(log.at(-1)).toMatchObject(['commission.step', { step: 'wires', outcome: 'ok' }]);
  });
});
