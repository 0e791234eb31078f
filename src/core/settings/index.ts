// What to enter on a drive, and why.
export { differing, sheetAgainst, wantedOf, type Typed } from './against';
export { loadKinds, type Choices, type LoadKind } from './rule';
export { factoryValues, startUpSheet, type SheetRow, type StartUp, type StartUpSheet } from './sheet';
