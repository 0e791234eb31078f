// The wires of a unit: where each goes on another one.
export {
  contacts,
  noSuchTerminal,
  roles,
  terminalMarks,
  unitTerminals,
  type Contact,
  type WireRole,
  type UnitTerminal,
  type WiredUnit,
} from './terminals';
export {
  mostControlVolts,
  wireRoleWords,
  type EntryChange,
  type Jumpers,
  type Wire,
  type WirePlacement,
} from './wire';
export { wireMap, type WireMap } from './wire-map';
export { assign } from './assign';
export type { MapNote } from './notes';
export {
  endOf,
  isOpen,
  labelFrom,
  lacksSafeReturn,
  safeReturnWords,
  labelText,
  unticked,
  wireEnds,
  wireIssues,
  type RecordedWire,
  type WireEnd,
  type WireIssue,
} from './recorded-wire';
