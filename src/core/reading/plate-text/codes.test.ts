import { codeFields } from './codes';
import { readPlate } from '.';

const box = { x0: 0, y0: 0, x1: 100, y1: 40 };
const code = (text: string) => ({ text, ...box });
const text = (value: string, confidence = 0.7) => ({ value, confidence, box });

describe('codes of a label', () => {
  it.each([
    ['(01)09506000134352(21)40-1187', { serial: '40-1187' }],
    ['(1P)W4-15(S)40-1187', { serial: '40-1187', type: 'W4-15' }],
    ['TYPE: W4-15; S/N: 40-1187', { serial: '40-1187', type: 'W4-15' }],
    ['https://plates.invalid/u?model=W4-15&sn=40-1187', { serial: '40-1187', type: 'W4-15' }],
    ['Serial no 40-1187\nPart no W4-15', { serial: '40-1187', type: 'W4-15' }],
  ])('%s', (said, expected) => {
    const { serial, type } = codeFields([code(said)], {});
    expect({ serial: serial?.value, ...(type === undefined ? {} : { type: type.value }) }).toEqual(expected);
    expect(serial?.confidence).toBeGreaterThan(0.9);
  });

  it('puts right what was read with a worn character, and only what is that near', () => {
    expect(codeFields([code('40-1187')], { serial: text('40-ll87') }).serial).toMatchObject({
      value: '40-1187',
      confidence: 0.85,
    });
    expect(codeFields([code('40-1187')], { serial: text('40-1187') }).serial?.confidence).toBe(0.98);
    expect(codeFields([code('W4-15A')], { type: text('W4-1SA') }).type?.value).toBe('W4-15A');
    expect(codeFields([code('77-0002')], { serial: text('40-1187') })).toEqual({});
  });

  it('asks about a code that says nothing of what it is', () => {
    expect(codeFields([code('40-1187')], {}).serial?.confidence).toBeLessThan(0.9);
    expect(codeFields([code('40-1187'), code('40-1188')], {})).toEqual({});
    // GS1 General Specifications give 09506000134352 as an example with a valid check digit.
    expect(codeFields([code('09506000134352')], {})).toEqual({});
    expect(codeFields([code('09506000134353')], {}).serial?.value).toBe('09506000134353');
  });

  it('is less sure where two codes contradict each other', () => {
    expect(codeFields([code('S/N: 1001'), code('S/N: 1002')], {}).serial?.confidence).toBeLessThan(0.9);
    expect(codeFields([code('S/N: 1001'), code('S/N: 1001')], {}).serial?.confidence).toBeGreaterThan(0.9);
  });

  it('takes nothing from a code that says something else', () => {
    expect(codeFields([code('https://plates.invalid/manual'), code('hello world'), code('')], {})).toEqual(
      {},
    );
  });

  it('reads a plate of which only its code is left', () => {
    expect(readPlate([], [code('S/N: 40-1187')])).toEqual({
      kind: 'unknown',
      fields: { serial: { value: '40-1187', confidence: 0.98, box } },
      findings: [],
    });
    expect(readPlate([]).findings[0]?.code).toBe('nothing-read');
  });
});
