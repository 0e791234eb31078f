// Papers of a swap: labels, wire list, drilling template, calendar.
export { swapOfJob, swapOfState, wiredJob, identity } from './load';
export { labelSheets, labelsOf, labelsPdf, type LabelSheet } from './labels';
export { wireList, wireListPdf } from './wire-list';
export { drillingOf, drillingPdf, drillingRows } from './drilling';
export { stopCalendar } from './calendar';
