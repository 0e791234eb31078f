/** @jest-environment jsdom */
import '@testing-library/jest-dom';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Press } from '@/core/parameter-sets/keypad';
import { press, show, tick, fill, fillField } from '../../__tests__/show';
import { Keypad } from './keypad';
import { Dial, Switch } from './switches';

describe('a dial', () => {
  const dial = () => {
    const sent: number[] = [];
    const { rerender } = show(<Dial label="Load" unit="%" value={40} set={(v) => sent.push(v)} />);
    return { sent, rerender };
  };
  const field = () => screen.getByLabelText('Load');

  it('sends a value when Enter is struck or the field is left, and only one that differs', async () => {
    const { sent } = dial();
    await userEvent.clear(field());
    await userEvent.type(field(), '62,5{Enter}');
    expect(sent).toEqual([62.5]);
    await userEvent.clear(field());
    await fillField(field(), '40');
    await userEvent.tab();
    expect(sent).toEqual([62.5]);
  });

  it.each(['much', '', '4 0'])('sends nothing for “%s”, which stays where it was typed', async (text) => {
    const { sent } = dial();
    await userEvent.clear(field());
    if (text !== '') await fillField(field(), text);
    await userEvent.tab();
    expect(sent).toEqual([]);
    expect(field()).toHaveValue(text);
  });
});

test('a switch says its state in words, and asks for the other one', async () => {
  const turned: boolean[] = [];
  show(<Switch label="X3" words={['closed', 'open']} on={false} turn={(on) => turned.push(on)} />);
  const contact = screen.getByRole('switch', { name: 'X3' });
  expect(contact).not.toBeChecked();
  expect(contact).toHaveTextContent('open');
  await userEvent.click(contact);
  expect(turned).toEqual([true]);
});

describe('the keypad', () => {
  const keypad = (cursor: number | null = null) => {
    const pressed: (readonly Press[])[] = [];
    const shown = { caps: [['Menu', 'Enter']], shows: '50.0', cursor, speedsUp: false };
    show(<Keypad keypad={shown} press={(keys) => pressed.push(keys)} />);
    return pressed;
  };

  it('presses one key, or holds the next for a second', async () => {
    const pressed = keypad();
    await press('Menu');
    await tick('Hold the next key for a second');
    await press('Enter');
    expect(pressed).toEqual([[{ cap: 'Menu', held: false }], [{ cap: 'Enter', held: true, ticks: 10 }]]);
  });

  it('refuses a list with something that is no key, and keeps what was typed', async () => {
    const pressed = keypad();
    expect(screen.getByRole('button', { name: 'Press all' })).toBeDisabled();
    await fill('Key sequence', 'Menu, nonsense and more');
    await press('Press all');
    expect(screen.getByText(/This is not a valid key sequence/)).toBeVisible();
    expect(pressed).toEqual([]);
    await userEvent.clear(screen.getByLabelText('Key sequence'));
    await fill('Key sequence', 'Menu x2, Enter');
    expect(screen.queryByText(/This is not a valid key sequence/)).toBeNull();
    await press('Press all');
    expect(pressed[0]?.map((key) => key.cap)).toEqual(['Menu', 'Menu', 'Enter']);
  });

  it.each([
    [0, 'editing, cursor at the last digit'],
    [2, 'editing, cursor 2 from the last digit'],
  ])('says where the cursor is: %s', (cursor, words) => {
    keypad(cursor);
    expect(screen.getByText(words)).toBeVisible();
  });
});
