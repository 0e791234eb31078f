// The registers of the simulated drive: live values, history, parameters and the serial control word.
import type { PadState } from '@/core/parameter-sets/keypad';
import {
  historyRegisters,
  rawOf,
  valueOf,
  wordsOf,
  wordsOfSlots,
  wordsOfText,
  busOf,
  onBus,
} from '@/core/equipment/drive-words';
import { exceptions, type Exception, type Memory } from './modbus';
import type { Plant } from './plant';
import { isThere, writeSetting, type SettingRefusal } from './settings';
import { shownBy, type SimulatedUnit } from './unit';

const asException: Readonly<Record<SettingRefusal, Exception>> = {
  'not-there': exceptions.illegalAddress,
  'read-only': exceptions.illegalAddress,
  'out-of-range': exceptions.illegalValue,
  locked: exceptions.deviceFailure,
  running: exceptions.busy,
};

/** What holds unit and plant, and takes new ones. */
export interface Holder {
  /** What was in the box. */
  box: { type: string; model: string; serial: string };
  unit: SimulatedUnit;
  plant: Plant;
  /** Where somebody is on its keypad. */
  pad: PadState;
}

const serialBits = {
  run: 'run',
  reverse: 'reverse',
  'coast-release': 'coastRelease',
} as const satisfies Record<string, keyof Plant['serial']>;
const isSerialBit = (name: string | null): name is keyof typeof serialBits =>
  name !== null && name in serialBits;

/** A serial number, two letters a word, spaces behind. */
const serialWords = (
  at: { register: number; words: number } | undefined,
  serial: string,
): [number, number][] =>
  at === undefined ? [] : wordsOfText(serial, at.words).map((word, i) => [at.register + i, word]);

/** Each of a run of addresses, or null as soon as one is not there. */
function each<T>(start: number, count: number, at: (address: number) => T | null): T[] | null {
  const found: T[] = [];
  for (let address = start; address < start + count; address += 1) {
    const value = at(address);
    if (value === null) return null;
    found.push(value);
  }
  return found;
}

export function memoryOf(holder: Holder): Memory {
  const control = () => holder.unit.settings.control;
  const shown = () => shownBy(holder.unit, holder.plant);
  const parameterAt = (register: number) => control().parameters.find((p) => p.register === register);
  const controlBits = () => busOf(control()).control.bits;
  const serialBit = (name: string | null): boolean =>
    isSerialBit(name) && holder.plant.serial[serialBits[name]];
  const setSerial = (changes: Partial<Plant['serial']>): void => {
    holder.plant = { ...holder.plant, serial: { ...holder.plant.serial, ...changes, talks: true } };
  };
  const setSerialBit = (name: string | null, on: boolean): void =>
    setSerial(isSerialBit(name) ? { [serialBits[name]]: on } : {});

  /** Every register that is there now, with its word. */
  function registers(): Map<number, number> {
    const { settings, history } = holder.unit;
    const { parameters } = control();
    const modbus = busOf(control());
    const slots = wordsOfSlots(control(), history);
    const word = controlBits().reduce((w, name, i) => w | (serialBit(name) ? 1 << i : 0), 0);
    return new Map([
      ...wordsOf(control(), shown()),
      ...historyRegisters(control()).map((r, i): [number, number] => [r, slots[i] ?? 0]),
      [modbus.control.register, word],
      [modbus.control.reference, Math.round(holder.plant.serial.reference_Hz * 10) & 0xffff],
      ...serialWords(modbus.serialNumber, holder.box.serial),
      ...onBus(parameters).flatMap((p): [number, number][] =>
        isThere(settings, p)
          ? // A code that was entered is nobody's to read.
            [[p.register, p.concept === 'lock.code' ? 0 : rawOf(p, settings.values[p.number] ?? 0)]]
          : [],
      ),
    ]);
  }

  function writeHolding(register: number, word: number): Exception | null {
    const modbus = busOf(control());
    const p = parameterAt(register);
    if (p !== undefined) {
      const running = holder.unit.state === 'running' || holder.unit.state === 'stopping';
      const result = writeSetting(holder.unit.settings, p, valueOf(p, word), { running });
      if (typeof result === 'string') return asException[result];
      holder.unit = { ...holder.unit, settings: result };
      return null;
    }
    if (register === modbus.control.register) {
      controlBits().forEach((name, i) => setSerialBit(name, ((word >> i) & 1) === 1));
      return null;
    }
    if (register !== modbus.control.reference) return exceptions.illegalAddress;
    setSerial({ reference_Hz: word / 10 });
    return null;
  }

  return {
    holding: (start, count) => {
      const all = registers();
      return each(start, count, (r) => all.get(r) ?? null);
    },
    writeHolding,
    coils: (start, count) =>
      each(start, count, (a) => (a < controlBits().length ? serialBit(controlBits()[a] ?? null) : null)),
    writeCoil: (address, on) => {
      if (address >= controlBits().length) return exceptions.illegalAddress;
      setSerialBit(controlBits()[address] ?? null, on);
      return null;
    },
    discretes: (start, count) => {
      const { inputs } = shown();
      const bits = busOf(control()).live.find((l) => l.key === 'inputs')?.bits ?? [];
      return each(start, count, (a) => {
        if (a >= bits.length) return null;
        const name = bits[a] ?? null;
        return name !== null && inputs?.[name] === true;
      });
    },
    get identification() {
      return busOf(control()).identification;
    },
  };
}
