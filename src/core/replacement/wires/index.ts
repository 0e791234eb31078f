// The wires of a unit: where each goes on another one.
export {
  contacts,
  roles,
  terminalsOf,
  type Contact,
  type Role,
  type Terminal,
  type WiredUnit,
} from './terminals';
export {
  mostControlVolts,
  roleWords,
  type EntryChange,
  type Jumpers,
  type Wire,
  type WireFate,
} from './wire';
export { wireMap, type WireMap } from './wire-map';
export { assign } from './assign';
export type { MapNote } from './notes';
export {
  endOf,
  isOpen,
  labelFrom,
  labelText,
  unticked,
  wireEnds,
  wireMatters,
  type LedgerWire,
  type WireEnd,
  type WireMatter,
} from './ledger';
