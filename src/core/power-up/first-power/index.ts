// First power after a repair, from the gates to a unit that runs under load.
export { chargeOf, type Charge, type ChargeCase, type ChargePoint } from './charge';
export { gateNames, judgeGates, type GateCheck, type GateVerdict } from './gates';
export { ampsAtVolts, coldOhm, hotOhm, lookOf, ohmAtAmps, ohmAtVolts, type LampRating } from './lamp';
export { judgeLamps, type LampJudgement, type LampReading } from './judge-lamps';
export { lampsAt, lampsPerLeg, type LampExpectation, type LampLoad } from './lamp-load';
export {
  fedDrive,
  firstPowerUnit,
  lampsPerLine,
  lampVolts,
  lampWatts,
  planFirstPower,
  type FirstPowerPlan,
  type FirstPowerUnit,
  type Way,
} from './plan';
export { expectedHz, judgeSweep, type Sweep, type SweepRow } from './sweep';
