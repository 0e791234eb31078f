// Keypads as machines, and the fewest touches that key in a set.
export { padOf, thereWith, type Pad, type Press } from './pad';
export { keypadDisplay, pressed, type PadDrive, type PadState } from './machine';
export {
  afterKeys,
  heldFor,
  keyPlan,
  pressesFrom,
  pressRuns,
  pressWords,
  type KeyPlan,
  type KeyStep,
} from './plan';
