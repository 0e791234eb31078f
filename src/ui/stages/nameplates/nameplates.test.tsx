/** @jest-environment jsdom */
import '@testing-library/jest-dom';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Payload } from '@/core/logbook';
import { choose, show, typeOf, fillField } from '../../__tests__/show';
import { DriveForm } from './drive-form';
import { MotorForm } from './motor-form';
import { numberFrom } from '../../kit/number-from';

const whimbrel = typeOf('whimbrel-w4');

describe('values as people write them', () => {
  it.each([
    ['14.8', 14.8],
    ['14,8', 14.8],
    [' 400 ', 400],
    ['.5', 0.5],
    ['0', null],
    ['-3', null],
    ['abc', null],
    ['1e3', null],
    ['', null],
  ])('“%s” is %s', (text, value) => {
    expect(numberFrom(text)).toBe(value);
  });
});

describe('the drive’s label', () => {
  it('takes what the catalogue knows of a type, its strip and its stage', async () => {
    const kept: Payload<'identify.drive'>[] = [];
    show(<DriveForm drive={null} catalogue={[whimbrel]} keep={(d) => kept.push(d)} />);
    await userEvent.selectOptions(screen.getByLabelText('Type'), 'Whimbrel W4-15');
    await fillField(screen.getByLabelText('Serial number'), '40-1187');
    await fillField(screen.getByLabelText('Brand on the cover'), 'Quayline');
    await userEvent.click(screen.getByLabelText(/only similar/));
    await userEvent.click(screen.getByRole('button', { name: 'Save drive nameplate' }));
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]).toMatchObject({
      typeId: 'whimbrel-w4',
      maker: 'Whimbrel',
      badge: 'Quayline',
      serial: '40-1187',
      drawingOnlySimilar: true,
      strip: whimbrel.strip,
      stage: { link: 'link', brake: true, capacitance_uF: 820, bleederOhm: 150_000 },
    });
  });

  it('is told of a precharge resistor where no catalogue knows the unit, and shows it again', async () => {
    const kept: Payload<'identify.drive'>[] = [];
    const page = show(<DriveForm drive={null} catalogue={[]} keep={(d) => kept.push(d)} />);
    await fillField(screen.getByLabelText('Maker'), 'Sandpiper');
    await fillField(screen.getByLabelText('Type code'), 'S-11');
    await fillField(screen.getByLabelText('Rated output current'), '11,5');
    const link = 'Between rectifier and capacitor bank';
    const group = screen.getByRole('group', { name: link });
    expect(within(group).getByRole('radio', { name: 'not known' })).toBeChecked();
    await choose(link, 'precharge resistor');
    await userEvent.click(screen.getByRole('button', { name: 'Save drive nameplate' }));
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]?.stage).toMatchObject({ link: 'precharge', dcrAccessible: false });
    expect(kept[0]?.stage.assumed).not.toContain('link');
    page.unmount();
    show(<DriveForm drive={kept[0] ?? null} catalogue={[]} keep={() => undefined} />);
    expect(screen.getByRole('radio', { name: 'precharge resistor' })).toBeChecked();
  });

  it('takes a unit that no catalogue knows, with a strip of its own', async () => {
    const kept: Payload<'identify.drive'>[] = [];
    show(<DriveForm drive={null} catalogue={[]} keep={(d) => kept.push(d)} />);
    await userEvent.click(screen.getByRole('button', { name: 'Save drive nameplate' }));
    expect(await screen.findAllByText('Read it from the nameplate')).toHaveLength(2);
    expect(screen.getByText('A value above zero, e.g. 15')).toBeTruthy();
    expect(kept).toEqual([]);
    await fillField(screen.getByLabelText('Maker'), 'Sandpiper');
    await fillField(screen.getByLabelText('Type code'), 'S-11');
    await fillField(screen.getByLabelText('Rated output current'), '11,5');
    await userEvent.click(screen.getByRole('button', { name: 'Save drive nameplate' }));
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]).toMatchObject({
      typeId: null,
      ratedAmps: 11.5,
      phases: 3,
      // Nobody said whether it has a brake terminal: it is proven dead there, and not tested.
      stage: { frontEnd: 'diode-3ph', brake: false, assumed: expect.arrayContaining(['brake']) as string[] },
    });
    expect(kept[0]?.strip.map((s) => s.terminal)).toContain('DC-');
  });
});

describe('the motor’s plate', () => {
  const fill = async (values: Record<string, string>) => {
    for (const [label, value] of Object.entries(values)) await fillField(screen.getByLabelText(label), value);
  };

  it('says what is missing, and keeps what was typed', async () => {
    const kept: unknown[] = [];
    show(<MotorForm motor={null} keep={(m) => kept.push(m)} />);
    await fill({ Power: '7,5' });
    await userEvent.click(screen.getByRole('button', { name: 'Save motor nameplate' }));
    expect(await screen.findAllByText('Required, above zero')).toHaveLength(3);
    expect((screen.getByLabelText('Power') as HTMLInputElement).value).toBe('7,5');
    expect(kept).toEqual([]);
  });

  it('judges both pairs of a dual-voltage plate at once', async () => {
    const kept: Payload<'identify.motor'>[] = [];
    show(<MotorForm motor={null} keep={(m) => kept.push(m)} />);
    await fill({
      Power: '7.5',
      Volts: '400',
      Amps: '14.8',
      Speed: '1455',
      'cos φ': '0.84',
      'Insulation class': 'F',
    });
    expect(await screen.findByText(/4 poles/)).toBeTruthy();
    await fill({ 'Other pair (delta), volts': '230', 'Other pair, amps': '52' });
    expect(await screen.findByText(/different power/)).toBeTruthy();
    await userEvent.clear(screen.getByLabelText('Other pair, amps'));
    await fill({ 'Other pair, amps': '25.6' });
    expect(await screen.findByText(/delta values agree/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Save motor nameplate' }));
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]).toMatchObject({
      insulationClass: 'F',
      connection: 'star',
      plate: {
        power: { value: 7.5, unit: 'kW' },
        alternatives: [{ connection: 'delta', volts: 230, amps: 25.6 }],
      },
    });
  });

  it('shows calculation behind a finding', async () => {
    show(<MotorForm motor={null} keep={() => undefined} />);
    await fill({ Power: '5.5', Volts: '400', Amps: '112', Speed: '1455' });
    expect(await screen.findByText(/5\.5 kW ÷ \(√3 × 400 V × 112 A\) = 0\.07/)).toBeTruthy();
  });

  it('asks about a plate that cannot be, offers what would fit, and keeps it when it really says so', async () => {
    const kept: Payload<'identify.motor'>[] = [];
    show(<MotorForm motor={null} keep={(m) => kept.push(m)} />);
    await fill({ Power: '5.5', Volts: '400', Amps: '112', Speed: '1455', 'Motor serial number': 'M-77' });
    const keep = () => userEvent.click(screen.getByRole('button', { name: 'Save motor nameplate' }));
    await keep();
    expect(await screen.findByText(/Not saved yet: the values contradict each other/)).toBeTruthy();
    expect(kept).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'It is 11.2 A' }));
    expect((screen.getByLabelText('Amps') as HTMLInputElement).value).toBe('11.2');
    expect(screen.queryByRole('checkbox', { name: /the nameplate says so/ })).toBeNull();
    await userEvent.clear(screen.getByLabelText('Amps'));
    await fill({ Amps: '112' });
    await userEvent.click(screen.getByRole('checkbox', { name: /the nameplate says so/ }));
    await keep();
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]).toMatchObject({ serial: 'M-77', plate: { amps: 112, asWritten: true } });
  });
});
