// The registers of the simulated drive: live values, history, parameters and the serial control word.
import { rawOf, valueOf, wordsOf, wordsOfSlots } from '@/core/drive-words';
import { exceptions, type Exception, type Memory } from './modbus';
import type { Plant } from './plant';
import { isThere, written, type Refused } from './settings';
import { shownBy, type Unit } from './unit';

const asException: Readonly<Record<Refused, Exception>> = {
  'not-there': exceptions.illegalAddress,
  'read-only': exceptions.illegalAddress,
  'out-of-range': exceptions.illegalValue,
  locked: exceptions.deviceFailure,
  running: exceptions.busy,
};

/** What holds unit and plant, and takes new ones. */
export interface Holder {
  unit: Unit;
  plant: Plant;
}

export function memoryOf(holder: Holder): Memory {
  const control = () => holder.unit.settings.control;
  const live = () => wordsOf(control(), shownBy(holder.unit, holder.plant));
  const inputBits = () => control().modbus.live.find((l) => l.key === 'inputs')?.bits ?? [];

  function holding(register: number): number | null {
    const { modbus, parameters } = control();
    const p = parameters.find((x) => x.register === register);
    if (p !== undefined) {
      const { settings } = holder.unit;
      return isThere(settings, p) && p.concept !== 'lock.code'
        ? rawOf(p, settings.values[p.number] ?? 0)
        : p.concept === 'lock.code'
          ? 0
          : null;
    }
    const shown = live().get(register);
    if (shown !== undefined) return shown;
    const slot = register - modbus.history.register;
    if (slot >= 0 && slot < modbus.history.slots * 4)
      return wordsOfSlots(control(), holder.unit.history)[slot] ?? 0;
    if (register === modbus.control.register) return serialWord();
    if (register === modbus.control.reference)
      return Math.round(holder.plant.serial.reference_Hz * 10) & 0xffff;
    return null;
  }

  const serialBits = () => control().modbus.control.bits;
  const serialBit = (name: string | null): boolean => {
    const { serial } = holder.plant;
    return (
      (name === 'run' && serial.run) ||
      (name === 'reverse' && serial.reverse) ||
      (name === 'coast-release' && serial.coastRelease)
    );
  };
  const serialWord = (): number =>
    serialBits().reduce((word, name, i) => word | (serialBit(name) ? 1 << i : 0), 0);
  const setSerialBit = (name: string | null, on: boolean): void => {
    const { serial } = holder.plant;
    const changed = {
      ...serial,
      talks: true,
      ...(name === 'run'
        ? { run: on }
        : name === 'reverse'
          ? { reverse: on }
          : name === 'coast-release'
            ? { coastRelease: on }
            : {}),
    };
    holder.plant = { ...holder.plant, serial: changed };
  };

  function writeHolding(register: number, word: number): Exception | null {
    const { parameters, modbus } = control();
    const p = parameters.find((x) => x.register === register);
    if (p !== undefined) {
      const running = holder.unit.state === 'running' || holder.unit.state === 'stopping';
      const result = written(holder.unit.settings, p, valueOf(p, word), { running });
      if (typeof result === 'string') return asException[result];
      holder.unit = { ...holder.unit, settings: result };
      return null;
    }
    if (register === modbus.control.register) {
      serialBits().forEach((name, i) => setSerialBit(name, ((word >> i) & 1) === 1));
      return null;
    }
    if (register !== modbus.control.reference) return exceptions.illegalAddress;
    holder.plant = {
      ...holder.plant,
      serial: { ...holder.plant.serial, talks: true, reference_Hz: word / 10 },
    };
    return null;
  }

  return {
    holding,
    writeHolding,
    coil: (address) => (address < serialBits().length ? serialBit(serialBits()[address] ?? null) : null),
    writeCoil: (address, on) => {
      if (address >= serialBits().length) return exceptions.illegalAddress;
      setSerialBit(serialBits()[address] ?? null, on);
      return null;
    },
    discrete: (address) => {
      if (address >= inputBits().length) return null;
      const name = inputBits()[address] ?? null;
      return name !== null && shownBy(holder.unit, holder.plant).inputs?.[name] === true;
    },
    get identification() {
      return control().modbus.identification;
    },
  };
}
