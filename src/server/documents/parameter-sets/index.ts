// A set and its keys on paper.
export { keyPaper, setPaper, type KeyPaper, type SetPaper } from './gather';
export { keyPdf, setPdf } from './pdf';
