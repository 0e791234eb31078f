import { Document, Page, StyleSheet, Text as PlainText, View, type TextProps } from '@react-pdf/renderer';
import { Children, createContext, useContext, type PropsWithChildren, type ReactNode } from 'react';
import { nodesInTerms, type TermsProfile } from '../../../core/terms';
import { face } from './fonts';
import { tagged, type Role } from './tags';

const ink = '#1A2326';
const soft = '#556060';
/** What every paper of ours looks like. */
export const s = StyleSheet.create({
  page: {
    fontFamily: face,
    fontSize: 9.5,
    color: ink,
    paddingVertical: 40,
    paddingHorizontal: 46,
    lineHeight: 1.3,
  },
  title: { fontSize: 17, fontWeight: 600, lineHeight: 1.2, marginBottom: 8 },
  h2: {
    fontSize: 11.5,
    fontWeight: 600,
    marginTop: 12,
    marginBottom: 4,
    borderBottomWidth: 0.7,
    borderColor: ink,
    paddingBottom: 2,
  },
  row: { flexDirection: 'row' },
  label: { width: 118, color: soft },
  verdict: { borderWidth: 1.4, borderColor: ink, padding: 9, marginTop: 10 },
  headline: { fontSize: 13, fontWeight: 600, marginBottom: 2 },
  cell: { paddingVertical: 1.8, paddingRight: 8 },
  line: { flexDirection: 'row', borderBottomWidth: 0.4, borderColor: '#C9BFA8' },
  foot: {
    position: 'absolute',
    bottom: 20,
    left: 46,
    right: 46,
    flexDirection: 'row',
    justifyContent: 'space-between',
    color: soft,
    fontSize: 8,
  },
});

/** What texts ask for while a document is laid out. */
export interface Printing {
  terms: TermsProfile;
  hasLetter: (letter: string) => boolean;
  /** Letters that no font has: filled while the document is laid out. */
  missing: Set<string>;
  /** The missing letters, where they are known already. */
  told: readonly string[];
}

export const Print = createContext<Printing>({
  terms: 'international',
  hasLetter: () => true,
  missing: new Set(),
  told: [],
});

const codePoint = (letter: string): string =>
  `U+${(letter.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}`;

/** A text as it can be printed: a letter without a glyph stands as its Unicode number, never as another letter. */
function legible(text: string, { hasLetter, missing }: Printing): string {
  // Composed: most fonts have “é” and not the accent by itself.
  return Array.from(text.normalize('NFC'), (letter) => {
    if (letter === '\n' || hasLetter(letter)) return letter;
    missing.add(letter);
    return `[${codePoint(letter)}]`;
  }).join('');
}

/** A text in the terms and units of the document. It is a paragraph where nothing else is said. */
export function Text({ children, is = 'P', ...rest }: PropsWithChildren<TextProps & { is?: Role }>) {
  const printing = useContext(Print);
  const words = Children.map(nodesInTerms(children, printing.terms), (part) =>
    typeof part === 'string' ? legible(part, printing) : part,
  );
  return (
    <PlainText {...tagged(is)} {...rest}>
      {words}
    </PlainText>
  );
}

export const utcTime = (iso: string): string => `${iso.slice(0, 10)} ${iso.slice(11, 16)} UTC`;

/** @param level of its heading; the document's title is the first */
export function PdfSection({
  title,
  level = 2,
  children,
}: {
  title: string;
  level?: 2 | 3;
  children: ReactNode;
}) {
  return (
    <View>
      <Text is={level === 2 ? 'H2' : 'H3'} style={s.h2} minPresenceAhead={40}>
        {title}
      </Text>
      {children}
    </View>
  );
}

function Row({
  cells,
  widths,
  head,
}: {
  cells: readonly ReactNode[];
  widths: readonly number[];
  head?: true;
}) {
  return (
    <View style={s.line} wrap={false} {...tagged('TR')}>
      {cells.map((cell, i) => {
        const width = `${widths[i] ?? 10}%`;
        const is = head ? tagged('TH', { scope: 'Column' }) : tagged('TD');
        // Text by itself where it is only text: a box around each cell takes the layout twice as long.
        return typeof cell === 'string' ? (
          <Text key={i} {...is} style={[s.cell, { width }]}>
            {cell}
          </Text>
        ) : (
          <View key={i} {...is} style={[s.cell, { width, flexDirection: 'row' }]}>
            {cell}
          </View>
        );
      })}
    </View>
  );
}

/**
 * A table.
 * @param widths of its columns, in percent
 * @param heads of its columns; none: what each column is follows from its cells
 */
export function PdfTable({
  widths,
  heads,
  rows,
  style = {},
}: {
  widths: readonly number[];
  heads?: readonly string[];
  rows: readonly (readonly ReactNode[])[];
  style?: { fontSize?: number; marginTop?: number };
}) {
  return (
    <View style={style} {...tagged('Table')}>
      {heads !== undefined && (
        <View style={{ fontWeight: 600 }}>
          <Row widths={widths} cells={heads} head />
        </View>
      )}
      {rows.map((cells, i) => (
        <Row key={i} widths={widths} cells={cells} />
      ))}
    </View>
  );
}

/** Things of one kind, one below the other. */
export function PdfList({ items, numbered = false }: { items: readonly string[]; numbered?: boolean }) {
  return (
    <View {...tagged('L')}>
      {items.map((item, i) => (
        <View key={i} {...tagged('LI')}>
          <Text is="LBody">{numbered ? `${i + 1}. ${item}` : `– ${item}`}</Text>
        </View>
      ))}
    </View>
  );
}

const Foot = () => (
  <View style={s.foot} fixed {...tagged('Artifact')}>
    <Text>Grim Spanner. Local codes and qualified persons decide.</Text>
    <Text render={({ pageNumber, totalPages }) => `${pageNumber} / ${totalPages}`} />
  </View>
);

/** Says which letters stand as numbers, and nothing where all could be printed. */
function MissingLetters() {
  const { told } = useContext(Print);
  if (told.length === 0) return null;
  return (
    <Text style={{ marginBottom: 6 }}>
      {`${told.length === 1 ? 'A letter' : `${told.length} letters`} of this document cannot be printed with its fonts and ${told.length === 1 ? 'is printed as its Unicode number' : 'are printed as their Unicode numbers'}: ${told.map(codePoint).join(', ')}.`}
    </Text>
  );
}

/**
 * A document with its title, its page numbers and what it defers to.
 * @param more what begins a page of its own each: a long document in one piece is laid out again with every page
 */
export function PdfDocument({
  title,
  paper,
  children,
  more = [],
}: {
  title: string;
  paper: 'a4' | 'letter';
  children: ReactNode;
  more?: readonly ReactNode[];
}) {
  const size = paper === 'a4' ? 'A4' : 'LETTER';
  return (
    <Document title={title}>
      <Page size={size} style={s.page}>
        <Text is="H1" style={s.title}>
          {title}
        </Text>
        <MissingLetters />
        {children}
        <Foot />
      </Page>
      {more.map((page, i) => (
        <Page key={i} size={size} style={s.page}>
          {page}
          <Foot />
        </Page>
      ))}
    </Document>
  );
}

/** What stands on every document: a name and its value, line by line. */
export const IdentityLines = ({ lines }: { lines: readonly (readonly [label: string, value: string])[] }) => (
  <View {...tagged('Table')}>
    {lines.map(([label, value]) => (
      <View key={label} style={s.row} {...tagged('TR')}>
        <Text {...tagged('TH', { scope: 'Row' })} style={s.label}>
          {label}
        </Text>
        <Text is="TD" style={{ flex: 1 }}>
          {value}
        </Text>
      </View>
    ))}
  </View>
);
