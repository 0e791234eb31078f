// What to enter on a drive, and why.
export { differing, sheetAgainst, wantedOf, type Typed } from './against';
export { loadKinds, usualChoices, type Choices, type LoadKind } from './rule';
export { startUpSheet, type SheetRow, type StartUp, type StartUpSheet } from './sheet';
