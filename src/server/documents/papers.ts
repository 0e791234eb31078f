import type { TermsProfile } from '../../core/terms';
import { firstPowerPdf } from './first-power/pdf';
import { keyPdf, setPdf } from './parameter-sets/pdf';
import { drillingPdf } from './replacement/drilling-pdf';
import { labelsPdf } from './replacement/labels-pdf';
import { wireListPdf } from './replacement/wire-list-pdf';
import { renderPaper, type PdfElement } from './pdf-kit';
import { reportPdf } from './report/pdf';
import { startUpPdf } from './start-up-sheet/pdf';
import { sheetPdf } from './static-sheet/pdf';

/** Every paper that is printed, by the name of its file. What goes in is plain data: it comes from another thread. */
export const papers = {
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

export type PaperName = keyof typeof papers;
export type PaperSize = 'a4' | 'letter';
/** How a paper is printed: its size, and the customer's terms and units. */
export interface PrintForm {
  size: PaperSize;
  terms: TermsProfile;
}
/** What a paper is made of. */
export type PaperContent<Name extends PaperName> = Parameters<(typeof papers)[Name]>[0];

/** One paper, as it is sent to the thread that prints. */
export type PaperOrder = {
  [Name in PaperName]: { paper: Name; content: PaperContent<Name>; form: PrintForm };
}[PaperName];

/** Prints an order. */
export function printOrder({ paper, content, form }: PaperOrder): Promise<Buffer> {
  // The order's content is of its paper; the compiler cannot follow that through the table.
  const draw = papers[paper] as (content: PaperOrder['content'], size: PaperSize) => PdfElement;
  return renderPaper(draw(content, form.size), form.terms);
}
