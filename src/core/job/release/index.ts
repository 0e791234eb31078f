// May it run? Everything that stands against a start-up, in one list.
import type { Control } from '../../equipment/catalogue';
import {
  cycleDifferences,
  runState,
  type CommissioningState,
  type CommissioningStep,
} from '../../commissioning/commissioning';
import { parameterAt, shownAs, type Rating, type Values } from '../../equipment/drive-words';
import { kilowatts } from '../../equipment/plate';
import { openIssues, type JobState, type OpenIssue, type Payload } from '../../logbook';
import type { StartUpChoices } from '../../equipment/application';
import {
  sheetAgainst,
  startUpSheet,
  wantedOf,
  type StartUpSheet,
  type TypedValues,
} from '../../commissioning/settings';
import { fitOf, type SupplyFit } from '../../equipment/supply';
import { coupledIdentification, driveIssues, typedIssues } from './registers';
import { analogIssues } from './analog';
import { inWriteOrder, sheetEntries, type SheetEntry } from './entered';
import { stepsFor } from './run';

export { enteredState, type EnteredState, type SheetEntry } from './entered';
export { selectorFor, speedInput } from './analog';
export { analogLineOf } from './run';

/** What stands between a drive that was set up and a machine that may run. */
export interface Release {
  /** Its rows in the order in which they are entered. */
  sheet: StartUpSheet;
  /** By number: why it comes there, and what became of it. */
  entries: Readonly<Record<string, SheetEntry>>;
  rating: Rating;
  /** The choices, with what the place decides among them. */
  choices: StartUpChoices;
  /** Null before the place is known. */
  fit: SupplyFit | null;
  steps: CommissioningStep[];
  run: CommissioningState;
  issues: OpenIssue[];
  /** Entries that were otherwise after the power was away; null: not known. */
  lost: { number: string; text: string }[] | null;
}

/** Where it is fed from is said of the place; before that, with the choices. */
const placed = (
  choices: StartUpChoices,
  place: Payload<'startup.place'> | null,
  phases: 1 | 3,
): StartUpChoices =>
  place === null ? choices : { ...choices, singlePhaseFed: phases === 3 && place.phases === 1 };

const wantedValues = (sheet: StartUpSheet, typed: TypedValues): Values =>
  Object.fromEntries(
    sheet.rows.flatMap((row) => {
      const value = wantedOf(row, typed);
      return value === null ? [] : [[row.number, value]];
    }),
  );

function lostIn(control: Control, cycle: { before: Values; after: Values | null } | null): Release['lost'] {
  if (cycle === null || cycle.after === null) return null;
  return cycleDifferences(control, cycle.before, cycle.after).map(({ number, name, before, after }) => {
    const p = parameterAt(control, number);
    const shown = (value: number): string => (p === undefined ? String(value) : shownAs(p, value));
    return { number, text: `${number} ${name} was ${shown(before)}, is ${shown(after)}` };
  });
}

const placeNotSaid: OpenIssue = {
  id: 'place',
  text: 'Supply and installation not entered: available output current is not checked.',
  mayWait: true,
};

const stepMatter = (step: CommissioningStep): OpenIssue => ({
  id: `step:${step.id}`,
  text: `A step of the run is open: ${step.title}.`,
  mayWait: step.mayWait,
});

const isStep = (m: OpenIssue): boolean => m.id.startsWith('step:');
const named = 3;

/** The same for reading: the open steps of the run in one line, as long as several are open. */
export function inShort(issues: readonly OpenIssue[]): OpenIssue[] {
  const steps = issues.filter(isStep);
  if (steps.length < 2) return [...issues];
  const titles = steps.map((m) => m.text.replace(/^A step of the run is open: (.*)\.$/, '$1'));
  return [
    ...issues.filter((m) => !isStep(m)),
    {
      id: 'steps',
      text: `${steps.length} steps of the commissioning run are open: ${titles.slice(0, named).join(', ')}${titles.length > named ? ' …' : '.'}`,
      mayWait: steps.every((m) => m.mayWait),
    },
  ];
}

/** What is missing before a start-up is signed, by where it is put right. */
export interface MissingParts {
  place: boolean;
  /** Open steps of the commissioning run. */
  steps: number;
  /** On the sheet: values, what the drive says, questions. */
  sheet: number;
}

/** Counts the open issues of a release by where they are put right; every issue is counted once. */
export function missingParts(issues: readonly OpenIssue[]): MissingParts {
  const place = issues.filter((m) => m.id === placeNotSaid.id).length;
  const steps = issues.filter(isStep).length;
  return { place: place > 0, steps, sheet: issues.length - place - steps };
}

/**
 * How far a start-up is, and what stands against it.
 * @returns null before plates and choices are there
 */
export function releaseOf(
  {
    drive,
    motor,
    seen,
    registers,
    questions,
    startUp,
    setRuns,
    sets,
  }: Pick<JobState, 'drive' | 'motor' | 'seen' | 'registers' | 'questions' | 'startUp' | 'setRuns' | 'sets'>,
  control: Control,
  rating: Rating,
): Release | null {
  const { chosen, place, typed } = startUp;
  if (drive === null || motor === null || chosen === null) return null;
  const { plate } = motor;
  const values = seen?.values ?? {};
  const choices = placed(chosen.choices, place, drive.phases);
  const made = startUpSheet({
    plate,
    control,
    rating,
    values,
    choices,
    supply: chosen.supply,
    motors: place?.motors ?? 1,
    carrier_kHz: place?.carrier_kHz,
  });
  const { rows, why } = inWriteOrder(made.rows, control);
  const sheet: StartUpSheet = { ...made, rows };
  const fit =
    place === null
      ? null
      : fitOf(
          {
            type: { phases: drive.phases, supply_V: rating.supply_V, ratedAmps: rating.ratedAmps },
            supply: { phases: place.phases, volts: chosen.supply.volts, earthing: place.earthing },
            motor: { amps: plate.amps, singlePhase: place.singlePhaseMotor },
            ambient_C: place.ambient_C,
            altitude_m: place.altitude_m,
            carrier_kHz: place.carrier_kHz,
            sideBySide: place.sideBySide,
            storedYears: place.storedYears,
            onePhase: place.onePhase ?? null,
            cable:
              place.cable === undefined || place.cable === null
                ? null
                : {
                    ...place.cable,
                    supply_V: chosen.supply.volts,
                    motor: { volts: plate.volts, power_kW: kilowatts(plate.power) },
                  },
            motors: place.motors,
          },
          control.fitting,
        );
  const steps = stepsFor(control, values, choices, sheet, {
    plate,
    supply_V: rating.supply_V,
    phases: place?.phases ?? drive.phases,
  });
  const run = runState(
    steps,
    startUp.run.map((r) => r.payload),
  );
  const unit = { typeId: drive.typeId ?? '', control, rating };
  const wanted = wantedValues(sheet, typed);
  const never = ({ id, text }: { id: string; text: string }): OpenIssue => ({ id, text, mayWait: false });
  const issues = [
    ...sheetAgainst(sheet, typed, control, values).map(never),
    ...(fit?.findings ?? [])
      .filter((f) => f.severity === 'wrong')
      .map((f) => never({ id: `place:${f.text}`, text: f.text })),
    ...(place === null ? [placeNotSaid] : []),
    ...coupledIdentification(control, { wanted, values, coupled: choices.coupled }),
    ...typedIssues(unit, { values, wanted, typed, context: { plate, choices } }),
    ...driveIssues(unit, {
      values,
      wanted,
      choices,
      writes: registers.writes,
      readAt: seen?.readAt ?? null,
    }),
    ...analogIssues(control, choices, startUp),
    ...openIssues({ registers, questions, startUp }),
    ...run.open.map(stepMatter),
  ];
  const entries = sheetEntries(rows, why, typed, { registers, setRuns, sets });
  return { sheet, entries, rating, choices, fit, steps, run, issues, lost: lostIn(control, startUp.cycle) };
}
