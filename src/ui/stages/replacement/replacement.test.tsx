/** @jest-environment jsdom */
import { readFileSync } from 'node:fs';
import { jest } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Payload } from '@/core/logbook';
import { swapOf, type KnownType, type Swap } from '@/core/job/swap';
import { FitPanel } from '../repair-or-replace/fit-panel';
import { ChoicePanel } from '../repair-or-replace/choice-panel';
import { HandOverPanel } from '../hand-over/back-panel';
import type { StageProps } from '../../job-store/stage-props';
import type { JobStore } from '../../job-store/use-job';
import { WireList } from '../preparation/wires/wire-list';
import {
  testControl,
  ines,
  pip,
  press,
  show,
  tick,
  typeOf,
  WithStore,
  type RecordedEntry,
  fill,
  fillField,
  provenDead,
} from '../../__tests__/show';
import { OutAndIn } from './out-and-in';
import { TickWires } from './tick-wires';

// Whole screens over the demo's job: drawn anew with every letter typed.
jest.setTimeout(40_000);

const jobId = '0190a200-0000-7000-8000-00000000000b';
const scenario = JSON.parse(readFileSync('demo/scenario.json', 'utf8')) as {
  jobs: { id: string; entries: { kind: string; payload: object }[] }[];
};
const full = (kind: string, payload: object): RecordedEntry => {
  const wire = {
    ferrule: '',
    drawing: '',
    colour: '',
    core: '',
    drawnAt: null,
    proven: false,
    shared: null,
    later: false,
    photos: [],
  };
  return [kind, kind === 'wire.noted' ? { ...wire, ...payload } : payload] as unknown as RecordedEntry;
};
const begun = (scenario.jobs.find((j) => j.id === jobId)?.entries ?? []).map((e) => full(e.kind, e.payload));
const units: Payload<'swap.units'> = {
  old: { typeId: 'knot-k3', maker: 'Knot', type: 'K3-18', supply_V: 400, phases: 3, ratedAmps: 18 },
  next: { typeId: 'whimbrel-w4', maker: 'Whimbrel', type: 'W4-15', supply_V: 400, phases: 3, ratedAmps: 15 },
};
const both: RecordedEntry[] = [...begun, ['swap.units', units]];
const known = new Map(
  ['knot-k3', 'whimbrel-w4'].map((id): [string, KnownType] => [
    id,
    { type: typeOf(id), control: testControl(id) },
  ]),
);
const catalogue = [...known.values()].map((k) => k.type);

/** A part of a swap's screens over a store that folds; its swap is worked out anew with every entry. */
function faced(
  part: (props: StageProps & { swap: Swap | null; release: null }, store: JobStore) => React.ReactNode,
  said: readonly RecordedEntry[] = both,
  person = ines,
) {
  const log: RecordedEntry[] = [];
  const went: string[] = [];
  show(
    <WithStore said={said} log={log} person={person}>
      {(store) => {
        const swap = swapOf(store.state, (id) => known.get(id) ?? null);
        const props = {
          jobId,
          store,
          person,
          catalogue,
          limits: { hands_V: 50, test_V: 5 },
          knownSources: [],
          goTo: (s: string) => went.push(s),
        };
        return part({ ...(props as unknown as StageProps), swap, release: null }, store);
      }}
    </WithStore>,
  );
  return { log, went };
}
const unknown = begun.flatMap(([kind, payload]) =>
  kind === 'wire.noted' && payload.role === 'unknown' ? [payload.wire] : [],
);
/** The old unit is out, its unknown wires taken on. */
const out: RecordedEntry[] = [
  ...both,
  ...unknown.map((wire): RecordedEntry => ['wire.accepted', { wire, reason: 'spare core' }]),
  ...begun.flatMap(([kind, payload]) => (kind === 'identify.drive' ? provenDead(payload.stage) : [])),
  ['swap.unit-out', { lookedAt: [] }],
];
const wireList = (said = both) =>
  faced((p) => (p.swap === null ? null : <WireList {...p} swap={p.swap} />), said);
const last = (log: RecordedEntry[]) => log.at(-1);

describe('the wire list', () => {
  it('says what blocks removal first, and opens the wire it speaks of', async () => {
    wireList();
    const list = screen.getByRole('list', { name: 'To settle' });
    const marks = within(list)
      .getAllByRole('img')
      .map((m) => m.getAttribute('aria-label'));
    expect(marks.indexOf('to know')).toBeGreaterThan(marks.lastIndexOf('blocks removal'));
    const shared = within(list).getByText(/feeds Shellfish grading drum/);
    await userEvent.click(within(shared.closest('li') as HTMLElement).getByRole('button', { name: 'open' }));
    expect((screen.getByLabelText('Another machine on the same signal') as HTMLInputElement).value).toBe(
      'Shellfish grading drum',
    );
  });

  it('a new wire takes its role from its terminal until somebody chooses another one', async () => {
    const { log } = wireList();
    await press('Add a wire');
    await fill('Old terminal', 'CM');
    const role = screen.getByLabelText('Function') as HTMLSelectElement;
    expect(role.value).toBe('digital-common');
    await userEvent.selectOptions(role, 'plus24');
    await userEvent.clear(screen.getByLabelText('Old terminal'));
    await fill('Old terminal', 'PV');
    expect(role.value).toBe('plus24');
    await press('Save wire');
    expect(last(log)).toMatchObject(['wire.noted', { number: 22, from: 'PV', role: 'plus24', later: false }]);
  });

  it('for a quick note a terminal and a ferrule are enough, one wire after the other', async () => {
    const { log } = wireList();
    await press('Add wire quickly');
    await fill('Old terminal', '30B');
    await fill('Ferrule', '303');
    await press('Save, next wire');
    await fill('Old terminal', 'FM');
    await press('Save, next wire');
    expect(
      log.map((l) => [(l[1] as Payload<'wire.noted'>).number, (l[1] as Payload<'wire.noted'>).later]),
    ).toEqual([
      [22, true],
      [23, true],
    ]);
    expect(screen.getByText(/Wire 22 “303” on 30B: quick entry/)).toBeTruthy();
  });

  it('what cannot be read is not kept, and nothing typed is lost', async () => {
    const { log } = wireList();
    await press('Add a wire');
    await fill('Voltage measured', 'some');
    await fill('Ferrule', '9');
    await press('Save wire');
    expect(await screen.findByText('A value')).toBeTruthy();
    expect(log).toEqual([]);
    expect((screen.getByLabelText('Ferrule') as HTMLInputElement).value).toBe('9');
  });

  it('another terminal is chosen and taken back; an unknown wire is taken on with a reason only', async () => {
    const { log } = wireList();
    await press(/^20 /);
    const take = screen.getByRole('button', { name: 'Accept as unknown' }) as HTMLButtonElement;
    expect(take.disabled).toBe(true);
    await userEvent.selectOptions(screen.getByLabelText('New terminal'), 'X6');
    await press('Use this terminal');
    expect(last(log)).toMatchObject(['wire.chosen', { to: 'X6', back: false }]);
    await userEvent.selectOptions(screen.getByLabelText('New terminal'), '');
    await press('Use the proposal');
    expect(last(log)).toMatchObject(['wire.chosen', { back: true }]);
    await fill('Reason', 'dead core');
    await press('Accept as unknown');
    expect(last(log)).toMatchObject(['wire.accepted', { reason: 'dead core' }]);
    expect(screen.queryByText(/unknown wire/)).toBeNull();
  });

  it('shows what is to be settled, control or power alone', async () => {
    wireList();
    const lines = () => within(screen.getByRole('list', { name: 'Wires' })).getAllByRole('listitem').length;
    expect(lines()).toBe(21);
    await userEvent.click(screen.getByRole('radio', { name: 'power' }));
    expect(lines()).toBe(9);
    await userEvent.click(screen.getByRole('radio', { name: 'to settle' }));
    expect(lines()).toBe(4);
  });

  it('a selector of the old unit is answered in place', async () => {
    const c1 = full('wire.noted', {
      wire: '0190c000-0000-7000-8000-000000000099',
      number: 99,
      from: 'C1',
      role: 'reference-current',
    });
    const { log } = wireList([...both, c1]);
    await press('AI2 was set to mA');
    expect(last(log)).toEqual(['swap.selector', { input: 'AI2', position: 'mA' }]);
    // Chosen by mistake it is put right.
    expect(screen.getByRole('button', { name: 'AI2 was set to mA' })).toHaveProperty('disabled', true);
    await press('AI2 was set to V');
    expect(last(log)).toEqual(['swap.selector', { input: 'AI2', position: 'V' }]);
  });
});

describe('wires on again', () => {
  const ticking = (said = both, asked = '') =>
    faced(
      (p) =>
        p.swap === null ? null : (
          <TickWires {...p} swap={p.swap} control={testControl('whimbrel-w4')} asked={asked} />
        ),
      said,
    );

  it('the drive’s end waits until the old unit is out and it is proven dead', () => {
    ticking();
    expect(screen.getByText('The old unit is not removed yet.')).toBeTruthy();
    const box = (name: RegExp) => screen.getByRole('checkbox', { name }) as HTMLInputElement;
    expect(box(/^1, drive end/).disabled).toBe(true);
    expect(box(/^1, far end/).disabled).toBe(false);
  });

  it('a tick keeps the terminal with it, and both ends make a wire', async () => {
    const { log } = ticking(out);
    expect(screen.getByText('0 of 19 wires checked at both ends')).toBeTruthy();
    await tick(/^1, drive end/);
    await tick(/^1, far end/);
    expect(log).toMatchObject([
      ['wire.ticked', { end: 'drive', on: true, to: 'R' }],
      ['wire.ticked', { end: 'field', on: true, to: 'R' }],
    ]);
    expect(screen.getByText('1 of 19 wires checked at both ends')).toBeTruthy();
    await tick('Open ones only');
    expect(screen.queryByRole('checkbox', { name: /^1, drive end/ })).toBeNull();
  });

  it('a wire that was scanned stands alone, and what has no terminal is listed', () => {
    ticking(both, '13');
    expect(
      within(screen.getByRole('list', { name: 'Wires to check' })).getAllByRole('listitem'),
    ).toHaveLength(1);
    expect(screen.getByText(/^21, loose: not connected/)).toBeTruthy();
  });
});

describe('out and in', () => {
  it('is held by what is not proven and by wires, each with the way there', async () => {
    const { went } = faced((p) => (
      <OutAndIn {...p} now={{ swap: p.swap, old: null, next: null, loading: false, trouble: null }} />
    ));
    expect((screen.getByRole('button', { name: 'Old unit removed' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
    expect(screen.getByText('The drive is not proven dead yet.')).toBeTruthy();
    await press('To the dead proof');
    await press('To the wires');
    expect(went).toEqual(['make-safe', 'prepare']);
  });
});

describe('the decision', () => {
  it('a typed range turns the table, a word is asked about, and an apprentice does not decide', async () => {
    const { log } = faced((p) => <ChoicePanel {...p} />);
    const table = () => screen.getByRole('status', { name: 'Expected cost' }).textContent ?? '';
    expect(table()).toContain('Not possible: no longer made');
    const repair = within(screen.getByRole('group', { name: 'Repair it' }));
    await fillField(repair.getByLabelText('Parts'), '100 to 200');
    await fillField(repair.getByLabelText('Work'), 'x');
    expect(screen.getByText('A value cannot be read: no table yet.')).toBeTruthy();
    await userEvent.clear(repair.getByLabelText('Work'));
    await press('Save values');
    expect(last(log)).toMatchObject([
      'decide.figures',
      { choices: { repair: { price: [100, 200], work_h: null } } },
    ]);
    await tick('Replace with the same type');
    expect(table()).not.toContain('Not possible: no longer made');
  });

  it('an apprentice does not decide', () => {
    faced((p) => <ChoicePanel {...p} />, both, pip);
    expect((screen.getByRole('button', { name: 'A technician decides' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
  });

  it('a unit that no catalogue knows is taken by its nameplate, and judged as far as that goes', async () => {
    const { log } = faced((p) => <FitPanel {...p} />, begun);
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'New unit' }), 'other');
    const keep = () => screen.getByRole('button', { name: 'Save both units' }) as HTMLButtonElement;
    await userEvent.click(keep());
    expect(log).toEqual([]);
    await fill('Maker', 'Curlew');
    await fill('Type', 'C9');
    await fill('Rated amps', '20');
    await userEvent.click(keep());
    expect(last(log)).toMatchObject([
      'swap.units',
      { next: { typeId: null, maker: 'Curlew', ratedAmps: 20 } },
    ]);
    expect(screen.getByText('Not known yet: something must be clarified first.')).toBeTruthy();
  });
});

describe('the machine goes back', () => {
  it('two names, each open line by name, and never the same person twice', async () => {
    const told: RecordedEntry[] = [
      ['handover.told', { who: 'control room', how: '' }],
      ['handover.partner', { machine: 'Shellfish grading drum', right: true, note: '' }],
    ];
    const { log } = faced((p) => <HandOverPanel {...p} />, [...both, ...told]);
    const sign = () => screen.getByRole('button', { name: 'Sign as Ines Tarrow' }) as HTMLButtonElement;
    await fill('Taken over by', 'ines tarrow');
    expect(screen.getByText('Must be another person than the signer')).toBeTruthy();
    await userEvent.clear(screen.getByLabelText('Taken over by'));
    await fill('Taken over by', 'Jory Pell');
    expect(sign().disabled).toBe(true);
    for (const title of ['Parameters', 'Follows', 'Final backup', 'Locks', 'Next inspection'])
      await fillField(screen.getByRole('textbox', { name: new RegExp(`^${title}`) }), 'agreed for a week');
    await userEvent.click(sign());
    const [kind, payload] = last(log) ?? [];
    expect(kind).toBe('job.signed-off');
    expect((payload as Payload<'job.signed-off'>).open.every((o) => o.reason !== undefined)).toBe(true);
    expect((payload as Payload<'job.signed-off'>).open.map((o) => o.id)).toEqual([
      'settings',
      'followed',
      'backup',
      'locks',
      'inspection',
    ]);
    expect(screen.getByText(/Handed over by Ines Tarrow to Jory Pell/)).toBeTruthy();
  });

  it('is held while a partner does not run as before', async () => {
    const { log } = faced((p) => <HandOverPanel {...p} />);
    await press('Shellfish grading drum: open');
    await press('Does not run as before');
    expect(last(log)).toMatchObject(['handover.partner', { right: false }]);
    expect(screen.getByText(/Cannot be handed over yet: .*shellfish grading drum/)).toBeTruthy();
  });
});
