import { IdentityLines, PdfDocument, PdfRow, PdfSection, Text, type PdfElement } from '../pdf-kit';
import type { WireListDocument } from './wire-list';

const widths = [6, 11, 12, 12, 11, 11, 27, 10];

export const wireListPdf = (paper: WireListDocument, size: 'a4' | 'letter'): PdfElement => (
  <PdfDocument title={paper.title} paper={size}>
    <IdentityLines lines={paper.identity} />
    <PdfSection title="Wires">
      <PdfRow
        widths={widths}
        cells={['No.', 'Drawing', 'Ferrule', 'Colour', 'Old', 'New', 'Function', 'Ends']}
      />
      {paper.rows.map((r) => (
        <PdfRow
          key={r.number}
          widths={widths}
          cells={[
            String(r.number),
            r.drawing,
            r.ferrule,
            r.colour,
            r.from,
            r.to,
            r.is,
            r.ticked === '' ? '[  ] [  ]' : r.ticked,
          ]}
        />
      ))}
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
        {paper.issues.map((m, i) => (
          <Text key={i}>– {m}</Text>
        ))}
      </PdfSection>
    )}
  </PdfDocument>
);
