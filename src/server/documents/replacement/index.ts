// Papers of a swap: labels, wire list, drilling template, calendar.
export { swapOfJob, swapOfState, wiredJob, identity } from './load';
export { labelSheets, labelsOf, type LabelSheet } from './labels';
export { wireHeads, wireList } from './wire-list';
export { drillingOf, drillingRows } from './drilling';
export { stopCalendar } from './calendar';
