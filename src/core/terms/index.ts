// Terms and units of a person or a customer.
export { profileNames, supplyFrequencies_Hz, termsProfiles, type TermsProfile } from './profile';
export { inTerms, nodesInTerms } from './say';
export { quoted, remark } from './quoted';
export { firstUnit, splitQuantity, type TypedQuantity } from './read';
export {
  awgOf,
  kilowattsPerHorsepower,
  ratedPower,
  temperature,
  torque,
  writeQuantity,
  type Quantity,
} from './units';
