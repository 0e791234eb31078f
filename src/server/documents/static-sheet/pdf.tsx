import { Path, Svg, View } from '@react-pdf/renderer';
import { readingStateWords, type Sheet, type SheetReading } from '../../../core/job/static-sheet';
import {
  IdentityLines,
  PdfDocument,
  PdfList,
  PdfSection,
  PdfTable,
  s,
  Text,
  utcTime,
  type PdfElement,
} from '../pdf';

const shown = (v: number | string): string => (typeof v === 'number' ? v.toFixed(3) : v);

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

function SafetyPart({ safety }: { safety: NonNullable<Sheet['safety']> }) {
  const pairs = Array.from({ length: Math.ceil(safety.figures.length / 2) }, (_, i) =>
    safety.figures.slice(2 * i, 2 * i + 2),
  );
  return (
    <PdfSection title="Made safe">
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
        <PdfTable
          widths={[13, 26, 11, 13, 26, 11]}
          heads={['Between', 'Where', 'Volts', 'Between', 'Where', 'Volts']}
          rows={pairs.map((pair) =>
            pair.flatMap((f) => [f.between, f.where, `${f.below ? '< ' : ''}${f.volts} ${f.quantity}`]),
          )}
        />
      </View>
    </PdfSection>
  );
}

function SheetDocument({ sheet, paper }: { sheet: Sheet; paper: 'a4' | 'letter' }) {
  return (
    <PdfDocument title={sheet.title} paper={paper}>
      <IdentityLines lines={sheet.identity.map((i) => [i.label, i.value] as const)} />
      <View style={s.verdict} wrap={false}>
        <Text style={s.headline}>{sheet.conclusion.headline}</Text>
        <Text>{sheet.conclusion.detail}</Text>
        <Text style={{ marginTop: 3, fontWeight: 600 }}>Verdict level: {sheet.conclusion.level}</Text>
        <Text>{sheet.levels.map((l) => `${l.name}: ${l.state}`).join('; ')}.</Text>
      </View>
      <PdfSection title="Readings, V">
        <PdfTable
          widths={[12, 12, 20, 20, 16, 20]}
          heads={['Red', 'Black', 'Value', 'Earlier', 'Expected', 'State']}
          rows={sheet.readings.map((r) => [
            r.red,
            r.black,
            shown(r.values[r.values.length - 1] ?? ''),
            r.values.slice(0, -1).map(shown).join(', '),
            r.expected === null ? '' : shown(r.expected),
            <View key="s" style={s.row}>
              <Mark state={r.state} />
              <Text>{readingStateWords[r.state]}</Text>
            </View>,
          ])}
        />
      </PdfSection>
      <PdfSection title="State per position">
        <Text>{sheet.positions.map((p) => `${p.name}: ${p.state}`).join('; ')}.</Text>
      </PdfSection>
      {sheet.modules.map((m) => (
        <PdfSection key={m.name} title={`Module by lamp and battery: ${m.name}`}>
          <Text style={{ fontWeight: 600 }}>{m.verdict.replace('-', ' ')}</Text>
          {m.devices.map((d) => (
            <Text key={d.name}>
              {d.name}: {d.verdict.replace('-', ' ')}. {d.why}
            </Text>
          ))}
        </PdfSection>
      ))}
      {sheet.safety !== null && <SafetyPart safety={sheet.safety} />}
      <PdfSection title="As found and inspection">
        <Text>{sheet.asFound.join('; ')}.</Text>
        <Text>
          {sheet.look.map((l) => `${l.item}: ${l.state}${l.note === '' ? '' : ` (“${l.note}”)`}`).join('; ')}
        </Text>
      </PdfSection>
      <PdfSection title="What this test cannot see">
        <PdfList items={sheet.unseen} />
      </PdfSection>
      {sheet.traces.map((t) => (
        <PdfSection key={t.trouble} title={`Traced: ${t.trouble}`}>
          <PdfList items={t.steps} numbered />
          {t.causes.map((c) => (
            <Text key={c}>Cause: {c}</Text>
          ))}
        </PdfSection>
      ))}
      {sheet.changes.length > 0 && (
        <PdfSection title="Jumpers, writes and loop checks">
          <PdfList items={sheet.changes} />
        </PdfSection>
      )}
      {sheet.questions.length > 0 && (
        <PdfSection title="Questions">
          {sheet.questions.map((q) => (
            <Text key={q.text}>
              {q.text} {q.answer === null ? 'OPEN' : q.answer}
            </Text>
          ))}
        </PdfSection>
      )}
      {sheet.voided.length > 0 && (
        <PdfSection title="Invalid log entries">
          {sheet.voided.map((v, i) => (
            <Text key={i}>
              {utcTime(v.at)}, {v.by}: {v.why}
            </Text>
          ))}
        </PdfSection>
      )}
      <PdfSection title="Signed">
        <Text>
          {sheet.signature === null
            ? 'Not signed.'
            : `${sheet.signature.name}, ${sheet.signature.role}, ${utcTime(sheet.signature.at)}`}
        </Text>
      </PdfSection>
    </PdfDocument>
  );
}

/** The sheet on paper. */
export const sheetPdf = (sheet: Sheet, paper: 'a4' | 'letter'): PdfElement => (
  <SheetDocument sheet={sheet} paper={paper} />
);
