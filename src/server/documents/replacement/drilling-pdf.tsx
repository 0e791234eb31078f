import { Circle, Document, G, Line, Page, Rect, Svg, View } from '@react-pdf/renderer';
import type { Template } from '../../../core/replacement/replacement';
import { face, tagged, Text, type PdfElement } from '../pdf';
import type { DrillingDocument } from './drilling';

const mm = (n: number): number => (n * 72) / 25.4;
const edge_mm = 12;

function Cross({ x, y, size }: { x: number; y: number; size: number }) {
  return (
    <G>
      <Line x1={x - size} y1={y} x2={x + size} y2={y} stroke="#000000" strokeWidth={0.18} />
      <Line x1={x} y1={y - size} x2={x} y2={y + size} stroke="#000000" strokeWidth={0.18} />
    </G>
  );
}

/** What the drawing shows, for whoever does not see it. */
const inWords = ({ size }: DrillingDocument, { holes, oldHoles }: Template): string =>
  `Outline of the unit, ${size.width_mm} × ${size.height_mm} mm, at one to one, with ${holes.length} holes to drill at ${holes
    .map((h) => `${h.x_mm} / ${h.y_mm}`)
    .join(', ')} mm from its upper left corner; ${oldHoles.length} holes of the old unit.`;

/** To be measured on the print. */
const Ruler = () => (
  <Svg width={mm(110)} height={mm(8)} viewBox="0 0 110 8" {...tagged('Figure', { alt: 'A ruler of 100 mm' })}>
    <Line x1={1} y1={4} x2={101} y2={4} stroke="#000000" strokeWidth={0.4} />
    {Array.from({ length: 11 }, (_, i) => (
      <Line
        key={i}
        x1={1 + i * 10}
        y1={i % 5 === 0 ? 0.5 : 2}
        x2={1 + i * 10}
        y2={4}
        stroke="#000000"
        strokeWidth={0.4}
      />
    ))}
  </Svg>
);

/** One page: its part of the drawing at one to one, marks where the pages overlap, and a ruler to measure the print. */
function TilePage({
  paper,
  template,
  tile,
  of,
  size,
}: {
  paper: DrillingDocument;
  template: Template;
  tile: Template['tiles'][number];
  of: number;
  size: 'a4' | 'letter';
}) {
  const { page_mm, origin, overlap_mm } = template;
  const { width, height } = page_mm;
  const rows = Math.max(...template.tiles.map((t) => t.row)) + 1;
  const columns = Math.max(...template.tiles.map((t) => t.column)) + 1;
  const at = (x: number, y: number): [number, number] => [x - tile.x_mm, y - tile.y_mm];
  const [left, top] = at(...origin);
  const r = (paper.hole_mm ?? 5) / 2;
  const number = template.tiles.indexOf(tile) + 1;
  return (
    <Page
      size={size === 'a4' ? 'A4' : 'LETTER'}
      style={{ padding: mm(edge_mm), fontFamily: face, fontSize: 9 }}
    >
      <Svg
        width={mm(width)}
        height={mm(height)}
        viewBox={`0 0 ${width} ${height}`}
        {...tagged('Figure', { alt: inWords(paper, template) })}
      >
        <Rect
          x={left}
          y={top}
          width={paper.size.width_mm}
          height={paper.size.height_mm}
          fill="none"
          stroke="#000000"
          strokeWidth={0.35}
        />
        <Line
          x1={left + paper.size.width_mm / 2}
          y1={0}
          x2={left + paper.size.width_mm / 2}
          y2={height}
          stroke="#888888"
          strokeWidth={0.15}
          strokeDasharray="4 1.5 0.8 1.5"
        />
        <Line
          x1={0}
          y1={top + paper.size.height_mm / 2}
          x2={width}
          y2={top + paper.size.height_mm / 2}
          stroke="#888888"
          strokeWidth={0.15}
          strokeDasharray="4 1.5 0.8 1.5"
        />
        {template.oldHoles.map(([ox, oy], i) => {
          const [x, y] = at(ox, oy);
          return (
            <Circle
              key={`old ${i}`}
              cx={x}
              cy={y}
              r={3}
              fill="none"
              stroke="#777777"
              strokeWidth={0.3}
              strokeDasharray="1 1"
            />
          );
        })}
        {template.holes.map((h, i) => {
          const [x, y] = at(...h.drawn);
          return (
            <G key={i}>
              <Circle cx={x} cy={y} r={r} fill="none" stroke="#000000" strokeWidth={0.35} />
              <Cross x={x} y={y} size={r + 4} />
            </G>
          );
        })}
        {(['left', 'right', 'top', 'bottom'] as const).map((side) => {
          const has =
            side === 'left'
              ? tile.column > 0
              : side === 'right'
                ? tile.column < columns - 1
                : side === 'top'
                  ? tile.row > 0
                  : tile.row < rows - 1;
          if (!has) return null;
          // In the middle of the overlap: both pages carry the same marks there.
          const across = side === 'left' || side === 'right';
          const line =
            side === 'left' || side === 'top' ? overlap_mm / 2 : (across ? width : height) - overlap_mm / 2;
          return [0.15, 0.5, 0.85].map((share) => (
            <Cross
              key={`${side} ${share}`}
              x={across ? line : width * share}
              y={across ? height * share : line}
              size={3.5}
            />
          ));
        })}
      </Svg>
      {template.holes.map((h, i) => {
        const [x, y] = at(...h.drawn);
        if (x < 0 || y < 0 || x > width || y > height) return null;
        // Towards the middle of the unit, clear of its outline.
        const right = h.x_mm > paper.size.width_mm / 2;
        return (
          <Text
            key={`t ${i}`}
            style={{
              position: 'absolute',
              left: mm(edge_mm + x + (right ? -(r + 45) : r + 5)),
              top: mm(edge_mm + y + 1.5),
              width: mm(40),
              textAlign: right ? 'right' : 'left',
              fontSize: 8,
            }}
          >
            {`${i + 1}: ${h.x_mm} / ${h.y_mm}${h.old ? ', existing' : ''}`}
          </Text>
        );
      })}
      <View style={{ marginTop: mm(3) }}>
        <Ruler />
        <Text style={{ fontSize: 8.5 }}>
          {`This line must measure 100 mm: print at 100 %, do not fit to page. ${paper.title}, page ${number} of ${of}${of > 1 ? `, row ${tile.row + 1} column ${tile.column + 1}: align the crosses` : ''}.`}
        </Text>
        <Text style={{ fontSize: 8.5 }}>
          {`Holes in mm from the upper left corner of the unit, right / down${paper.hole_mm === null ? '' : `, for M${paper.hole_mm}`}. Dashed rings: holes of the old unit. Keep ${paper.size.clearance_mm} mm free above and below. Never drill through the unit, and keep chips out of drives.`}
        </Text>
      </View>
    </Page>
  );
}

export const drillingPdf = (paper: DrillingDocument, size: 'a4' | 'letter'): PdfElement => {
  const template = paper.templates[size];
  return (
    <Document title={paper.title}>
      {template.tiles.map((tile) => (
        <TilePage
          key={`${tile.row} ${tile.column}`}
          paper={paper}
          template={template}
          tile={tile}
          of={template.tiles.length}
          size={size}
        />
      ))}
    </Document>
  );
};
