import { join } from 'node:path';
import {
  Document,
  Font,
  Page,
  StyleSheet,
  Text as PlainText,
  View,
  renderToBuffer,
  type DocumentProps,
  type TextProps,
} from '@react-pdf/renderer';
import { createContext, useContext, type PropsWithChildren, type ReactElement, type ReactNode } from 'react';
import { nodesInTerms, type TermsProfile } from '../../core/terms';

const fontFile = (family: string, weight: string, name: string): string =>
  join(process.cwd(), 'node_modules', '@expo-google-fonts', family, weight, name);

// Full fonts, not the subsets for the screen: a missing sign would be printed as a wrong one.
Font.register({
  family: 'Barlow',
  fonts: [
    { src: fontFile('barlow', '400Regular', 'Barlow_400Regular.ttf') },
    { src: fontFile('barlow', '600SemiBold', 'Barlow_600SemiBold.ttf'), fontWeight: 600 },
  ],
});
Font.register({ family: 'Plex', src: fontFile('ibm-plex-mono', '400Regular', 'IBMPlexMono_400Regular.ttf') });
Font.registerHyphenationCallback((word) => [word]);

/** The face of every paper; who takes it from here has it registered. */
export const face = 'Barlow';

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
  mono: { fontFamily: 'Plex', fontSize: 9 },
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

const Terms = createContext<TermsProfile>('international');

/** A text in the terms and units of the paper. */
export function Text({ children, ...rest }: PropsWithChildren<TextProps>) {
  return <PlainText {...rest}>{nodesInTerms(children, useContext(Terms))}</PlainText>;
}

/** A paper before it is printed. */
export type PdfElement = ReactElement<DocumentProps>;

/** Prints a paper in a customer's terms and units. */
export const renderDocument = (paper: PdfElement, terms: TermsProfile): Promise<Buffer> =>
  // The provider draws nothing: the document stays the root.
  renderToBuffer((<Terms.Provider value={terms}>{paper}</Terms.Provider>) as PdfElement);

export const utcTime = (iso: string): string => `${iso.slice(0, 10)} ${iso.slice(11, 16)} UTC`;

export function PdfSection({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View>
      <Text style={s.h2} minPresenceAhead={40}>
        {title}
      </Text>
      {children}
    </View>
  );
}

/** A line of a table; widths in percent. */
export function PdfRow({
  cells,
  widths,
  mono = [],
}: {
  cells: ReactNode[];
  widths: number[];
  mono?: number[];
}) {
  return (
    <View style={s.line} wrap={false}>
      {cells.map((cell, i) => {
        const width = `${widths[i] ?? 10}%`;
        // Text by itself where it is only text: a box around each cell takes the layout twice as long.
        return typeof cell === 'string' ? (
          <Text key={i} style={[s.cell, mono.includes(i) ? s.mono : {}, { width }]}>
            {cell}
          </Text>
        ) : (
          <View key={i} style={[s.cell, { width, flexDirection: 'row' }]}>
            {cell}
          </View>
        );
      })}
    </View>
  );
}

const Foot = () => (
  <View style={s.foot} fixed>
    <Text>Grim Spanner. Local codes and qualified persons decide.</Text>
    <Text render={({ pageNumber, totalPages }) => `${pageNumber} / ${totalPages}`} />
  </View>
);

/**
 * A paper with its title, its page numbers and what it defers to.
 * @param more what begins a page of its own each: a long paper in one piece is laid out again with every page
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
    <Document title={title} creator="Grim Spanner">
      <Page size={size} style={s.page}>
        <Text style={s.title}>{title}</Text>
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

/** What stands on every paper: a name and its value, line by line. */
export const IdentityLines = ({ lines }: { lines: readonly (readonly [label: string, value: string])[] }) => (
  <>
    {lines.map(([label, value]) => (
      <View key={label} style={s.row}>
        <Text style={s.label}>{label}</Text>
        <Text style={{ flex: 1 }}>{value}</Text>
      </View>
    ))}
  </>
);
