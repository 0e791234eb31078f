import type { NamedTask } from './task';

const task = (
  id: string,
  name: string,
  minutes: number,
  needs: 'stop' | 'isolated' | null,
  after: readonly string[],
  people = 1,
): NamedTask => ({ id, name, minutes, needs: needs === null ? [] : [needs], after, people });

/** What a swap of a unit usually takes (common practice, no source): a start, to be put right by who knows the place. */
export const usualSwap: readonly NamedTask[] = [
  task('look', 'Compare drawing with actual wires, photographs', 30, null, []),
  task('labels', 'Print and cut labels', 10, null, ['look']),
  task('values', 'Enter parameters at the bench, save, read back', 30, null, []),
  task('stop', 'Stop, isolate, lock, wait the discharge time, prove dead', 20, 'stop', []),
  task('mark', 'Label every wire', 15, 'isolated', ['stop', 'labels']),
  task('out', 'Wires off, old unit out', 15, 'isolated', ['mark']),
  task('drill', 'Drill by the template', 15, 'isolated', ['out']),
  task('in', 'New unit in', 10, 'isolated', ['drill'], 2),
  task('wire', 'Connect wires, torque, check both ends', 25, 'isolated', ['in']),
  task('power', 'Covers on, power on, check 50/60 Hz default set and parameters', 10, 'stop', [
    'wire',
    'values',
  ]),
  task('run', 'Direction, inputs, E-stop, first run', 15, 'stop', ['power'], 2),
  task('over', 'Back to automatic, observe', 10, null, ['run']),
  task('backup', 'Backup, report', 20, null, ['run']),
];
