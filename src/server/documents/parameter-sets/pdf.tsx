import { View } from '@react-pdf/renderer';
import { heldFor, pressRuns, type KeyStep, type Press } from '../../../core/parameter-sets/keypad';
import {
  IdentityLines,
  PdfDocument,
  PdfList,
  PdfSection,
  PdfTable,
  s,
  tagged,
  Text,
  type PdfElement,
} from '../pdf';
import type { KeyDocument, SetDocument } from './load';

type Size = 'a4' | 'letter';

const setWidths = [12, 34, 30, 24];

function SetDocument({ sheet, size }: { sheet: SetDocument; size: Size }) {
  return (
    <PdfDocument title={sheet.title} paper={size}>
      <IdentityLines lines={sheet.identity} />
      {sheet.findings.length > 0 && (
        <PdfSection title="To check">
          <PdfList items={sheet.findings} />
        </PdfSection>
      )}
      <PdfSection title="Parameters; * differs from factory default">
        <PdfTable
          widths={setWidths}
          heads={['Parameter', 'Name', 'Value', 'Default']}
          rows={sheet.rows.map((r) => [
            r.number,
            r.name,
            `${r.differs ? '* ' : ''}${r.value}`,
            r.differs ? r.factory : '',
          ])}
        />
      </PdfSection>
      {sheet.strangers.length > 0 && (
        <PdfSection title="Unknown parameters">
          <PdfTable
            widths={[20, 80]}
            heads={['Parameter', 'Text']}
            rows={sheet.strangers.map((r) => [r.number, r.text])}
          />
        </PdfSection>
      )}
    </PdfDocument>
  );
}

function Cap({ press: { cap, held, ticks }, times }: { press: Press; times: number }) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', marginRight: 5, marginBottom: 2 }}>
      {held && <Text style={{ fontSize: 7.5, marginRight: 2 }}>hold</Text>}
      <View
        style={{
          borderWidth: 0.8,
          borderBottomWidth: 1.8,
          borderRadius: 2.5,
          paddingHorizontal: 3,
          paddingVertical: 1,
          minWidth: 15,
          alignItems: 'center',
        }}
      >
        <Text style={{ fontWeight: 600, fontSize: 8.5 }}>{cap}</Text>
      </View>
      {times > 1 && <Text style={{ fontSize: 8.5, marginLeft: 1.5 }}>×{times}</Text>}
      {ticks !== undefined && <Text style={{ fontSize: 7.5, marginLeft: 1.5 }}>{heldFor(ticks)}</Text>}
    </View>
  );
}

const Caps = ({ presses }: { presses: readonly Press[] }) =>
  pressRuns(presses).map((run, i) => <Cap key={i} {...run} />);

/** What must stand in the display now. */
const Shown = ({ text }: { text: string }) => (
  <Text
    style={{
      fontSize: 8.5,
      color: '#FFFFFF',
      backgroundColor: '#1A2326',
      paddingHorizontal: 3,
      paddingVertical: 1,
      marginRight: 5,
      marginBottom: 2,
    }}
  >
    {text === '' ? ' ' : text}
  </Text>
);

function KeyLine({ step, place }: { step: KeyStep; place: number }) {
  return (
    <View wrap={false} style={[s.line, { paddingVertical: 3 }]} {...tagged('LI')}>
      <View style={{ width: 10, height: 10, borderWidth: 0.9, marginRight: 6, marginTop: 1 }} />
      <View style={{ flex: 1 }} {...tagged('LBody')}>
        <Text>
          {place}. <Text style={{ fontWeight: 600 }}>{`${step.number} ${step.name}: ${step.shownTo}`}</Text>
          {step.does === 'unlock' ? '  (code)' : step.does === 'save' ? '  (saves to memory)' : ''}
          {step.mayStart ? '  Run command off: the machine may start.' : ''}
        </Text>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', marginTop: 2 }}>
          <Caps presses={step.walk} />
          <Shown text={step.shows.before} />
          <Caps presses={step.edit} />
          {step.edit.length > 0 && <Shown text={step.shows.after} />}
          <Caps presses={[step.keep]} />
          <Shown text={step.shows.entry} />
        </View>
      </View>
    </View>
  );
}

function KeyDocument({ sheet, size }: { sheet: KeyDocument; size: Size }) {
  const { plan } = sheet;
  return (
    <PdfDocument title={sheet.title} paper={size}>
      <IdentityLines lines={sheet.identity} />
      <View style={s.verdict}>
        <Text>
          Run command off, enable open, people clear. Check the display before each parameter; dark fields
          show what must be displayed. If it differs, stop: the unit does not have the start values of this
          sheet.
        </Text>
      </View>
      <PdfSection title="Parameter by parameter">
        <View {...tagged('L')}>
          {plan.steps.map((step, i) => (
            <KeyLine key={i} step={step} place={i + 1} />
          ))}
        </View>
        {plan.leave.length > 0 && (
          <View style={{ flexDirection: 'row', marginTop: 4, alignItems: 'center' }}>
            <Text style={{ marginRight: 6 }}>Out of the lists:</Text>
            <Caps presses={plan.leave} />
          </View>
        )}
      </PdfSection>
      {plan.skipped.length > 0 && (
        <PdfSection title="Not entered">
          {plan.skipped.map((x) => (
            <Text key={x.number}>{`${x.number} ${x.name}: ${x.why}`}</Text>
          ))}
        </PdfSection>
      )}
      <PdfSection title="Done by">
        <Text>Name, date: </Text>
      </PdfSection>
    </PdfDocument>
  );
}

export const setPdf = (sheet: SetDocument, size: Size): PdfElement => (
  <SetDocument sheet={sheet} size={size} />
);
export const keyPdf = (sheet: KeyDocument, size: Size): PdfElement => (
  <KeyDocument sheet={sheet} size={size} />
);
