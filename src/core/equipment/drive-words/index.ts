// Words of a drive to values and back, under its type.
export {
  defaultOf,
  isCommand,
  limitsOf,
  fitsWord,
  meaningOf,
  outdatesIdentification,
  parameterAt,
  parameterFor,
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
export { liveOf, wordsOf, type Live } from './live';
export { displayDoubt } from './plausible';
export { historyRegisters, slotsOf, wordsOfSlots, type Slot } from './history';
export { bitsFrom, bitsOfTerminals, wayRound, type WayRound } from './bits';
