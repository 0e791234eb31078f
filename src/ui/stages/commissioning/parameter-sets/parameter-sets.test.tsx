/** @jest-environment jsdom */
import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { factorySet, planWrites } from '@/core/parameter-sets/parameters';
import { writeLineOf } from '@/core/parameter-sets/write-run';
import { Keypad } from '../../../shop/simulator/keypad';
import {
  openTab,
  answering,
  testControl,
  press,
  show,
  tick,
  typeOf,
  winchDrive,
  winchMotor,
  WithStore,
  type SentRequest,
  type RecordedEntry,
  fill,
  fillField,
} from '../../../__tests__/show';
import { ParameterSetsPanel } from './parameter-sets-panel';

const control = testControl('whimbrel-w4');
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const factory = factorySet({ typeId: 'whimbrel-w4', control, rating }, '50Hz').values;
const wanted = { ...factory, '1-03': 14.6, '3-01': 12 };
const run = '0190c000-0000-7000-8000-000000000001';

const read: RecordedEntry = [
  'drive.read',
  {
    target: 't:1',
    typeId: 'whimbrel-w4',
    identity: { vendor: 'Whimbrel', product: 'W4', revision: '3.2' },
    serial: 'W415-0001',
    values: factory,
    live: {},
    history: [],
  },
];
const kept: RecordedEntry = [
  'set.kept',
  {
    name: 'The wanted one',
    typeId: 'whimbrel-w4',
    rating,
    values: wanted,
    strangers: [{ number: '9-99', text: 'pencilled' }],
    source: 'typed',
    firmware: '3.1',
  },
];
const plates: readonly RecordedEntry[] = [
  ['identify.drive', winchDrive],
  ['identify.motor', winchMotor],
];
const begun: RecordedEntry = [
  'set.write-begun',
  {
    run,
    set: run,
    name: 'The wanted one',
    target: 't:1',
    serial: 'W415-0001',
    values: 2,
    runOpen: true,
    enableOpen: true,
    peopleClear: true,
  },
];
const ended: RecordedEntry = ['set.write-ended', { run, ending: 'as planned', taken: 3, leftOver: [] }];

const lines = planWrites({ typeId: 'whimbrel-w4', control, rating, values: factory }, wanted).steps.map(
  writeLineOf,
);
let runs: unknown[] = [];
let drives: unknown[] = [];
const server = (): SentRequest[] =>
  answering(({ url, method }) => {
    if (url.includes('/set-writes')) return { body: method === 'GET' ? { runs } : {} };
    if (url.endsWith('/other-motors')) return { body: { ohms: [0.437] } };
    if (url.includes('/set-library')) return { body: { sets: [] } };
    if (url.endsWith('/api/v1/drives')) return { body: { found: drives } };
    if (url.includes('/catalogue/'))
      return { body: testControl(url.includes('knot') ? 'knot-k3' : 'whimbrel-w4') };
    return { body: {} };
  });

const asked: unknown[] = [];
async function panel(said: readonly RecordedEntry[], log: RecordedEntry[] = []) {
  show(
    <WithStore said={[...plates, ...said]} log={log}>
      {(store) => (
        <ParameterSetsPanel
          jobId="j"
          store={store}
          catalogue={[typeOf('whimbrel-w4'), typeOf('knot-k3')]}
          control={control}
          typeId="whimbrel-w4"
          rating={rating}
          target="t:1"
          sheet={{ '1-03': 14.8, '3-01': 9 }}
          ask={(wishes) => void asked.push(...wishes)}
        />
      )}
    </WithStore>,
  );
  // The catalogue was heard, and what other machines say.
  await screen.findByRole('button', { name: 'CSV' });
  await act(() => Promise.resolve());
}

beforeEach(() => {
  runs = [];
  drives = [];
  asked.length = 0;
});

describe('a set', () => {
  it('says where it came from, its checksum, and what its type does not know', async () => {
    server();
    await panel([read, kept]);
    expect(await screen.findByText(/firmware 3\.1, checksum [0-9A-F]{8}/)).toBeTruthy();
    expect(screen.getByText('9-99 = pencilled')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'DCF' })).toBeNull();
  });

  it('is marked as the one to go back to, with the reason', async () => {
    server();
    const log: RecordedEntry[] = [];
    await panel([read, kept], log);
    await press('Mark as good');
    expect((screen.getByRole('button', { name: 'Mark' }) as HTMLButtonElement).disabled).toBe(true);
    await fill(/Why is this set/, 'ran a week');
    await press('Mark');
    expect(log.at(-1)).toMatchObject(['set.good', { why: 'ran a week' }]);
    expect(screen.getByText(/Marked as good: ran a week/)).toBeTruthy();
  });

  it('is compared with nameplate and sheet: only what they speak of', async () => {
    server();
    await panel([read, kept]);
    await openTab('Compare');
    await userEvent.selectOptions(screen.getByLabelText('With'), 'sheet');
    expect(screen.getByText('2 differences.')).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('With'), 'plate');
    expect(screen.getByText('1 difference.')).toBeTruthy();
  });
});

describe('writing', () => {
  it('begins only after the three things were seen to, with the plan as it was seen', async () => {
    const calls = server();
    await panel([read, kept]);
    await openTab('Write');
    expect(screen.getByText(/The set was made with firmware 3\.1, the drive has 3\.2/)).toBeTruthy();
    await press(/^Write all/);
    const form = within(screen.getByRole('region', { name: 'Before writing to the drive' }));
    const go = form.getByRole('button', { name: /^Write \d+ values/ }) as HTMLButtonElement;
    await tick(/Run inputs off/);
    await tick(/Enable open/);
    expect(go.disabled).toBe(true);
    await tick(/People are clear/);
    await userEvent.click(go);
    const order = calls.find((c) => c.method === 'POST')?.body as { expects: unknown[]; confirmed: boolean };
    expect(order).toMatchObject({ target: 't:1', name: 'The wanted one', confirmed: true });
    expect(order.expects).toEqual(lines.map(({ number, from, to }) => ({ number, from, to })));
  });

  it('a run that is held says why, asks again, and may go on without what stands in the way', async () => {
    const [first, second] = lines as [(typeof lines)[0], (typeof lines)[0]];
    runs = [
      {
        id: run,
        name: 'The wanted one',
        setId: run,
        target: 't:1',
        state: 'held',
        why: 'out of range',
        lines: [
          { ...first, state: 'taken', found: first.to },
          { ...second, state: 'refused', why: 'out of range' },
        ],
      },
    ];
    const calls = server();
    await panel([read, kept, begun]);
    await openTab('Write');
    const region = within(await screen.findByRole('region', { name: 'Run of writes' }));
    expect(region.getByRole('alert').textContent).toContain('out of range');
    expect(region.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('1');
    const again = region.getByRole('button', { name: `Try ${second.number} again` }) as HTMLButtonElement;
    expect(again.disabled).toBe(true);
    await press(`Continue without ${second.number}`);
    expect(calls.find((c) => c.method === 'POST')).toMatchObject({
      body: { do: 'leave-out', confirmed: true },
    });
  });

  it('that the power is off is not taken from somebody while the drive answers', async () => {
    const calls = server();
    drives = [{ target: 't:1', identity: {}, typeIds: [], trouble: null }];
    await panel([read, kept, begun, ended, read]);
    await openTab('Write');
    await press('The power is off now');
    expect(await screen.findByText(/still answers over the link/)).toBeTruthy();
    drives = [{ target: 't:1', identity: null, typeIds: [], trouble: 'silent' }];
    await press('The power is off now');
    await press(/Power is back/);
    expect(calls.filter((c) => c.method === 'POST').at(-1)).toMatchObject({
      body: { do: 'verify-after-power' },
    });
  });

  it('a server that does not answer is said, and nothing is lost', async () => {
    answering(({ url }) => (url.includes('/catalogue/') ? { body: control } : null));
    await panel([read, kept]);
    await openTab('Write');
    expect((await screen.findAllByText(/Server not reachable/)).length).toBeGreaterThan(0);
  });
});

describe('by hand', () => {
  const write: RecordedEntry[] = [
    [
      'drive.write-asked',
      {
        target: 't:1',
        typeId: 'whimbrel-w4',
        number: '3-01',
        name: 'Acceleration',
        from: 5,
        to: 9,
        shownFrom: '5 s',
        shownTo: '9 s',
        reason: 'site rule',
        trial: false,
        mayMove: 'it may',
        runOpen: true,
        peopleClear: true,
      },
    ],
  ];

  it('a parameter is found by what it does and by number', async () => {
    server();
    await panel([read]);
    await openTab('Single parameters');
    await fill(/Function/, 'reverse');
    expect(screen.getAllByRole('row')[1]?.textContent).toContain('2-06 Reverse');
    await userEvent.clear(screen.getByLabelText(/Function/));
    await fill(/Function/, '3-7');
    expect(screen.getAllByRole('row')[1]?.textContent).toContain('3-07 Stop by');
    await userEvent.clear(screen.getByLabelText(/Function/));
    await fill(/Function/, 'qqqq');
    expect(screen.getByText(/No match/)).toBeTruthy();
  });

  it('a wrong write is put back to what was there', async () => {
    server();
    const log: RecordedEntry[] = [];
    show(
      <WithStore said={[...plates, read, ...write]} log={log}>
        {(store) => {
          const open = store.state.registers.writes[0];
          return (
            <>
              <button
                type="button"
                onClick={() =>
                  open !== undefined && store.record('drive.write-done', { asked: open.id, found: 9 })
                }
              >
                heard
              </button>
              <ParameterSetsPanel
                jobId="j"
                store={store}
                catalogue={[typeOf('whimbrel-w4')]}
                control={control}
                typeId="whimbrel-w4"
                rating={rating}
                target="t:1"
                sheet={null}
                ask={(wishes) => void asked.push(...wishes)}
              />
            </>
          );
        }}
      </WithStore>,
    );
    await screen.findByRole('button', { name: 'CSV' });
    await openTab('Single parameters');
    expect(screen.getByText(/No changes to undo/)).toBeTruthy();
    await press('heard');
    await press('Restore 3-01 to 5 s');
    expect(asked).toMatchObject([{ parameter: { number: '3-01' }, from: 9, to: 5 }]);
  });
});

describe('bringing in', () => {
  it('types from paper with the names at hand, and says when a file is of another type', async () => {
    server();
    await panel([read]);
    await openTab('Import');
    await userEvent.click(await screen.findByText(/parameters of this type/));
    await press('Add 3-01 Acceleration');
    const field = screen.getByLabelText('Numbers and values') as HTMLTextAreaElement;
    expect(field.value).toBe('3-01\t');
    await fillField(field, '12');
    expect(screen.getByText('1 values read from 1 lines.')).toBeTruthy();
    await userEvent.clear(field);
    await userEvent.click(field);
    await userEvent.paste('{"typeId": "knot-k3", "values": {"3-01": 12}}');
    expect(screen.getByText(/The file is for knot-k3/)).toBeTruthy();
  });
});

describe('the keypad of the rig', () => {
  const keypad: Parameters<typeof Keypad>[0]['keypad'] = {
    caps: [['P', '▲', '▼']],
    shows: 'P15',
    cursor: null,
    speedsUp: true,
  };

  it('hands on touches, holds, and a list of keys; what is no key is not pressed', async () => {
    const pressed: unknown[] = [];
    show(<Keypad keypad={keypad} press={(keys) => void pressed.push(...keys)} />);
    expect(screen.getByRole('status', { name: 'Display' }).textContent).toContain('P15');
    await press('P');
    await tick(/Hold the next key/);
    await press('▲');
    expect(pressed).toEqual([
      { cap: 'P', held: false },
      { cap: '▲', held: true, ticks: 10 },
    ]);
    await fill('Key sequence', 'P what ever');
    await press('Press all');
    expect(screen.getByRole('alert').textContent).toContain('not a valid key sequence');
    expect(pressed).toHaveLength(2);
    await userEvent.clear(screen.getByLabelText('Key sequence'));
    await fill('Key sequence', 'P ×2, hold ▲ 1.2 s');
    await press('Press all');
    expect(pressed.slice(2)).toEqual([
      { cap: 'P', held: false },
      { cap: 'P', held: false },
      { cap: '▲', held: true, ticks: 12 },
    ]);
  });
});
