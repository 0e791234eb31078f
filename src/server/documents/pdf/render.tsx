import layoutDocument from '@react-pdf/layout';
import renderPages from '@react-pdf/render';
import { Font, pdf as mount, type DocumentProps } from '@react-pdf/renderer';
import PDFDocument from 'pdfkit';
import type { ReactElement } from 'react';
import type { TermsProfile } from '../../../core/terms';
import { openFonts } from './fonts';
import { Print, type Printing } from './kit';
import { withStructure, type LaidOut } from './tags';

/** A document before it is printed. */
export type PdfElement = ReactElement<DocumentProps>;

/** How it is printed. */
export interface Wording {
  terms: TermsProfile;
  /** The hash of the newest entry of the job's log: what the document was made of. */
  headHash: string | null;
}

interface LaidOutDocument {
  props?: DocumentProps;
  children: LaidOut[];
}

/** The renderer's own layout, whose types leave out the fonts that it takes. */
const layOut = layoutDocument as unknown as (root: unknown, fonts: typeof Font) => Promise<LaidOutDocument>;

async function laidOut(document: PdfElement, printing: Printing): Promise<LaidOutDocument> {
  // The provider draws nothing: the document stays the root.
  const mounted = mount((<Print.Provider value={printing}>{document}</Print.Provider>) as PdfElement);
  return layOut((mounted.container as { document: unknown }).document, Font);
}

const bytesOf = (pdf: PDFKit.PDFDocument): Promise<Buffer> =>
  new Promise((done, failed) => {
    const parts: Buffer[] = [];
    pdf.on('data', (part: Buffer) => parts.push(part));
    pdf.on('end', () => done(Buffer.concat(parts)));
    pdf.on('error', failed);
  });

/**
 * Prints a document: tagged, in a customer's terms and units, with all its fonts inside. Letters that no font has stand as
 * their Unicode numbers, and the document says so.
 */
export async function renderDocument(document: PdfElement, { terms, headHash }: Wording): Promise<Buffer> {
  const hasLetter = await openFonts();
  const missing = new Set<string>();
  let laid = await laidOut(document, { terms, hasLetter, missing, told: [] });
  // Which ones are missing is known when all is laid out: rare enough to do it twice.
  if (missing.size > 0) laid = await laidOut(document, { terms, hasLetter, missing, told: [...missing] });
  const { title = 'Grim Spanner' } = laid.props ?? {};
  const options = {
    // What marks it as PDF/UA-1; the types of the package do not know it yet.
    subset: 'PDF/UA' as never,
    pdfVersion: '1.7' as const,
    tagged: true,
    lang: terms === 'us' ? 'en-US' : 'en-GB',
    displayTitle: true,
    autoFirstPage: false,
    info: {
      Title: title,
      Creator: 'Grim Spanner',
      ...(headHash === null ? {} : { Keywords: `log head ${headHash}` }),
    },
  };
  const pdf = new PDFDocument(options);
  const bytes = bytesOf(pdf);
  const pages = { ...laid, children: withStructure(laid.children, pdf) };
  renderPages(pdf as never, pages as never);
  return bytes;
}
