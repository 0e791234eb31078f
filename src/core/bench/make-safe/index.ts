// Making a drive safe: energy sources, the points of the dead proof, and the limits.
export {
  sourceKinds,
  sourceStates,
  sourceWords,
  unsafeSources,
  type EnergySource,
  type SourceKind,
  type SourceState,
} from './sources';
export {
  againAfter_s,
  againId,
  isFormerStep,
  pointWords,
  proofPlaces,
  proofPoints,
  proofSteps,
  quantities,
  quantitiesAt,
  stepKey,
  type ProofPlace,
  type ProofPoint,
  type ProofStep,
  type Quantity,
} from './points';
export {
  absence_s,
  alive_Vac,
  greatestLimits,
  leastKnown_V,
  together_V,
  unknownWait_min,
  type Limits,
} from './limits';
