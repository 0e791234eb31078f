// Scope captures: read, made even, thinned, written.
export * from './capture';
export { readCff, writeCff } from './cff';
export { readComtrade, readConfiguration, writeComtrade, type Configuration } from './comtrade';
export { captureCsv, captureOf, columnsOf, guessLayout, type Columns, type Layout } from './csv';
export { clippedShare, evenCapture, isClipped, type RawChannel } from './even';
export { decoded } from './text';
export { shortened, thinned } from './thin';
