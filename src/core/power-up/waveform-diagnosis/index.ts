// Which fault gives what was measured: simulated faults of this unit, compared.
export { causesFor, type WaveformCause, type CauseFamily } from './causes';
export { diagnoseWave, type FigureDifference, type RankedCause, type WaveDiagnosis } from './diagnose';
export type { Measured } from './fit';
export { figureUnit, figureWords, judgedKeys } from './figure-keys';
export { alignment, doubtsAbout, measuredIn } from './captured';
export {
  outputPairs,
  pairsCompared,
  pairShapes,
  shapeOverTime,
  shapesTogether,
  type OutputPair,
  type PairShape,
} from './pair-shapes';
