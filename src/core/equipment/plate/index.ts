// Motor plates: what follows from the figures and whether they can be true together.
export type { Finding, Plate, PlateSums, Power, FindingSeverity } from './plate';
export { kilowatts, plateSums, polesFrom, ratedTorque } from './plate';
export { fittingReadings, type PlateReading } from './fitting';
