/** The other half of pdf.js, which has no types of its own: it is handed over as it is. */
declare module 'pdfjs-dist/legacy/build/pdf.worker.mjs' {
  export const WorkerMessageHandler: unknown;
}
