import { Circle, Image as Photo, Line, Polyline, Svg, View } from '@react-pdf/renderer';
import { scaleLinear } from 'd3';
import type { Report, ReportCurve } from '../../../core/job/report';
import { IdentityLines, PdfDocument, PdfSection, PdfTable, s, tagged, Text, type PdfElement } from '../pdf';
import type { IllustratedReport, Picture } from './load';
import { pagesOf, type Piece } from './page-breaks';

const photoWidth = 158;

function Part({ part }: { part: Piece }) {
  return (
    <PdfSection title={part.title} level={3}>
      {part.lines.map((line, i) => (
        <Text key={i} style={{ marginBottom: 1.5 }}>
          {line}
        </Text>
      ))}
      {part.table !== null && (
        <PdfTable
          style={{ fontSize: 8.3, marginTop: 3 }}
          widths={part.widths}
          heads={part.table.heads}
          rows={part.table.rows}
        />
      )}
    </PdfSection>
  );
}

/** What a curve shows, for whoever does not see it. */
function inWords({ title, x, y, series }: ReportCurve): string {
  const ends = series.map(({ name, points }) => {
    const [first, last] = [points[0], points[points.length - 1]];
    if (first === undefined || last === undefined) return `${name}: no points`;
    const at = ([px, py]: readonly [number, number]) => `${py} ${y.unit} at ${px} ${x.unit}`;
    return `${name}: ${points.length} points from ${at(first)} to ${at(last)}`;
  });
  return `Chart: ${title}. ${y.label} over ${x.label}. ${ends.join('; ')}.`;
}

function Curve({ curve }: { curve: ReportCurve }) {
  const [width, height] = [320, 150];
  const inset = { left: 44, right: 10, top: 8, bottom: 30 };
  const points = curve.series.flatMap((x) => x.points);
  const most = (axis: 0 | 1): number => Math.max(1e-9, ...points.map((p) => p[axis]));
  const x = scaleLinear([0, most(0)], [inset.left, width - inset.right]).nice();
  const y = scaleLinear([0, most(1)], [height - inset.bottom, inset.top]).nice();
  return (
    <View wrap={false} style={{ marginTop: 6 }}>
      <Text style={{ fontWeight: 600 }}>{curve.title}</Text>
      <View style={{ position: 'relative', width, height }} {...tagged('Figure', { alt: inWords(curve) })}>
        <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
          {y.ticks(4).map((t) => (
            <Line
              key={t}
              x1={inset.left}
              x2={width - inset.right}
              y1={y(t)}
              y2={y(t)}
              stroke="#C9BFA8"
              strokeWidth={0.5}
            />
          ))}
          <Line
            x1={inset.left}
            x2={width - inset.right}
            y1={height - inset.bottom}
            y2={height - inset.bottom}
            stroke="#1A2326"
            strokeWidth={0.8}
          />
          {curve.series.map((line, i) => (
            <Polyline
              key={line.name}
              points={line.points.map((p) => `${x(p[0])},${y(p[1])}`).join(' ')}
              fill="none"
              stroke={i === 0 ? '#1A2326' : '#8A8F86'}
              strokeWidth={i === 0 ? 1.3 : 0.8}
              {...(i === 0 ? {} : { strokeDasharray: '3 2' })}
            />
          ))}
          {(curve.series[0]?.points ?? []).map((p, i) => (
            <Circle key={i} cx={x(p[0])} cy={y(p[1])} r={2} fill="#1A2326" />
          ))}
        </Svg>
        {x.ticks(5).map((t) => (
          <Text
            key={`x${t}`}
            style={{
              position: 'absolute',
              left: x(t) - 15,
              top: height - inset.bottom + 3,
              width: 30,
              textAlign: 'center',
              fontSize: 7,
            }}
          >
            {t}
          </Text>
        ))}
        {y.ticks(4).map((t) => (
          <Text
            key={`y${t}`}
            style={{
              position: 'absolute',
              left: 0,
              top: y(t) - 5,
              width: inset.left - 5,
              textAlign: 'right',
              fontSize: 7,
            }}
          >
            {t}
          </Text>
        ))}
        <Text style={{ position: 'absolute', right: inset.right, top: height - 13, fontSize: 7.5 }}>
          {`${curve.x.label}, ${curve.x.unit}; vertical: ${curve.y.label}, ${curve.y.unit}; solid line: ${curve.series[0]?.name ?? ''}`}
        </Text>
      </View>
    </View>
  );
}

function Signature({ signed }: { signed: Report['signed'] }) {
  if (signed === null) return <Text style={{ marginTop: 10 }}>Not signed.</Text>;
  return (
    <View style={{ marginTop: 10 }} wrap={false}>
      {signed.open.length > 0 && (
        <Text style={{ marginBottom: 3 }}>Taken on by both: {signed.open.join(' ')}</Text>
      )}
      <View style={{ flexDirection: 'row' }}>
        {signed.names.map((n) => (
          <View
            key={n.name}
            style={{
              width: '45%',
              marginRight: 20,
              borderTopWidth: 0.8,
              borderColor: '#1A2326',
              paddingTop: 2,
              marginTop: 22,
            }}
          >
            <Text style={{ fontWeight: 600 }}>{n.name}</Text>
            <Text style={{ color: '#556060' }}>
              {n.is}
              {n.is === '' ? '' : ', '}
              {signed.at}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

function ReportDocument({
  report,
  pictures,
  size,
}: {
  report: Report;
  pictures: readonly Picture[];
  size: 'a4' | 'letter';
}) {
  const pages = pagesOf(report.record);
  const more = [
    ...pages.map((parts, i) => (
      <View key={`p${i}`}>
        {i === 0 && (
          <Text is="H2" style={[s.title, { marginBottom: 0 }]}>
            For the record
          </Text>
        )}
        {parts.map((part) => (
          <Part key={part.id} part={part} />
        ))}
      </View>
    )),
    ...(report.curves.length === 0 && pictures.length === 0
      ? []
      : [
          <View key="pictures">
            {report.curves.length > 0 && (
              <PdfSection title="Curves">
                {report.curves.map((c) => (
                  <Curve key={c.title} curve={c} />
                ))}
              </PdfSection>
            )}
            {pictures.length > 0 && (
              <PdfSection title="Photographs">
                <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
                  {pictures.map((p, i) => (
                    <View key={i} wrap={false} style={{ width: photoWidth, marginRight: 8, marginBottom: 8 }}>
                      {p.jpeg === null ? (
                        <Text>This photograph is missing on the server.</Text>
                      ) : (
                        <Photo
                          {...tagged('Figure', { alt: `Photograph: ${p.caption}` })}
                          src={{ data: Buffer.from(p.jpeg), format: 'jpg' }}
                          style={{ width: photoWidth, height: 118, objectFit: 'contain' }}
                        />
                      )}
                      <Text style={{ fontSize: 8 }}>{p.caption}</Text>
                    </View>
                  ))}
                </View>
              </PdfSection>
            )}
          </View>,
        ]),
  ];
  return (
    <PdfDocument title={report.title} paper={size} more={more}>
      <IdentityLines lines={report.identity} />
      <View style={{ fontSize: 11.5, lineHeight: 1.45 }}>
        {report.customer.map((c) => (
          <View key={c.heading} style={{ marginTop: 12 }}>
            <Text is="H2" style={{ fontSize: 13.5, fontWeight: 600, marginBottom: 3 }}>
              {c.heading}
            </Text>
            {c.sentences.map((line, i) => (
              <Text key={i} style={{ marginBottom: 2 }}>
                {line}
              </Text>
            ))}
          </View>
        ))}
      </View>
      <Signature signed={report.signed} />
    </PdfDocument>
  );
}

export const reportPdf = ({ report, pictures }: IllustratedReport, size: 'a4' | 'letter'): PdfElement => (
  <ReportDocument report={report} pictures={pictures} size={size} />
);
