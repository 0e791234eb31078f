import {
  forwardPlan,
  fullPlan,
  linesOf,
  motorTerminals,
  probeKey,
  reversePlan,
  type PlannedProbe,
  type Probe,
  type Stage,
  type Terminal,
  type MarkedTerminal,
} from '@/core/equipment/power-stage';

export interface PlanRow {
  id: string;
  title: string;
  hint: string;
  cells: { terminal: Terminal; probe: Probe }[];
}

/** The readings as a table: one row a group, one column a terminal. */
export function rowsOf(stage: Stage, withReverse: boolean): PlanRow[] {
  const walked: Terminal[] = [
    ...linesOf(stage),
    ...motorTerminals,
    ...(stage.brake ? (['BR'] as const) : []),
  ];
  const row = (id: string, title: string, hint: string, probe: (t: Terminal) => Probe): PlanRow => ({
    id,
    title,
    hint,
    cells: walked.map((terminal) => ({ terminal, probe: probe(terminal) })),
  });
  const forward = [
    row('upper', 'to DC+ (upper)', 'red on terminal', (t) => ({ red: t, black: 'DC+' })),
    row('lower', 'from DC− (lower)', 'black on terminal', (t) => ({ red: 'DC-', black: t })),
  ];
  const reverse = [
    row('upper-reverse', 'from DC+ (reverse)', 'black on terminal', (t) => ({ red: 'DC+', black: t })),
    row('lower-reverse', 'to DC− (reverse)', 'red on terminal', (t) => ({ red: t, black: 'DC-' })),
  ];
  return withReverse ? [...forward, ...reverse] : forward;
}

export type PlanKind = 'quick' | 'full' | 'guided';

/** The steps of a fixed plan, in the order hands walk them. */
export function planOf(stage: Stage, kind: 'quick' | 'full'): PlannedProbe[] {
  const quick = forwardPlan(stage);
  if (kind === 'quick') return quick;
  const walked = [...quick, ...reversePlan(stage)];
  const known = new Set(walked.map(probeKey));
  const motor = (t: string) => motorTerminals.some((m) => m === t);
  const rest = fullPlan(stage)
    .filter((p) => !known.has(probeKey(p)))
    .map((p): PlannedProbe => ({
      ...p,
      group:
        motor(p.red) && motor(p.black)
          ? 'motor'
          : p.red.startsWith('L') && p.black.startsWith('L')
            ? 'lines'
            : 'link',
    }));
  return [...walked, ...rest];
}

/** The two readings across the bus: beside the rows of terminals in the table. */
export const busProbe: Probe = { red: 'DC-', black: 'DC+' };
export const fillProbe: Probe = { red: 'DC+', black: 'DC-' };

/** Probes that have no place in the table of terminals against the bus. */
export const outsideTable = (probes: readonly Probe[], rows: readonly PlanRow[]): Probe[] => {
  const inside = new Set(
    [...rows.flatMap((r) => r.cells.map((c) => c.probe)), busProbe, fillProbe].map(probeKey),
  );
  const unique = new Map(probes.map((p) => [probeKey(p), p]));
  return [...unique.values()].filter((p) => !inside.has(probeKey(p)));
};

const sideWords: Record<PlannedProbe['group'], string> = {
  bus: 'Bus junctions',
  upper: 'Upper',
  lower: 'Lower',
  fill: 'Fill the capacitor bank',
  'upper-reverse': 'Upper, reverse',
  'lower-reverse': 'Lower, reverse',
  link: 'Link',
  lines: 'Line to line',
  motor: 'Motor pair',
};

const deviceWords = (terminal: Terminal): string =>
  terminal === 'BR' ? 'brake' : /^L/.test(terminal) ? `rectifier, ${terminal}` : `freewheel, ${terminal}`;

/** What this step is called: "Lower rectifier, L2". */
export function stepTitle(step: PlannedProbe): string {
  const side = sideWords[step.group];
  if (
    step.group === 'upper' ||
    step.group === 'lower' ||
    step.group === 'upper-reverse' ||
    step.group === 'lower-reverse'
  ) {
    const moving = step.red.startsWith('DC') ? step.black : step.red;
    const [first = '', ...rest] = side.split(',');
    return `${first} ${deviceWords(moving)}${rest.length > 0 ? ', reverse' : ''}`;
  }
  return step.group === 'bus' || step.group === 'fill' ? side : `${step.red} to ${step.black}`;
}

/** Where the leads go, said against the step before: one lead stays parked. */
export function leadWords(
  step: Probe,
  before: Probe | null,
  strip: readonly MarkedTerminal[],
): { lead: string; verb: string; mark: string; terminal: Terminal }[] {
  const markOf = (t: Terminal): string => strip.find((s) => s.terminal === t)?.mark ?? t;
  const say = (lead: 'Red' | 'Black', terminal: Terminal, last: Terminal | undefined) => ({
    lead,
    verb: last === terminal ? 'stays on' : last === undefined ? 'on' : 'moves to',
    mark: markOf(terminal),
    terminal,
  });
  return [say('Red', step.red, before?.red), say('Black', step.black, before?.black)];
}

/** The letters on a plate may use a true minus sign. */
export const isPlainMark = (mark: string, terminal: string): boolean =>
  mark.replaceAll('−', '-') === terminal;
