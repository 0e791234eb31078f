import { createServer, type Server, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import * as z from 'zod';
import { commonMeter, faultModes, positions, stage, type Probe } from '@/core/equipment/power-stage';
import { stageSchema, terminalSchema } from '@/core/equipment/power-stage/schema';
import { meterDisplay, meterLine, type BenchUnit } from './unit';

const every_ms = 200;

const unitSchema = z.strictObject({
  stage: stageSchema.partial(),
  faults: z
    .array(
      z.strictObject({
        component: z.enum(positions),
        mode: z.enum(faultModes),
        ohm: z.number().positive().optional(),
      }),
    )
    .default([]),
  temperature_C: z.number().min(-40).max(120).default(22),
});

/** A running stand-in: where it listens, and how to end it. */
export interface MeterStandIn {
  dataPort: number;
  controlPort: number;
  stop: () => Promise<void>;
}

const listen = (server: Server, port: number): Promise<number> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      resolve(typeof address === 'object' && address !== null ? address.port : port);
    });
  });

/**
 * Starts the simulated meter on loopback. The data port only speaks (docs/meter-lines.md); the control port
 * is the hand on the leads, one command a line, each answered "ok" or "no: why":
 * `unit {json}`, `touch RED BLACK`, `lift`, `battery low`, `garbage N` (the next N lines are garbled, or fewer
 * if the cable is pulled), `burst N` (the next N lines are held up and come at once), `pull`.
 */
export async function startMeter({ dataPort = 0, controlPort = 0 } = {}): Promise<MeterStandIn> {
  let unit: BenchUnit = { stage: stage({ brake: true }), faults: [], temperature_C: 22, bank_V: 0 };
  let leads: Probe | null = null;
  let held: string[] = [];
  let hold = 0;
  let garbled = 0;
  const readers = new Set<Socket>();
  const speak = (line: string) => readers.forEach((r) => r.write(`${line}\n`));

  const data = createServer((socket) => {
    readers.add(socket);
    socket.on('close', () => readers.delete(socket)).on('error', () => socket.destroy());
    socket.write('# bench meter stand-in\n');
  });
  const tick = setInterval(() => {
    const shown = meterDisplay(unit, leads, commonMeter, every_ms / 1000);
    unit = shown.unit;
    const line =
      garbled > 0
        ? `DI${String.fromCharCode(3)}DE ??`
        : meterLine(shown.volts, (Math.random() - 0.5) * 0.001);
    garbled = Math.max(0, garbled - 1);
    if (hold > 0) {
      held.push(line);
      hold -= 1;
      if (hold === 0) {
        held.forEach(speak);
        held = [];
      }
    } else speak(line);
  }, every_ms);

  function obey(line: string): string {
    const [word = '', ...rest] = line.trim().split(/\s+/);
    const count = Math.min(200, Math.max(1, Number(rest[0]) || 1));
    switch (word) {
      case 'unit': {
        const asked = unitSchema.parse(JSON.parse(line.slice(5)));
        const faults = asked.faults.map(({ ohm, ...f }) => (ohm === undefined ? f : { ...f, ohm }));
        unit = { stage: stage(asked.stage), faults, temperature_C: asked.temperature_C, bank_V: 0 };
        return 'ok';
      }
      case 'touch':
        leads = { red: terminalSchema.parse(rest[0]), black: terminalSchema.parse(rest[1]) };
        return 'ok';
      case 'lift':
        leads = null;
        return 'ok';
      case 'battery':
        speak('BATT LOW');
        return 'ok';
      case 'garbage':
        garbled = count;
        return 'ok';
      case 'burst':
        hold = count;
        return 'ok';
      case 'pull':
        garbled = 0;
        readers.forEach((r) => r.destroy());
        return 'ok';
      default:
        return `no: "${word}" is no command`;
    }
  }

  const control = createServer((socket) => {
    socket.on('error', () => socket.destroy());
    createInterface({ input: socket }).on('line', (line) => {
      try {
        socket.write(`${obey(line)}\n`);
      } catch (error) {
        socket.write(
          `no: ${error instanceof Error ? error.message.split('\n').join(' ') : 'not understood'}\n`,
        );
      }
    });
  });
  const ports = { dataPort: await listen(data, dataPort), controlPort: await listen(control, controlPort) };
  return {
    ...ports,
    stop: async () => {
      clearInterval(tick);
      readers.forEach((r) => r.destroy());
      await Promise.all([data, control].map((s) => new Promise((done) => s.close(done))));
    },
  };
}
