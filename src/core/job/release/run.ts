import type { ScaleLine } from '../../numerics/analog-scaling';
import type { Control } from '../../equipment/catalogue';
import type { Plate } from '../../equipment/plate';
import { commissioningSteps, type CommissioningStep } from '../../commissioning/commissioning';
import { parameterAt, meaningOf, type Values } from '../../equipment/drive-words';
import { isLifting, type StartUpChoices } from '../../equipment/application';
import { type StartUpSheet } from '../../commissioning/settings';
import { inputConcept, inputFunctionName } from '../../equipment/concepts';

/** The identification the sheet asks for, in the words of the concept; null: none. */
function identificationOf(control: Pick<Control, 'parameters'>, sheet: StartUpSheet): string | null {
  const row = sheet.rows.find((r) => r.concept === 'motor.ident');
  const choice = parameterAt(control, row?.number)?.choices?.find((c) => c.value === row?.value);
  return choice?.means ?? null;
}

/** What the power terminals of a type take, by its table, N·m. */
const powerTorque_Nm = ({ fitting }: Pick<Control, 'fitting'>): number | null =>
  fitting.torques.find(({ terminals }) => terminals !== 'control')?.torque_Nm ?? null;

/** Machine and supply, as far as the readings of a run depend on them. */
export interface RunAround {
  plate: Pick<Plate, 'hz' | 'rpm'>;
  supply_V: number;
  phases: 1 | 3;
}

/** The steps of a run on this drive: its inputs as they are set, its channels, its load. */
export function stepsFor(
  control: Control,
  values: Values,
  choices: StartUpChoices,
  sheet: StartUpSheet,
  { plate, supply_V, phases }: RunAround,
): CommissioningStep[] {
  const functionOf = (id: string): string => {
    const does = meaningOf(control, values, inputConcept(id));
    return typeof does !== 'string' || does === 'none' ? 'none' : inputFunctionName(does);
  };
  return commissioningSteps({
    unknownHistory: choices.history === 'not-known',
    inputs: control.inputs.map(({ id, mark }) => ({ id, mark, does: functionOf(id) })),
    analogs: control.analogInputs.filter((a) => a.id === choices.speedFrom),
    relays: control.relays.map(({ id, marks }) => ({ id, mark: marks[0] ?? id })),
    output: control.parameters.some((p) => p.concept === 'output.AO1'),
    channels: [...(control.safeStop === null ? [] : ['STO']), 'emergency stop'],
    places: { local: 'keypad', remote: choices.runFrom },
    identification: identificationOf(control, sheet),
    lifting: isLifting(choices.load),
    serial: choices.runFrom === 'serial' || choices.speedFrom === 'serial',
    supply: { volts: supply_V, phases },
    torque_Nm: powerTorque_Nm(control),
    line: analogLineOf(control, choices, plate.hz),
    rpmPerHz: plate.rpm / plate.hz,
    rpm: plate.rpm,
  });
}

/** The line of the analog input that speed comes from; null where it comes from elsewhere. */
export function analogLineOf(
  control: Pick<Control, 'analogInputs'>,
  choices: StartUpChoices,
  plate_Hz: number,
): ScaleLine | null {
  const { signal, speedFrom, minimum_Hz = 0, maximum_Hz = plate_Hz } = choices;
  return signal === undefined || !control.analogInputs.some((a) => a.id === speedFrom)
    ? null
    : { signal, atLow: minimum_Hz, atHigh: maximum_Hz };
}
