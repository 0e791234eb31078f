// The start-up sheet of a job: gathered, as rows and as PDF.
export { startUpOfJob, type PaperRow, type StartUpPaper } from './paper';
export { startUpPdf } from './pdf';
