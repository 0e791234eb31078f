/** @jest-environment jsdom */
import { ChakraProvider } from '@chakra-ui/react';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { forwardPlan, stage, type Value } from '@/core/equipment/power-stage';
import { system } from '../../kit/theme';
import { leadWords, rowsOf, stepTitle } from './bench-plan';
import { FigureField, type Keys } from './figure-field';
import { TerminalStrip } from './terminal-strip';

const unit = stage({ brake: true, link: 'link', dcrAccessible: true });
const strip = [
  { mark: 'R', terminal: 'L1' as const },
  { mark: 'S', terminal: 'L2' as const },
  { mark: 'P', terminal: 'DC+' as const },
  { mark: 'N', terminal: 'DC-' as const },
];

describe('what the bench says of a step', () => {
  it('names the device and the moving lead by the letters on the nameplate', () => {
    const plan = forwardPlan(unit);
    const lower = plan.find((p) => p.red === 'DC-' && p.black === 'L2');
    if (lower === undefined) throw new Error('no such step');
    expect(stepTitle(lower)).toBe('Lower rectifier, L2');
    expect(leadWords(lower, { red: 'DC-', black: 'L1' }, strip)).toEqual([
      { lead: 'Red', verb: 'stays on', mark: 'N', terminal: 'DC-' },
      { lead: 'Black', verb: 'moves to', mark: 'S', terminal: 'L2' },
    ]);
  });

  it('has a cell for every planned reading but the bus', () => {
    const cells = rowsOf(unit, false).flatMap((row) => row.cells);
    expect(cells).toHaveLength(forwardPlan(unit).length - 1);
  });

  it('says where the leads are for those who do not see the strip', () => {
    render(<TerminalStrip strip={strip} red="DC-" black="L2" />);
    expect(screen.getByRole('group', { name: 'Power strip: red lead on N, black lead on S' })).toBeTruthy();
  });
});

function Harness({ log, idle = false }: { log: string[]; idle?: boolean }) {
  const [text, setText] = useState('');
  const say = (word: string) => () => void log.push(word);
  const keys: Keys = {
    keep: () => log.push(`keep ${text}`),
    overload: say('overload'),
    short: say('short'),
    climbing: say('climbing'),
    repeat: say('repeat'),
    back: say('back'),
    suggested: say('suggested'),
    help: say('help'),
    pedal: say('pedal'),
  };
  return (
    <ChakraProvider value={system}>
      <FigureField
        text={text}
        setText={setText}
        keys={keys}
        question={{ why: 'A lone 1?', choices: [{ value: 'OL', words: 'OL, then' }] }}
        error={null}
        choose={(value: Value) => log.push(`chose ${value}`)}
        disabled={false}
        idle={idle}
        inputRef={null}
        suggested={null}
      />
    </ChakraProvider>
  );
}

describe('the value field', () => {
  it('takes letters as keys only while it is empty, and values with their units', async () => {
    const log: string[] = [];
    render(<Harness log={log} />);
    const field = screen.getByRole('textbox');
    await userEvent.type(field, 'osrc? {ArrowUp}');
    await userEvent.type(field, '451 mV{Enter}');
    expect(log).toEqual(['overload', 'short', 'repeat', 'climbing', 'help', 'pedal', 'back', 'keep 451 mV']);
  });

  it('after the last planned reading takes no value, and its keys still go elsewhere', async () => {
    const log: string[] = [];
    render(<Harness log={log} idle />);
    const field = screen.getByRole('textbox') as HTMLInputElement;
    await userEvent.type(field, '0.45rn?{ArrowUp}');
    expect(field.value).toBe('');
    expect(log).toEqual(['repeat', 'suggested', 'help', 'back']);
    expect((screen.getByRole('button', { name: /save/ }) as HTMLButtonElement).disabled).toBe(true);
  });

  it('takes OL typed in full as one overload', async () => {
    const log: string[] = [];
    render(<Harness log={log} />);
    await userEvent.type(screen.getByRole('textbox'), 'OL');
    expect(log).toEqual(['overload']);
    expect((screen.getByRole('textbox') as HTMLInputElement).value).toBe('');
  });

  it('offers what a doubtful value can mean', async () => {
    const log: string[] = [];
    render(<Harness log={log} />);
    await userEvent.click(screen.getByRole('button', { name: 'OL, then' }));
    expect(log).toEqual(['chose OL']);
  });
});
