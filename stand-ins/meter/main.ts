/** The simulated meter as a process: `main.ts <data port> <control port>`; ends with its parent's pipe. */
import { startMeter } from './server';

const [dataPort = 0, controlPort = 0] = process.argv.slice(2).map(Number);
try {
  const meter = await startMeter({ dataPort, controlPort });
  process.stdout.write(`listening ${meter.dataPort} ${meter.controlPort}\n`);
  process.stdin.on('end', () => void meter.stop().then(() => process.exit(0))).resume();
} catch (error) {
  process.stdout.write(`taken ${error instanceof Error ? error.message : ''}\n`);
  process.exitCode = 1;
}
