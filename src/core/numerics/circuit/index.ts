// DC operating points of small networks: resistors, sources, diodes and a diode-test meter.
export type { Diode, Element, MeterLaw, Resistor, VoltageSource } from './elements';
export { saturationAt, thermalVolts } from './elements';
export type { Changes, Network } from './network';
export { withChanges, compile } from './network';
export type { OperatingPoint } from './operating-point';
export { influence, operatingPoint } from './operating-point';
