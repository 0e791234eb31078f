import type { InputFunction } from './dictionary';

/** What each neutral input function is called on screens and papers. */
export const inputFunctionNames: Readonly<Record<InputFunction, string>> = {
  none: 'no function',
  run: 'run',
  'run-forward': 'run forward',
  'run-reverse': 'run reverse',
  'start-pulse': 'start, pulse',
  'stop-break': 'stop, break',
  reverse: 'reverse',
  jog: 'jog',
  enable: 'enable',
  interlock: 'interlock',
  'coast-break': 'coast, break',
  'external-trip': 'external trip, make',
  'external-trip-break': 'external trip, break',
  reset: 'reset',
  'local-remote': 'local or remote',
  'preset-1': 'preset bit 1',
  'preset-2': 'preset bit 2',
  'preset-3': 'preset bit 3',
  'second-ramp': 'second ramp',
  'motor-up': 'speed up',
  'motor-down': 'speed down',
  'fast-stop-break': 'fast stop, break',
};
