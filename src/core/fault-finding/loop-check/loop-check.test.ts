import { checkLoop, type Loop } from '.';

const source: Loop['elements'] = [
  { id: 'S1', kind: 'contact' },
  { id: 'S2', kind: 'contact' },
  { id: 'K3', kind: 'contact' },
  { id: 'wire 41', kind: 'wire' },
  { id: 'X3', kind: 'terminal' },
  { id: 'DI3', kind: 'input' },
  { id: 'CD', kind: 'common' },
  { id: 'return', kind: 'return' },
];
const along = (volts: (number | null)[], elements = source): Loop['measured'] =>
  volts.flatMap((v, i) => (v === null ? [] : [{ after: elements[i]?.id ?? '', volts: v }]));
const check = (volts: (number | null)[], more: Partial<Loop> = {}) =>
  checkLoop({
    source: { volts: 24.1 },
    elements: source,
    measured: along(volts, more.elements ?? source),
    ...more,
  });

describe('the first element across which the voltage vanishes is the open one', () => {
  it.each([
    ['the third contact', [24.1, 24.0, 0.2, 0.2], 'K3'],
    ['the first contact', [0.1, 0.1], 'S1'],
    ['the wire', [24, 24, 24, 0.3], 'wire 41'],
    ['the screw', [24, 24, 24, 24, 0.1], 'X3'],
    ['the return, for nothing falls over the input', [24, 24, 24, 24, 24, 23.9, 23.9], 'return'],
    ['the common', [24, 24, 24, 24, 24, 23.9, 0.1], 'CD'],
  ])('%s', (_, volts, open) => {
    expect(check(volts)).toMatchObject({ verdict: 'open', open });
  });

  it('of sink wiring too: the contact comes behind the input', () => {
    const sink: Loop['elements'] = [
      { id: 'DI3', kind: 'input' },
      { id: 'X3', kind: 'terminal' },
      { id: 'S1', kind: 'contact' },
      { id: 'return', kind: 'return' },
    ];
    expect(check([24, 24, 0.1], { elements: sink })).toMatchObject({ verdict: 'open', open: 'S1' });
    expect(check([0.2, 0.2, 0.1], { elements: sink, bit: 1 })).toMatchObject({ verdict: 'complete' });
    expect(check([0.2, 0.2, 0.1], { elements: sink, bit: 0, selector: 'source' })).toMatchObject({
      verdict: 'selector',
    });
  });
});

describe('a loop without a break', () => {
  const whole = [24, 24, 24, 24, 24, 0.3];
  it.each<[string, Partial<Loop>, string]>([
    ['is complete', { bit: 1 }, 'complete'],
    ['asks for the bit', {}, 'complete'],
    ['with the selector the other way', { bit: 0, selector: 'sink' }, 'selector'],
    ['with the selector right', { bit: 0, selector: 'source' }, 'input'],
    ['with the selector not checked', { bit: 0 }, 'input'],
  ])('%s', (_, more, verdict) => {
    expect(check(whole, more)).toMatchObject({ verdict, open: null });
  });
});

describe('what is not enough, and what cannot be', () => {
  it('halves what is left', () => {
    expect(check([])).toMatchObject({ verdict: 'measure', next: { after: 'wire 41' } });
    expect(check([null, null, null, 24])).toMatchObject({ verdict: 'measure', next: { after: 'DI3' } });
    expect(check([null, null, null, 0.1])).toMatchObject({ verdict: 'measure', next: { after: 'S2' } });
  });

  it('finds the break in few steps, wherever it is', () => {
    for (const broken of source.filter((e) => e.kind !== 'input')) {
      const at = source.indexOf(broken);
      const volts: (number | null)[] = source.map(() => null);
      let steps = 0;
      for (; ; steps += 1) {
        const { verdict, open, next } = check(volts);
        if (verdict !== 'measure') {
          expect([verdict, open]).toEqual(['open', broken.id]);
          break;
        }
        const place = source.findIndex((e) => e.id === next?.after);
        volts[place] = place < at ? 24 : 0.1;
      }
      expect(steps).toBeLessThanOrEqual(4);
    }
  });

  it.each([
    ['a dead source', { source: { volts: 11 } }, [24], 'source-dead'],
    ['voltage that comes back', {}, [24, 0.1, 24], 'contradictory'],
    ['half the voltage', {}, [24, 11], 'weak'],
  ])('%s', (_, more, volts, verdict) => {
    expect(check(volts, more)).toMatchObject({ verdict });
  });
});

describe('what cannot be is judged, not ignored', () => {
  it.each([
    ['reversed leads', [-24.1], 'leads-reversed', /leads are reversed/],
    ['mains on the wire', [24, 240], 'foreign-voltage', /foreign voltage/],
    ['another source', [24, 27.5], 'implausible', /above the source voltage/],
  ])('%s', (_, volts, verdict, why) => {
    const said = check(volts);
    expect(said).toMatchObject({ verdict, open: null });
    expect(said.why).toMatch(why);
    expect(said.next?.after).toBe(source[volts.length - 1]?.id);
  });

  it('a source that cannot be one', () => {
    expect(check([], { source: { volts: -24 } }).why).toMatch(/after the source: the leads are reversed/);
    expect(check([], { source: { volts: 230 } }).why).toMatch(/foreign voltage/);
    // A meter and a wire may differ a little.
    expect(check([25.5]).verdict).not.toBe('implausible');
  });
});

// IEC 61131-2, from memory: 24 V inputs, on from 15 V; a supply gives 30 V at most.
describe('readings that fit no loop have a verdict of their own', () => {
  it.each<[string, (number | null)[], Partial<Loop>, object]>([
    ['230 V', [24, 230], {}, { verdict: 'foreign-voltage', next: { after: 'S2' } }],
    ['230 V with the leads reversed', [24, -230], {}, { verdict: 'foreign-voltage' }],
    ['reversed leads', [-24], {}, { verdict: 'leads-reversed', next: { after: 'S1' } }],
    [
      'a bit that is on behind an open contact',
      [24, 24, 0.2],
      { bit: 1 },
      { verdict: 'bit-contradicts', open: 'K3' },
    ],
    [
      '8 V lost over a contact',
      [24, 16, 16, 16, 16, 0.2],
      { bit: 1 },
      { verdict: 'voltage-drop', open: 'S2' },
    ],
    ['8 V lost over the first', [16], {}, { verdict: 'voltage-drop', open: 'S1' }],
    [
      '8 V lost somewhere',
      [24, null, null, 16],
      {},
      { verdict: 'voltage-drop', open: null, next: { after: 'S2' } },
    ],
  ])('%s', (_, volts, more, expected) => {
    expect(check(volts, more)).toMatchObject(expected);
  });

  it('two readings at one point', () => {
    const measured = [
      { after: 'S1', volts: 24 },
      { after: 'S1', volts: 0.3 },
    ];
    expect(check([], { measured })).toMatchObject({ verdict: 'two-readings', next: { after: 'S1' } });
    const alike = [
      { after: 'S1', volts: 24 },
      { after: 'S1', volts: 24.2 },
      { after: 'S2', volts: 0.1 },
    ];
    expect(check([], { measured: alike })).toMatchObject({ verdict: 'open', open: 'S2' });
  });
});
