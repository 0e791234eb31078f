// What to enter on a drive, and why.
export { differing, sheetAgainst, wantedOf, type Against, type TypedValues } from './against';
export { startUpSheet, type SheetRow, type StartUp, type StartUpSheet } from './sheet';
