/** The simulated drive as a process: `main.ts <bus port> <rig port>`; ends with its parent's pipe. */
import { simulateDrive } from './drive';

const [busPort = 0, rigPort = 0] = process.argv.slice(2).map(Number);
try {
  const drive = await simulateDrive({ busPort, rigPort });
  process.stdout.write(`listening ${drive.busPort} ${drive.rigPort}\n`);
  process.stdin.on('end', () => void drive.stop().then(() => process.exit(0))).resume();
} catch (error) {
  process.stdout.write(`taken ${error instanceof Error ? error.message : ''}\n`);
  process.exitCode = 1;
}
