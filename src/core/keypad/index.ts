// Keypads as machines, and the fewest touches that key in a set.
export { padOf, thereWith, tick_s, type Pad, type Press } from './pad';
export { display, pressed, type PadDrive, type PadState } from './machine';
export { afterKeys, keyPlan, pressWords, type KeyPlan, type KeyStep } from './plan';
