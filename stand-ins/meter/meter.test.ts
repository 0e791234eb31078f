import { connect, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import { reduceMeterLine, listening, type Heard } from '@/core/bench/meter-stream';
import { commonMeter, stage } from '@/core/equipment/power-stage';
import { normalRange } from '@/core/bench/static-diagnosis';
import { startMeter } from './server';
import { meterDisplay, meterLine, type BenchUnit } from './unit';

const unit: BenchUnit = { stage: stage({ capacitance_uF: 500 }), faults: [], temperature_C: 22, bank_V: 0 };
const over = (
  leads: { red: 'L1' | 'DC+' | 'DC-'; black: 'DC+' | 'DC-' },
  seconds: number,
): (number | null)[] => {
  let now = unit;
  return Array.from({ length: seconds * 5 }, () => {
    const step = meterDisplay(now, leads, commonMeter, 0.2);
    now = step.unit;
    return step.volts;
  });
};

describe('the unit under the simulated meter', () => {
  it('shows a junction at once and overload with the leads in the air', () => {
    const [volts] = over({ red: 'L1', black: 'DC+' }, 1);
    expect(volts).toBeGreaterThan(normalRange.rectifier[0]);
    expect(volts).toBeLessThan(normalRange.rectifier[1]);
    expect(meterDisplay(unit, null, commonMeter, 0.2).volts).toBeNull();
  });

  it('fills an empty bank by I/C: 2 V a second at 1 mA into 500 µF, then overload', () => {
    const shown = over({ red: 'DC+', black: 'DC-' }, 2);
    expect((shown[2] ?? 0) - (shown[1] ?? 0)).toBeCloseTo(0.4, 3);
    expect(shown[shown.length - 1]).toBeNull();
  });

  it('never fills a bank that is shorted', () => {
    const dead = { ...unit, faults: [{ component: 'bus.cap', mode: 'short' } as const] };
    const { volts } = meterDisplay(dead, { red: 'DC+', black: 'DC-' }, commonMeter, 5);
    expect(volts).toBeLessThan(0.01);
  });

  it('writes the documented lines', () => {
    expect(meterLine(0.45049, 0)).toBe('DIODE 0.450 V');
    expect(meterLine(null, 0.001)).toBe('DIODE OL V');
  });
});

describe('the stand-in over TCP', () => {
  it('is heard hands-free: one touch, one figure; a wrong command is refused', async () => {
    const meter = await startMeter();
    const sockets: Socket[] = [];
    const join = (port: number): Socket => {
      const socket = connect(port, '127.0.0.1');
      sockets.push(socket);
      return socket;
    };
    try {
      const heard: Heard[] = [];
      let state = listening(Date.now());
      createInterface({ input: join(meter.dataPort) }).on('line', (line) => {
        const step = reduceMeterLine(state, line, Date.now());
        state = step.next;
        if (step.heard !== null) heard.push(step.heard);
      });
      const hand = join(meter.controlPort);
      const answers: string[] = [];
      createInterface({ input: hand }).on('line', (line) => answers.push(line));
      const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));
      hand.write('unit {"stage":{"brake":true},"faults":[{"component":"rect.L2.hi","mode":"open"}]}\n');
      hand.write('touch L1 DC+\n');
      await wait(2400);
      hand.write('jump\ntouch L9 DC+\nlift\n');
      await wait(500);
      expect(heard).toHaveLength(1);
      expect(heard[0]).toMatchObject({ kind: 'counted' });
      expect(heard[0]?.volts).toBeCloseTo(over({ red: 'L1', black: 'DC+' }, 1)[0] ?? NaN, 2);
      expect(answers.filter((a) => a === 'ok')).toHaveLength(3);
      expect(answers.filter((a) => a.startsWith('no:'))).toHaveLength(2);
    } finally {
      sockets.forEach((s) => s.destroy());
      await meter.stop();
    }
  });
});
