import { Document, Page, Path, Svg, View } from '@react-pdf/renderer';
import QRCode from 'qrcode';
import { labelText } from '../../../core/replacement/wires';
import { face, tagged, Text, type PdfElement } from '../pdf';
import { labelSheets, type LabelsDocument, type WireLabel } from './labels';

const mm = (n: number): number => (n * 72) / 25.4;

function Code({ text, side, of }: { text: string; side: number; of: string }) {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const size = modules.size;
  // One path for all dark runs: a hundred labels of single squares take a renderer many seconds.
  const runs: string[] = [];
  for (let y = 0; y < size; y += 1)
    for (let x = 0; x < size; x += 1) {
      if (modules.get(y, x) === 0) continue;
      const from = x;
      while (x + 1 < size && modules.get(y, x + 1) !== 0) x += 1;
      runs.push(`M${from} ${y}h${x + 1 - from}v1h${from - x - 1}z`);
    }
  return (
    <Svg
      width={side}
      height={side}
      viewBox={`0 0 ${size} ${size}`}
      {...tagged('Figure', { alt: `QR code of ${of}` })}
    >
      <Path d={runs.join('')} fill="#000000" />
    </Svg>
  );
}

function OneLabel({
  label: { wire, to, end },
  jobId,
  height,
}: {
  label: WireLabel;
  jobId: string;
  height: number;
}) {
  const small = height < 30;
  const side = mm(height) - mm(small ? 5 : 9);
  return (
    <View style={{ flexDirection: 'row', padding: mm(small ? 2 : 4), alignItems: 'center' }}>
      <Code text={labelText(jobId, wire)} side={side} of={`wire ${wire.number}`} />
      <View style={{ flex: 1, marginLeft: mm(2) }}>
        <Text style={{ fontFamily: face, fontWeight: 600, fontSize: small ? 13 : 20, lineHeight: 1.1 }}>
          {wire.number}
          {wire.ferrule === '' ? '' : `  ${wire.ferrule}`}
        </Text>
        <Text style={{ fontFamily: face, fontSize: small ? 7.5 : 11 }}>
          {wire.from ?? 'loose'} to {to}
        </Text>
        {wire.drawing !== '' && (
          <Text style={{ fontFamily: face, fontSize: small ? 6.5 : 9 }}>{wire.drawing}</Text>
        )}
        {!small && (
          <Text style={{ fontFamily: face, fontSize: 8 }}>{end === 'drive' ? 'drive end' : 'far end'}</Text>
        )}
      </View>
    </View>
  );
}

export function labelsPdf({ jobId, labels, sheet, skip }: LabelsDocument): PdfElement {
  const { paper, columns, rows, width, height, left, top, gap } = labelSheets[sheet];
  const perPage = columns * rows;
  const places = [...Array.from({ length: skip % perPage }, () => null), ...labels];
  const pages = Array.from({ length: Math.max(1, Math.ceil(places.length / perPage)) }, (_, p) =>
    places.slice(p * perPage, (p + 1) * perPage),
  );
  return (
    <Document title="Wire labels">
      {pages.map((page, p) => (
        <Page key={p} size={paper}>
          {page.map((label, i) =>
            label === null ? null : (
              <View
                key={i}
                style={{
                  position: 'absolute',
                  left: mm(left + (i % columns) * (width + gap)),
                  top: mm(top + Math.floor(i / columns) * height),
                  width: mm(width),
                  height: mm(height),
                  overflow: 'hidden',
                }}
              >
                <OneLabel label={label} jobId={jobId} height={height} />
              </View>
            ),
          )}
        </Page>
      ))}
    </Document>
  );
}
