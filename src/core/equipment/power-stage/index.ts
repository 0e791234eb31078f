// The power stage of a drive as a network, its faults, and what a diode-test meter shows on it.
export * from './vocabulary';
export { busLevelsOf, highestClass_V, probeVolts, type BusLevels } from './bus-levels';
export type { DeviceLaw, StageCase, StageConditions } from './network';
export {
  defaultAddedOhm,
  defaultLeakOhm,
  defaultShortOhm,
  isJunction,
  networkOf,
  nodesOf,
  peersOf,
  typicalDevices,
} from './network';
export type { Meter, Reading, Shown, Value } from './meter';
export { commonMeter, DidNotSettle, readings, shown } from './meter';
export type { PlannedProbe } from './probe-plan';
export { forwardPlan, fullPlan, probeKey, reversePlan } from './probe-plan';
