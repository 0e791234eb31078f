// The job report: gathered, and as PDF.
export { reportOfJob } from './gather';
export { reportPdf } from './pdf';
