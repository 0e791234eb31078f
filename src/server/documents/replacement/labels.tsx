import { Document, Page, Path, Svg, Text, View, renderToBuffer } from '@react-pdf/renderer';
import QRCode from 'qrcode';
import { labelText, type RecordedWire } from '../../../core/replacement/wires';
import { face } from '../pdf-kit';

const mm = (n: number): number => (n * 72) / 25.4;

/** Label sheets as they are sold, by their grid; sizes in mm. */
export const labelSheets = {
  'a4-3x8': { paper: 'A4', columns: 3, rows: 8, width: 70, height: 37, left: 0, top: 0.5, gap: 0 },
  'a4-5x13': {
    paper: 'A4',
    columns: 5,
    rows: 13,
    width: 38.1,
    height: 21.2,
    left: 4.75,
    top: 10.7,
    gap: 2.5,
  },
  'letter-3x10': {
    paper: 'LETTER',
    columns: 3,
    rows: 10,
    width: 66.7,
    height: 25.4,
    left: 4.8,
    top: 12.7,
    gap: 3.1,
  },
} as const;
export type LabelSheet = keyof typeof labelSheets;

/** What stands on a label. */
export interface WireLabel {
  wire: RecordedWire;
  /** Terminal, or what becomes of it. */
  to: string;
  end: 'drive' | 'far';
}

function Code({ text, side }: { text: string; side: number }) {
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
    <Svg width={side} height={side} viewBox={`0 0 ${size} ${size}`}>
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
      <Code text={labelText(jobId, wire)} side={side} />
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

/** Two labels a wire, in the order of their numbers. */
export const labelsOf = (wires: readonly RecordedWire[], toOf: (wire: RecordedWire) => string): WireLabel[] =>
  [...wires]
    .sort((a, b) => a.number - b.number)
    .flatMap((wire) => (['drive', 'far'] as const).map((end) => ({ wire, to: toOf(wire), end })));

/** Labels of a job's wires on sheets of labels. */
export interface LabelsDocument {
  jobId: string;
  labels: readonly WireLabel[];
  sheet: LabelSheet;
  /** Used already on the first sheet. */
  skip: number;
}

export function labelsPdf({ jobId, labels, sheet, skip }: LabelsDocument): Promise<Buffer> {
  const { paper, columns, rows, width, height, left, top, gap } = labelSheets[sheet];
  const perPage = columns * rows;
  const places = [...Array.from({ length: skip % perPage }, () => null), ...labels];
  const pages = Array.from({ length: Math.max(1, Math.ceil(places.length / perPage)) }, (_, p) =>
    places.slice(p * perPage, (p + 1) * perPage),
  );
  return renderToBuffer(
    <Document title="Wire labels" creator="Grim Spanner">
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
    </Document>,
  );
}
