import { IdentityLines, PdfDocument, PdfList, PdfSection, PdfTable, Text, type PdfElement } from '../pdf';
import type { FirstPowerDocument } from './load';

const sumWidths = [18, 24, 58];
const curveWidths = [20, 20, 25, 35];

export const firstPowerPdf = (paper: FirstPowerDocument, size: 'a4' | 'letter'): PdfElement => (
  <PdfDocument title={paper.title} paper={size}>
    <IdentityLines lines={paper.identity} />
    <PdfSection title="Before">
      <Text>
        The static test was signed as not shorted. Covers on, nobody near, one hand on the isolator. Local
        codes and licensed practice take precedence over this page.
      </Text>
      <Text>
        Live terminals only with differential probes rated for the bus, or a battery scope with isolated
        inputs: an earthed clip on a power terminal shorts the rectifier to earth. Never lift the earth of a
        scope.
      </Text>
    </PdfSection>
    <PdfSection title="Set-up">
      <Text style={{ fontWeight: 600 }}>{paper.setUp}</Text>
      <PdfTable
        widths={sumWidths}
        heads={['Quantity', 'Value', 'Calculation']}
        rows={paper.sums.map((x) => [x.what, x.value, x.sum])}
      />
    </PdfSection>
    <PdfSection title="Switch off at once when">
      <PdfList items={paper.stops} />
    </PdfSection>
    <PdfSection title="The bus while it comes up">
      <PdfTable
        widths={curveWidths}
        heads={['After, s', 'Bus, V', 'Each line, A', 'Measured, V']}
        rows={paper.expected.map((p) => [String(p.at_s), String(p.volts), String(p.line_A), ''])}
      />
    </PdfSection>
    {paper.measured.length > 0 && (
      <PdfSection title="Measured">
        {paper.measured.map((p, k) => (
          <Text key={k}>
            {p.volts} V after {p.at_s} s
          </Text>
        ))}
      </PdfSection>
    )}
    <PdfSection title="Afterwards">
      <Text>
        Switch off, prove dead again, refit covers. Only then lamps as a load, and only then the motor.
      </Text>
    </PdfSection>
  </PdfDocument>
);
