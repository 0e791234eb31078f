// The first power-up plan: gathered.
export { loadFirstPowerPlan, type FirstPowerDocument } from './load';
