// Words of a drive to values and back, under its type.
export {
  boundsText,
  defaultOf,
  factoryValues,
  isCommand,
  limitsOf,
  fitsWord,
  meaningOf,
  outdatesIdentification,
  parameterAt,
  parameterFor,
  rangeText,
  rawOf,
  shownAs,
  textOfWords,
  valueFault,
  valueOf,
  valuesAfter,
  wordsOfText,
  type Rating,
  type Values,
} from './parameters';
export { busOf, onBus, registerOf, type Bus, type BusParameter } from './bus';
export { liveOf, wordsOf, type Live } from './live';
export { displayDoubt } from './plausible';
export { historyRegisters, slotsOf, wordsOfSlots, type Slot } from './history';
export { bitsFrom, bitsOfTerminals, wayRound, type WayRound } from './bits';
