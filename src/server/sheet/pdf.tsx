import { join } from 'node:path';
import { Document, Font, Page, Path, StyleSheet, Svg, Text, View, renderToBuffer } from '@react-pdf/renderer';
import type { ReactNode } from 'react';
import type { Sheet, SheetReading } from '../../core/static-sheet';

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

const ink = '#1A2326';
const soft = '#556060';
const s = StyleSheet.create({
  page: {
    fontFamily: 'Barlow',
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

const when = (iso: string): string => `${iso.slice(0, 10)} ${iso.slice(11, 16)} UTC`;
const shown = (v: number | string): string =>
  typeof v === 'number' ? v.toFixed(3) : v === 'OL' ? 'overload' : v;

/** The state's shape beside its word: disc, half disc, cross, ring. */
function Mark({ state }: { state: SheetReading['state'] }) {
  return (
    <Svg width={8} height={8} viewBox="0 0 16 16" style={{ marginRight: 4, marginTop: 2 }}>
      {state === 'sound' ? (
        <Path d="M8 1.5a6.5 6.5 0 1 0 0.01 0z" fill="#1C6554" />
      ) : state === 'failed' ? (
        <Path d="M3 3L13 13M13 3L3 13" stroke="#A83518" strokeWidth={3} />
      ) : (
        <>
          <Path d="M8 2a6 6 0 1 0 0.01 0z" stroke="#8A5A0E" strokeWidth={1.8} fill="none" />
          {state === 'doubt' ? <Path d="M8 2a6 6 0 0 1 0 12z" fill="#8A5A0E" /> : <Path d="M8 8z" />}
        </>
      )}
    </Svg>
  );
}

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View>
      <Text style={s.h2} minPresenceAhead={40}>
        {title}
      </Text>
      {children}
    </View>
  );
}

function Row({ cells, widths, mono = [] }: { cells: ReactNode[]; widths: number[]; mono?: number[] }) {
  return (
    <View style={s.line} wrap={false}>
      {cells.map((cell, i) => (
        <View key={i} style={[s.cell, { width: `${widths[i] ?? 10}%`, flexDirection: 'row' }]}>
          {typeof cell === 'string' ? <Text style={mono.includes(i) ? s.mono : {}}>{cell}</Text> : cell}
        </View>
      ))}
    </View>
  );
}

function SafetyPart({ safety }: { safety: NonNullable<Sheet['safety']> }) {
  const pairs = Array.from({ length: Math.ceil(safety.figures.length / 2) }, (_, i) =>
    safety.figures.slice(2 * i, 2 * i + 2),
  );
  return (
    <Section title="Made safe">
      <Text style={{ fontWeight: 600 }}>{safety.statement}</Text>
      <Text>
        By {safety.by}. {safety.locked}. Meter proven {safety.meter}. Limits: {safety.limits}.
      </Text>
      <Text>
        {safety.sources
          .map((src) => `${src.name}: ${src.state}${src.how === '' ? '' : ` (${src.how})`}`)
          .join('; ')}
        .
      </Text>
      <View style={{ marginTop: 4 }}>
        {pairs.map((pair, i) => (
          <Row
            key={i}
            widths={[13, 26, 5, 6, 13, 26, 5, 6]}
            mono={[3, 7]}
            cells={pair.flatMap((f) => [f.between, f.where, f.quantity, `${f.volts}`])}
          />
        ))}
      </View>
    </Section>
  );
}

function SheetDocument({ sheet, paper }: { sheet: Sheet; paper: 'A4' | 'LETTER' }) {
  return (
    <Document title={sheet.title} creator="Grim Spanner">
      <Page size={paper} style={s.page}>
        <Text style={s.title}>{sheet.title}</Text>
        {sheet.identity.map((i) => (
          <View key={i.label} style={s.row}>
            <Text style={s.label}>{i.label}</Text>
            <Text style={{ flex: 1 }}>{i.value}</Text>
          </View>
        ))}
        <View style={s.verdict} wrap={false}>
          <Text style={s.headline}>{sheet.conclusion.headline}</Text>
          <Text>{sheet.conclusion.detail}</Text>
          <Text style={{ marginTop: 3, fontWeight: 600 }}>Verdict level: {sheet.conclusion.level}</Text>
          <Text>{sheet.levels.map((l) => `${l.name}: ${l.state}`).join('; ')}.</Text>
        </View>
        <Section title="Readings, V">
          <Row
            widths={[12, 12, 20, 20, 16, 20]}
            cells={['red', 'black', 'value', 'earlier', 'expected', 'state']}
          />
          {sheet.readings.map((r) => (
            <Row
              key={`${r.red}>${r.black}`}
              widths={[12, 12, 20, 20, 16, 20]}
              mono={[2, 3, 4]}
              cells={[
                r.red,
                r.black,
                shown(r.values[r.values.length - 1] ?? ''),
                r.values.slice(0, -1).map(shown).join(', '),
                r.expected === null ? '' : shown(r.expected),
                <View key="s" style={s.row}>
                  <Mark state={r.state} />
                  <Text>{r.state}</Text>
                </View>,
              ]}
            />
          ))}
        </Section>
        <Section title="State per position">
          <Text>{sheet.positions.map((p) => `${p.name}: ${p.state}`).join('; ')}.</Text>
        </Section>
        {sheet.modules.map((m) => (
          <Section key={m.name} title={`Module by lamp and battery: ${m.name}`}>
            <Text style={{ fontWeight: 600 }}>{m.verdict.replace('-', ' ')}</Text>
            {m.devices.map((d) => (
              <Text key={d.name}>
                {d.name}: {d.verdict.replace('-', ' ')}. {d.why}
              </Text>
            ))}
          </Section>
        ))}
        {sheet.safety !== null && <SafetyPart safety={sheet.safety} />}
        <Section title="As found and looked at">
          <Text>{sheet.asFound.join('; ')}.</Text>
          <Text>
            {sheet.look.map((l) => `${l.item}: ${l.state}${l.note === '' ? '' : ` (${l.note})`}`).join('; ')}
          </Text>
        </Section>
        <Section title="What this test cannot see">
          {sheet.unseen.map((u) => (
            <Text key={u}>– {u}</Text>
          ))}
        </Section>
        {sheet.traces.map((t) => (
          <Section key={t.trouble} title={`Traced: ${t.trouble}`}>
            {t.steps.map((s, i) => (
              <Text key={s}>
                {i + 1}. {s}
              </Text>
            ))}
            {t.causes.map((c) => (
              <Text key={c}>Cause: {c}</Text>
            ))}
          </Section>
        ))}
        {sheet.changes.length > 0 && (
          <Section title="Bridged, written, walked">
            {sheet.changes.map((c, i) => (
              <Text key={i}>– {c}</Text>
            ))}
          </Section>
        )}
        {sheet.questions.length > 0 && (
          <Section title="Questions">
            {sheet.questions.map((q) => (
              <Text key={q.text}>
                {q.text} {q.answer === null ? 'OPEN' : q.answer}
              </Text>
            ))}
          </Section>
        )}
        {sheet.voided.length > 0 && (
          <Section title="Entries that do not count">
            {sheet.voided.map((v, i) => (
              <Text key={i}>
                {when(v.at)}, {v.by}: {v.why}
              </Text>
            ))}
          </Section>
        )}
        <Section title="Signed">
          <Text>
            {sheet.signature === null
              ? 'Not signed.'
              : `${sheet.signature.name}, ${sheet.signature.role}, ${when(sheet.signature.at)}`}
          </Text>
        </Section>
        <View style={s.foot} fixed>
          <Text>Grim Spanner. Local codes and qualified persons decide.</Text>
          <Text render={({ pageNumber, totalPages }) => `${pageNumber} / ${totalPages}`} />
        </View>
      </Page>
    </Document>
  );
}

/** The sheet on paper. */
export const sheetPdf = (sheet: Sheet, paper: 'a4' | 'letter'): Promise<Buffer> =>
  renderToBuffer(<SheetDocument sheet={sheet} paper={paper === 'a4' ? 'A4' : 'LETTER'} />);
