import type { InputFunction } from './dictionary';

/** What each neutral input function is called on screens and papers. */
export const inputFunctionNames: Readonly<Record<InputFunction, string>> = {
  none: 'no function',
  run: 'run',
  'run-forward': 'run forward',
  'run-reverse': 'run reverse',
  'start-pulse': 'start, pulse',
  'stop-break': 'stop (N.C.)',
  reverse: 'reverse',
  jog: 'jog',
  enable: 'enable',
  interlock: 'interlock',
  'coast-break': 'coast-to-stop (N.C.)',
  'external-trip': 'external trip (N.O.)',
  'external-trip-break': 'external trip (N.C.)',
  reset: 'reset',
  'local-remote': 'local or remote',
  'preset-1': 'preset bit 1',
  'preset-2': 'preset bit 2',
  'preset-3': 'preset bit 3',
  'second-ramp': 'second ramp',
  'motor-up': 'speed up',
  'motor-down': 'speed down',
  'fast-stop-break': 'fast stop (N.C.)',
};
