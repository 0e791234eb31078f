import { connectionFor, devicesOf, moduleVerdict, type LampTouch } from '.';

const touch = (
  device: number,
  gate: LampTouch['gate'],
  lamp: LampTouch['lamp'],
  holds = true,
): LampTouch => ({
  device,
  gate,
  lamp,
  holds,
});
const switching = (device: number): LampTouch[] => [
  touch(device, 'plus', 'on'),
  touch(device, 'minus', 'off'),
];
const single = (touches: LampTouch[], more: Partial<Parameters<typeof moduleVerdict>[0]> = {}) =>
  moduleVerdict({ kind: 'single', lampSelfTest: true, touches, ...more }).devices[0];

describe('lamp and battery on one IGBT', () => {
  it.each([
    ['lights and stays, goes out and stays', switching(1), 'switches'],
    ['never lights', [touch(1, 'plus', 'off'), touch(1, 'minus', 'off')], 'open'],
    ['never goes out', [touch(1, 'plus', 'on'), touch(1, 'minus', 'on')], 'shorted'],
    ['dim, brighter on minus', [touch(1, 'plus', 'dim'), touch(1, 'minus', 'on')], 'shorted'],
    ['fades when let go', [touch(1, 'plus', 'on', false), touch(1, 'minus', 'off')], 'leaky-gate'],
    ['comes back when let go', [touch(1, 'plus', 'on'), touch(1, 'minus', 'off', false)], 'leaky-gate'],
    ['dim on plus', [touch(1, 'plus', 'dim'), touch(1, 'minus', 'off')], 'not-proven'],
    ['only touched with plus', [touch(1, 'plus', 'on')], 'not-proven'],
    ['two answers to one touch', [...switching(1), touch(1, 'plus', 'off')], 'not-proven'],
  ] as const)('%s', (_, touches, verdict) => {
    expect(single([...touches])?.verdict).toBe(verdict);
  });

  it('proves nothing with a lamp that was not proven', () => {
    const result = moduleVerdict({ kind: 'single', lampSelfTest: false, touches: switching(1) });
    expect(result.verdict).toBe('not-proven');
  });

  it('names the gate-collector short and the reversed battery in the reason', () => {
    expect(single([touch(1, 'plus', 'dim'), touch(1, 'minus', 'on')])?.why).toContain('gate and collector');
    expect(single([touch(1, 'plus', 'on'), touch(1, 'minus', 'on')])?.why).toContain('polarity');
  });

  it('lets meter readings join in', () => {
    const diode = (forward_V: number, reverse: 'OL' | number) =>
      single(switching(1), { diode: [{ device: 1, forward_V, reverse }] })?.verdict;
    expect(diode(0.37, 'OL')).toBe('switches');
    expect(diode(1.4, 'OL')).toBe('switches');
    expect(diode(0.002, 0.002)).toBe('shorted');
    expect(diode(0.37, 0.61)).toBe('not-proven');
    expect(diode(2.8, 'OL')).toBe('open');
    // No junction of a textbook reads below zero forward, nor zero one way only.
    expect(diode(-0.4, 'OL')).toBe('not-proven');
    expect(diode(0.001, 'OL')).toBe('not-proven');
    expect(single(switching(1), { gate: [{ device: 1, ohm: 12 }] })?.verdict).toBe('open');
    expect(single(switching(1), { gate: [{ device: 1, ohm: 'OL' }] })?.verdict).toBe('switches');
  });
});

describe('a whole module', () => {
  it('switches only when every device does', () => {
    const six = [1, 2, 3, 4, 5, 6].flatMap(switching);
    expect(moduleVerdict({ kind: 'six', lampSelfTest: true, touches: six }).verdict).toBe('switches');
    expect(moduleVerdict({ kind: 'seven', lampSelfTest: true, touches: six }).verdict).toBe('not-proven');
    const bad = [...six, touch(7, 'plus', 'off'), touch(7, 'minus', 'off')];
    expect(moduleVerdict({ kind: 'seven', lampSelfTest: true, touches: bad }).verdict).toBe('replace');
  });

  it('bridges every gate that is not under test to its own emitter', () => {
    expect(connectionFor('dual', 2)).toEqual({
      toMinus: 'E2',
      throughLamp: 'C2E1',
      gate: 'G2',
      bridged: [{ gate: 'G1', to: 'E1' }],
    });
    for (const kind of ['single', 'dual', 'six', 'seven'] as const)
      for (const { device, gate } of devicesOf(kind)) {
        const connection = connectionFor(kind, device);
        expect(connection?.bridged.map((b) => b.gate)).not.toContain(gate);
        expect(connection?.bridged).toHaveLength(devicesOf(kind).length - 1);
        expect(connection?.toMinus).not.toBe(connection?.throughLamp);
      }
    expect(connectionFor('single', 2)).toBeNull();
  });
});
