// What to enter on a drive, and why.
export { differing, sheetAgainst, wantedOf, type Against, type Typed } from './against';
export { isLifting, loadKinds, usualChoices, type Choices, type LoadKind } from './rule';
export { startUpSheet, type SheetRow, type StartUp, type StartUpSheet } from './sheet';
