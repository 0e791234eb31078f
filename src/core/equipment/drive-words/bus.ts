import type { Control, Parameter } from '../catalogue';

/** What a type says over its bus. */
export type Bus = NonNullable<Control['modbus']>;
/** A parameter that can be asked for over the bus. */
export type BusParameter = Parameter & { register: number };

/** What a type says over its bus. @throws Error where that is not known: the link asks before it opens */
export function busOf({ modbus }: Pick<Control, 'modbus'>): Bus {
  if (modbus === null) throw new Error('the registers of this type are not known');
  return modbus;
}

const isOnBus = (p: Parameter): p is BusParameter => p.register !== undefined;

/** The parameters whose register is known. */
export const onBus = (parameters: readonly Parameter[]): BusParameter[] => parameters.filter(isOnBus);

/** Where a parameter is on the bus. @throws Error where that is not known */
export function registerOf({ number, register }: Pick<Parameter, 'number' | 'register'>): number {
  if (register === undefined) throw new Error(`the register of ${number} is not known`);
  return register;
}
