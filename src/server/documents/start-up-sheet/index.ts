// The start-up sheet of a job: gathered, as rows and as PDF.
export { loadStartUpSheet, releaseOfState, type PaperRow, type StartUpDocument } from './load';
