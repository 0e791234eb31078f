import type { Control, LiveKey } from '../catalogue';
import { type UnitState, unitStates } from '../concepts';
import { busOf, type Bus } from './bus';

/** What a drive shows of itself just now; what it does not show is not there. */
export interface Live {
  state?: UnitState;
  /** Code of the active alarm; null: none. */
  alarm?: string | null;
  outputFrequency_Hz?: number;
  reference_Hz?: number;
  outputCurrent_A?: number;
  busVolts?: number;
  heatsink_C?: number;
  /** Terminals by id, as the drive sees them. */
  inputs?: Readonly<Record<string, boolean>>;
  relays?: Readonly<Record<string, boolean>>;
  /** V or mA. */
  AI1?: number;
  AI2?: number;
  place?: 'local' | 'remote';
  /** Bits of the serial control word. */
  serial?: Readonly<Record<string, boolean>>;
  runHours?: number;
}

type Entry = Bus['live'][number];

const figures = {
  'output-frequency': 'outputFrequency_Hz',
  reference: 'reference_Hz',
  'output-current': 'outputCurrent_A',
  'bus-voltage': 'busVolts',
  heatsink: 'heatsink_C',
  AI1: 'AI1',
  AI2: 'AI2',
  'run-hours': 'runHours',
} as const satisfies Partial<Record<LiveKey, keyof Live>>;
const words = { inputs: 'inputs', relays: 'relays', serial: 'serial' } as const;

const isFigure = (key: LiveKey): key is keyof typeof figures => key in figures;
const isWord = (key: LiveKey): key is keyof typeof words => key in words;

const bitsOf = ({ bits = [] }: Entry, raw: number): Record<string, boolean> =>
  Object.fromEntries(bits.flatMap((name, i) => (name === null ? [] : [[name, ((raw >> i) & 1) === 1]])));

/** What can be below zero: its word is a signed one, whatever the make. */
const belowZero: ReadonlySet<LiveKey> = new Set(['heatsink']);

function entryOf(control: Control, entry: Entry, raw: number): Live {
  const { key, scale, values } = entry;
  if (isFigure(key)) {
    const figure = belowZero.has(key) && raw > 0x7fff ? raw - 0x10000 : raw;
    return { [figures[key]]: Number((figure * scale).toFixed(6)) };
  }
  if (isWord(key)) return { [words[key]]: bitsOf(entry, raw) };
  if (key === 'alarm')
    return raw === 0
      ? { alarm: null }
      : { alarm: control.alarms.find((a) => a.value === raw)?.code ?? `${raw}` };
  const means = values?.find((v) => v.value === raw)?.means;
  if (key === 'place') return means === 'local' || means === 'remote' ? { place: means } : {};
  const state = unitStates.find((s) => s === means);
  return state === undefined ? {} : { state };
}

/**
 * Live values from words of the bus.
 * @param wordAt the word of a register; undefined where it was not read
 */
export const liveOf = (control: Control, wordAt: (register: number) => number | undefined): Live =>
  busOf(control).live.reduce<Live>((live, entry) => {
    const raw = wordAt(entry.register);
    return raw === undefined ? live : { ...live, ...entryOf(control, entry, raw) };
  }, {});

/** The other way: what the registers hold for live values. */
export function wordsOf(control: Control, live: Live): Map<number, number> {
  const raw = ({ key, scale, values, bits = [] }: Entry): number | undefined => {
    if (isFigure(key)) {
      const value = live[figures[key]];
      return value === undefined ? undefined : Math.round(value / scale) & 0xffff;
    }
    if (isWord(key)) {
      const set = live[words[key]];
      return (
        set && bits.reduce((word, name, i) => word | (name !== null && set[name] === true ? 1 << i : 0), 0)
      );
    }
    if (key === 'alarm') return live.alarm ? control.alarms.find((a) => a.code === live.alarm)?.value : 0;
    const means = key === 'place' ? live.place : live.state;
    return values?.find((v) => v.means === means)?.value;
  };
  return new Map(
    busOf(control).live.flatMap((entry): [number, number][] => {
      const word = raw(entry);
      return word === undefined ? [] : [[entry.register, word]];
    }),
  );
}
