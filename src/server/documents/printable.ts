import { firstPowerPdf } from './first-power/pdf';
import { keyPdf, setPdf } from './parameter-sets/pdf';
import { drillingPdf } from './replacement/drilling-pdf';
import { labelsPdf } from './replacement/labels-pdf';
import { wireListPdf } from './replacement/wire-list-pdf';
import { renderDocument, type PdfElement, type Wording } from './pdf';
import { reportPdf } from './report/pdf';
import { startUpPdf } from './start-up-sheet/pdf';
import { sheetPdf } from './static-sheet/pdf';

/** Every document that is printed, by the name of its file. What goes in is plain data: it comes from another thread. */
export const printable = {
  drilling: drillingPdf,
  'first-power': firstPowerPdf,
  keys: keyPdf,
  'parameter-set': setPdf,
  report: reportPdf,
  'start-up': startUpPdf,
  'static-test': sheetPdf,
  'wire-labels': labelsPdf,
  wires: wireListPdf,
};

export type DocumentName = keyof typeof printable;
export type PaperSize = 'a4' | 'letter';
/** How a document is printed: its size, the customer's terms and units, and which state of the log it is of. */
export interface PrintForm extends Wording {
  size: PaperSize;
}
/** What a document is made of. */
export type DocumentContent<Name extends DocumentName> = Parameters<(typeof printable)[Name]>[0];

/** One document, as it is sent to the thread that prints. */
export type PrintOrder = {
  [Name in DocumentName]: { name: Name; content: DocumentContent<Name>; form: PrintForm };
}[DocumentName];

/** Prints an order. */
export function printOrder({ name, content, form }: PrintOrder): Promise<Buffer> {
  // The order's content is of its document; the compiler cannot follow that through the table.
  const draw = printable[name] as (content: PrintOrder['content'], size: PaperSize) => PdfElement;
  return renderDocument(draw(content, form.size), form);
}
