import { View } from '@react-pdf/renderer';
import {
  IdentityLines,
  PdfDocument,
  PdfList,
  PdfSection,
  PdfTable,
  Text,
  utcTime,
  type PdfElement,
} from '../pdf';
import type { StartUpDocument } from './load';

const widths = [9, 21, 15, 14, 13, 28];

function StartUpDocument({ sheet, paper }: { sheet: StartUpDocument; paper: 'a4' | 'letter' }) {
  return (
    <PdfDocument title={sheet.title} paper={paper}>
      <IdentityLines lines={sheet.identity} />
      {sheet.findings.length > 0 && (
        <PdfSection title="To check">
          <PdfList items={sheet.findings} />
        </PdfSection>
      )}
      <PdfSection title="Parameters">
        <PdfTable
          widths={widths}
          heads={['Parameter', 'Name', 'Value', 'In the drive', 'State', 'Calculation']}
          rows={sheet.rows.map((r) => [
            r.number,
            r.name,
            r.value,
            r.in_drive,
            r.state,
            <View key="sum">
              <Text>{r.reason === '' ? r.sum : `${r.reason}; the rule: ${r.sum}`}</Text>
              {r.warnings !== '' && <Text style={{ fontSize: 8 }}>{r.warnings}</Text>}
            </View>,
          ])}
        />
      </PdfSection>
      {sheet.motorTests.length > 0 && (
        <PdfSection title="Motor and cable">
          {sheet.motorTests.map((t, i) => (
            <Text key={i}>{t}</Text>
          ))}
        </PdfSection>
      )}
      {sheet.run.length > 0 && (
        <PdfSection title="Commissioning run">
          {sheet.run.map((t) => (
            <Text key={t}>{t}</Text>
          ))}
        </PdfSection>
      )}
      {sheet.against.length > 0 && (
        <PdfSection title="Open issues">
          <PdfList items={sheet.against} />
        </PdfSection>
      )}
      {sheet.mayRun !== null && (
        <PdfSection title={`May run until ${sheet.mayRun.until}, with`}>
          <PdfList items={sheet.mayRun.open} />
          <Text>Agreed with {sheet.mayRun.approver}, as the signer states.</Text>
        </PdfSection>
      )}
      <PdfSection title="Signed">
        <Text>
          {sheet.signature === null
            ? 'Not signed.'
            : `${sheet.signature.name}, ${utcTime(sheet.signature.at)}.`}{' '}
          {sheet.readBack ? 'Read back from the drive.' : 'Entered by hand, not read back.'}
        </Text>
      </PdfSection>
    </PdfDocument>
  );
}

/** The start-up sheet on paper. */
export const startUpPdf = (sheet: StartUpDocument, paper: 'a4' | 'letter'): PdfElement => (
  <StartUpDocument sheet={sheet} paper={paper} />
);
