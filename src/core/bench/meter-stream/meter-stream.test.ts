import fc from 'fast-check';
import {
  ignoreUntilLifted,
  reduceMeterLine,
  listening,
  listenOn,
  mayConfirmOpen,
  readLine,
  type Heard,
  type Listening,
} from '.';

/** Lines five a second, from 0 ms on. */
function listen(lines: readonly string[], from: Listening = listening(0), start_ms = 0, every_ms = 200) {
  const heard: Heard[] = [];
  let now = from;
  lines.forEach((line, i) => {
    const step = reduceMeterLine(now, line, start_ms + i * every_ms);
    now = step.next;
    if (step.heard !== null) heard.push(step.heard);
  });
  return { now, heard, at_ms: start_ms + lines.length * every_ms };
}

const open = 'DIODE OL V';
const held = (volts: number, times: number): string[] =>
  Array.from({ length: times }, (_, i) => `DIODE ${(volts + (i % 2) * 0.001).toFixed(3)} V`);

describe('lines of a meter', () => {
  it.each([
    ['DIODE 0.451 V', { kind: 'figure', volts: 0.451 }],
    ['DIODE -1.2 V', { kind: 'figure', volts: -1.2 }],
    ['DIODE OL V', { kind: 'open' }],
    ['BATT LOW', { kind: 'battery-low' }],
    ['# stand-in', { kind: 'remark' }],
    ['DIODE O.451 V', { kind: 'garbage' }],
    ['DIODE 0.451', { kind: 'garbage' }],
    ['\u0000\u0007', { kind: 'garbage' }],
  ])('%s', (line, said) => {
    expect(readLine(line)).toEqual(said);
  });

  it('never takes noise for a value', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        fc.pre(!/^\s*DIODE /.test(text));
        expect(readLine(text).kind).not.toBe('figure');
      }),
    );
  });
});

describe('hands-free', () => {
  it('counts a value once it is steady for 0.6 s after the meter was open', () => {
    expect(listen([open, ...held(0.45, 3)]).heard).toEqual([]);
    expect(listen([open, ...held(0.45, 4)]).heard).toEqual([{ kind: 'counted', volts: 0.451 }]);
  });

  it('never counts a resting probe twice', () => {
    expect(listen([open, ...held(0.45, 60)]).heard).toHaveLength(1);
    expect(listen([open, ...held(0.45, 9), open, ...held(0.45, 9)]).heard).toHaveLength(2);
  });

  it('never counts overload by itself, but lets the pedal confirm it', () => {
    const { heard, now } = listen(Array.from({ length: 100 }, () => open));
    expect(heard).toEqual([]);
    expect(mayConfirmOpen(now)).toBe(true);
    expect(mayConfirmOpen(listen([open, ...held(0.45, 2)]).now)).toBe(false);
  });

  it('waits a filling bank out and says so once', () => {
    const rise = Array.from({ length: 12 }, (_, i) => `DIODE ${(0.45 + i * 0.12).toFixed(3)} V`);
    const slow = Array.from({ length: 30 }, (_, i) => `DIODE ${(0.45 + i * 0.02).toFixed(3)} V`);
    for (const lines of [rise, slow]) {
      const { heard, now } = listen([open, ...lines, open]);
      expect(heard.map((h) => h.kind)).toEqual(['climbing']);
      expect(mayConfirmOpen(now)).toBe(true);
    }
  });

  it('does not count a value that jumps', () => {
    const jumping = Array.from({ length: 30 }, (_, i) => `DIODE ${i % 2 === 0 ? '0.451' : '0.389'} V`);
    expect(listen([open, ...jumping]).heard).toEqual([]);
  });

  it('notices a cable pulled in the middle of a reading and wants the leads lifted first', () => {
    const { now, at_ms } = listen([open, ...held(0.45, 2)]);
    const silent = listenOn(now, at_ms + 1600);
    expect(silent.trouble).toBe('silent');
    const back = listen(held(0.45, 9), silent, at_ms + 2000);
    expect(back.heard).toEqual([]);
    expect(back.now.trouble).toBeNull();
    expect(listen([open, ...held(0.45, 9)], back.now, back.at_ms).heard).toHaveLength(1);
  });

  it('gives garbage a name and never a value', () => {
    const noise = ['DI\u0003DE 0.45', '????', 'DIODE 0,45 V', '0.451', 'V 0.451'];
    const { heard, now } = listen([open, ...noise]);
    expect(heard).toEqual([]);
    expect(now.trouble).toBe('garbage');
    expect(listen([open], now, 2000).now.trouble).toBeNull();
  });

  it('counts nothing of lines that were held up and came at once', () => {
    const { heard, now } = listen([open, ...held(0.45, 40)], listening(0), 0, 1);
    expect(heard).toEqual([]);
    expect(now.trouble).toBe('burst');
  });

  it('counts nothing that was touched while nobody waited for it, until the leads were lifted', () => {
    let now = listening(0);
    [open, ...held(0.45, 9)].forEach((line, i) => {
      now = ignoreUntilLifted(reduceMeterLine(now, line, i * 200).next);
    });
    const resting = listen(held(0.45, 9), now, 2000);
    expect(resting.heard).toEqual([]);
    expect(listen([open, ...held(0.45, 9)], resting.now, resting.at_ms).heard).toHaveLength(1);
  });

  it('remembers the battery warning of the meter', () => {
    expect(listen([open, 'BATT LOW', open]).now.batteryLow).toBe(true);
  });
});
