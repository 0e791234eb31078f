import { ImpossibleCircuit } from '../power-up/waveform';
import { RefusedInput } from './verb';

/** Runs a circuit. @throws RefusedInput for one that turns out impossible on the way */
export function orRefused<T>(run: () => T): T {
  try {
    return run();
  } catch (error) {
    throw error instanceof ImpossibleCircuit ? new RefusedInput([error.problem]) : error;
  }
}
