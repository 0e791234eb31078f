import { Text, renderToBuffer } from '@react-pdf/renderer';
import {
  fedDrive,
  firstPowerUnit,
  planFirstPower,
  type FirstPowerPlan,
} from '../../core/power-up/first-power';
import { HttpError } from '../http/border';
import type { LoadedJob } from '../logbook/folded';
import { IdentityLines, Paper, PdfRow, PdfSection } from './pdf-kit';
import { identity } from './replacement';

export interface FirstPowerDocument {
  title: string;
  identity: [label: string, value: string][];
  setUp: string;
  sums: FirstPowerPlan['sums'];
  stops: readonly string[];
  /** The bus as it is expected to rise, and as it did. */
  expected: { at_s: number; volts: number; line_A: number }[];
  measured: readonly { at_s: number; volts: number }[];
}

const rowsOfCurve = 12;

/** The first-power plan that was kept, with its sums. @throws HttpError without a plan */
export function loadFirstPowerPlan({ state }: LoadedJob): FirstPowerDocument {
  const { drive, power } = state;
  if (drive === null || power.planned === null)
    throw new HttpError(422, 'No first power-up plan yet: save one under First power-up.');
  const unit = fedDrive(drive);
  if (unit === null)
    throw new HttpError(422, 'Supply or capacitor bank not known: enter both under Nameplates.');
  const plan = planFirstPower(firstPowerUnit(unit), power.planned.payload.way);
  const shown = plan.charge.points.filter((p) => p.t <= 2 * plan.stopAfter_s);
  const every = Math.max(1, Math.ceil(shown.length / rowsOfCurve));
  return {
    title: 'First power-up plan',
    identity: identity(state),
    setUp: plan.setUp,
    sums: plan.sums,
    stops: plan.stops,
    expected: shown
      .filter((_, k) => k % every === 0)
      .map((p) => ({
        at_s: Number(p.t.toFixed(2)),
        volts: Math.round(p.volts),
        line_A: Number(p.line_A.toFixed(2)),
      })),
    measured: power.bus,
  };
}

const sumWidths = [18, 24, 58];
const curveWidths = [20, 20, 25, 35];

export const firstPowerPdf = (paper: FirstPowerDocument, size: 'a4' | 'letter'): Promise<Buffer> =>
  renderToBuffer(
    <Paper title={paper.title} paper={size}>
      <IdentityLines lines={paper.identity} />
      <PdfSection title="Before">
        <Text>
          The static test was signed as not shorted. Covers on, nobody near, one hand on the isolator. Local
          codes and licensed practice take precedence over this page.
        </Text>
        <Text>
          Live terminals only with differential probes rated for the bus, or a battery scope with isolated
          inputs: an earthed clip on a power terminal shorts the rectifier to earth. Never lift the earth of a
          scope.
        </Text>
      </PdfSection>
      <PdfSection title="Set-up">
        <Text style={{ fontWeight: 600 }}>{paper.setUp}</Text>
        {paper.sums.map((x) => (
          <PdfRow key={x.what} widths={sumWidths} cells={[x.what, x.value, x.sum]} />
        ))}
      </PdfSection>
      <PdfSection title="Switch off at once when">
        {paper.stops.map((stop) => (
          <Text key={stop}>– {stop}</Text>
        ))}
      </PdfSection>
      <PdfSection title="The bus while it comes up">
        <PdfRow widths={curveWidths} cells={['After, s', 'Bus, V', 'Each line, A', 'Measured, V']} />
        {paper.expected.map((p) => (
          <PdfRow
            key={p.at_s}
            widths={curveWidths}
            cells={[String(p.at_s), String(p.volts), String(p.line_A), '']}
          />
        ))}
      </PdfSection>
      {paper.measured.length > 0 && (
        <PdfSection title="Measured">
          {paper.measured.map((p, k) => (
            <Text key={k}>
              {p.volts} V after {p.at_s} s
            </Text>
          ))}
        </PdfSection>
      )}
      <PdfSection title="Afterwards">
        <Text>
          Switch off, prove dead again, refit covers. Only then lamps as a load, and only then the motor.
        </Text>
      </PdfSection>
    </Paper>,
  );
