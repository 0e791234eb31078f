/** pdf.js in a worker of ours: it gets its other half, so that it starts no further worker. */
export async function pdfLibrary() {
  const [library, handler] = await Promise.all([
    import('pdfjs-dist/legacy/build/pdf.mjs'),
    import('pdfjs-dist/legacy/build/pdf.worker.mjs'),
  ]);
  Object.assign(globalThis, { pdfjsWorker: handler });
  return library;
}
