/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fold } from '@/core/logbook';
import {
  greatestLimits,
  proofSteps,
  sourceKinds,
  sourceWords,
  type EnergySource,
} from '@/core/bench/make-safe';
import { stage } from '@/core/equipment/power-stage';
import { show } from '../../__tests__/show';
import { DischargeTool } from './discharge-tool';
import { FiguresGrid } from './figures-grid';
import { PairsTogether } from './pairs-together';
import { SourcesGrid } from './sources-grid';

const unit = stage({ brake: true, link: 'link' });
const fresh = fold([], { limits: greatestLimits }).safety;

describe('the grid of sources', () => {
  it('is walked by keys alone, and keeps every answer', async () => {
    const kept: EnergySource[][] = [];
    show(<SourcesGrid known={['load']} current={[]} disabled={false} keep={(s) => kept.push(s)} />);
    expect(screen.getByText('known here')).toBeTruthy();
    const mains = screen.getByRole('group', { name: sourceWords.mains.name });
    within(mains).getAllByRole('radio')[0]?.focus();
    for (const kind of sourceKinds)
      await userEvent.keyboard(kind === 'mains' ? 'i{Enter}' : kind === 'load' ? 'n{Enter}' : 'a{Enter}');
    await userEvent.click(screen.getByRole('button', { name: 'Save: 1 not safe yet' }));
    expect(kept[0]).toHaveLength(sourceKinds.length);
    expect(kept[0]?.find((s) => s.kind === 'mains')?.state).toBe('isolated');
    expect(kept[0]?.find((s) => s.kind === 'load')?.state).toBe('not-sure');
  });

  it('cannot be kept before each was answered', () => {
    show(<SourcesGrid known={[]} current={[]} disabled={false} keep={() => undefined} />);
    expect(screen.getByRole('button', { name: '10 still to answer' })).toHaveProperty('disabled', true);
  });
});

describe('the grid of values', () => {
  const grid = (differs: Partial<Parameters<typeof FiguresGrid>[0]> = {}) => {
    const kept: [string, number][] = [];
    show(
      <FiguresGrid
        stage={unit}
        safety={{ ...fresh, meterBefore: { dc_V: 240, ac_V: 231, source: null, at: 0, entryId: 'm' } }}
        limits={greatestLimits}
        now={1}
        disabled={false}
        plateMark={(t) => (t === 'DC+' ? 'P' : t)}
        keep={(step, volts) => kept.push([step.key, volts])}
        {...differs}
      />,
    );
    return kept;
  };

  it('keeps each value once on Enter and walks on', async () => {
    const kept = grid();
    const fields = screen.getAllByRole('textbox');
    expect(fields).toHaveLength(proofSteps(unit).length);
    fields[0]?.focus();
    await userEvent.keyboard('3,1{Enter}0.2{Enter}40 mV{Enter}');
    expect(kept).toEqual([
      ['bank dc', 3.1],
      ['rectifier-side dc', 0.2],
      ['plus-earth dc', 0.04],
    ]);
  });

  it('wants a value, not a tick, and leaves what was typed', async () => {
    const kept = grid();
    const [bank] = screen.getAllByRole('textbox');
    bank?.focus();
    await userEvent.keyboard('dead{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/is not a voltage/);
    expect((bank as HTMLInputElement).value).toBe('dead');
    expect(kept).toEqual([]);
  });

  it('holds the second bank value back for a minute', () => {
    const figures = { 'bank dc': { volts: 3, at: 10_000, entryId: 'b' } };
    grid({ safety: { ...fresh, figures }, now: 40_000 });
    expect(screen.getByText('in 0:30')).toBeTruthy();
    expect(screen.getAllByRole('textbox').at(-1)).toHaveProperty('disabled', true);
  });

  it('stops at AC, whatever its size', () => {
    grid({ safety: { ...fresh, figures: { 'L1-L2 ac': { volts: 12, at: 0, entryId: 'a' } } } });
    expect(screen.getByText(/a source is not isolated, stop/)).toBeTruthy();
  });

  it('says by word and shape what a value above a limit means', () => {
    grid({
      safety: {
        ...fresh,
        figures: {
          'bank dc': { volts: 540, at: 0, entryId: 'b' },
          'plus-earth dc': { volts: 12, at: 0, entryId: 'c' },
        },
      },
    });
    expect(screen.getByText(/above 50 V: no work inside/)).toBeTruthy();
    expect(screen.getByText(/above 5 V: no test/)).toBeTruthy();
  });
});

it('records the pairs together that were all below a volt, and not the bus', async () => {
  const kept: [string, string[]][] = [];
  show(
    <PairsTogether
      stage={unit}
      safety={fresh}
      disabled={false}
      keep={(quantity, points) => kept.push([quantity, points])}
    />,
  );
  await userEvent.click(screen.getByRole('button', { name: /on AC: each measured, all below 1 V/ }));
  const pairs = proofSteps(unit).filter((s) => s.quantity === 'ac' && !s.point.alone);
  expect(kept).toEqual([['ac', pairs.map((s) => s.point.id)]]);
});

it('shows the sums of a discharge resistor and records its use', async () => {
  const used: [number, number][] = [];
  show(<DischargeTool capacitance_uF={1000} volts={540} keep={(v, ohm) => used.push([v, ohm])} />);
  expect(screen.getByText(/peak 292 W/)).toBeTruthy();
  expect(screen.getByText(/146 J/)).toBeTruthy();
  expect(screen.getByText(/never a screwdriver/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: /Discharged/ }));
  expect(used).toEqual([[540, 1000]]);
});
