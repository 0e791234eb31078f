// Which fault gives what was measured: simulated faults of this unit, compared.
export { causesFor, type Cause, type CauseFamily } from './causes';
export { diagnoseWave, type Difference, type Found, type WaveDiagnosis } from './diagnose';
export type { Measured } from './fit';
export { figureUnit, figureWords, judgedKeys } from './figure-keys';
export { alignment, doubtsAbout, measuredIn } from './captured';
