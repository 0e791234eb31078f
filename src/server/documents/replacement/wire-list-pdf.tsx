import { IdentityLines, PdfDocument, PdfList, PdfSection, PdfTable, Text, type PdfElement } from '../pdf';
import type { WireListDocument } from './wire-list';

const widths = [6, 11, 12, 12, 11, 11, 27, 10];

export const wireListPdf = (paper: WireListDocument, size: 'a4' | 'letter'): PdfElement => (
  <PdfDocument title={paper.title} paper={size}>
    <IdentityLines lines={paper.identity} />
    <PdfSection title="Wires">
      <PdfTable
        widths={widths}
        heads={['No.', 'Drawing', 'Ferrule', 'Colour', 'Old', 'New', 'Function', 'Ends']}
        rows={paper.rows.map((r) => [
          String(r.number),
          r.drawing,
          r.ferrule,
          r.colour,
          r.from,
          r.to,
          r.is,
          r.ticked === '' ? '[  ] [  ]' : r.ticked,
        ])}
      />
    </PdfSection>
    {paper.jumpers.length > 0 && (
      <PdfSection title="Factory jumpers">
        {paper.jumpers.map((j) => (
          <Text key={j}>{j}</Text>
        ))}
      </PdfSection>
    )}
    {paper.issues.length > 0 && (
      <PdfSection title="To settle">
        <PdfList items={paper.issues} />
      </PdfSection>
    )}
  </PdfDocument>
);
