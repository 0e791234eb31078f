// The job report: gathered, and as PDF.
export { loadReport } from './load';
export { reportPdf } from './pdf';
