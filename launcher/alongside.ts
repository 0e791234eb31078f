import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { root } from './paths';

/** Where `./grim start` has the simulated meter listen; the tests have theirs beside it. */
export const meterPorts = { start: [4401, 4402], e2e: [4411, 4412] } as const;

export interface RunningMeter {
  /** `host:port` of its data port, for the server. */
  at: string;
  controlPort: number;
  stop: () => void;
}

/** Starts the stand-in as a process of its own; null where something else has its ports. */
export async function runMeter([dataPort, controlPort]: readonly [
  number,
  number,
]): Promise<RunningMeter | null> {
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', 'stand-ins/meter/main.ts', String(dataPort), String(controlPort)],
    { cwd: root, stdio: ['pipe', 'pipe', 'inherit'] },
  );
  const first = await new Promise<string>((resolve) => {
    createInterface({ input: child.stdout }).once('line', resolve);
    child.once('exit', () => resolve('gone'));
  });
  return first.startsWith('listening')
    ? { at: `127.0.0.1:${dataPort}`, controlPort, stop: () => void child.stdin.end() }
    : null;
}
