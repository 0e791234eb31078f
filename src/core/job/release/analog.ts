import type { Control } from '../../equipment/catalogue';
import type { StartUpChoices } from '../../equipment/application';
import type { JobState, OpenIssue } from '../../logbook';
import { potentiometerFault } from '../../numerics/preferred-values';

type AnalogControl = Pick<Control, 'analogInputs' | 'supply'>;

/** Where the selector of an analog input must stand for a signal. */
export const selectorFor = (signal: NonNullable<StartUpChoices['signal']>): 'V' | 'mA' =>
  signal === '0-10V' ? 'V' : 'mA';

/** The analog input that speed comes from, with its signal; null where it comes from elsewhere. */
export function speedInput(control: AnalogControl, { speedFrom, signal }: StartUpChoices) {
  const input = control.analogInputs.find((a) => a.id === speedFrom);
  return input === undefined || signal === undefined ? null : { ...input, signal };
}

/** What signal, selector and potentiometer hold against each other. */
export function analogIssues(
  control: AnalogControl,
  choices: StartUpChoices,
  { jumpers, potentiometer_ohm }: Pick<JobState['startUp'], 'jumpers' | 'potentiometer_ohm'>,
): OpenIssue[] {
  const input = speedInput(control, choices);
  if (input === null) return [];
  const { id, mark, jumper, signal } = input;
  const stands = jumpers[id];
  const window = control.supply.potentiometer_ohm;
  const fault =
    potentiometer_ohm === null || window === undefined || signal !== '0-10V'
      ? null
      : potentiometerFault(potentiometer_ohm, window);
  return [
    ...(jumper === undefined
      ? []
      : stands === undefined
        ? [
            {
              id: `selector:${id}`,
              text: `${mark}: selector position not checked. ${jumper}`,
              mayWait: true,
            },
          ]
        : stands === selectorFor(signal)
          ? []
          : [
              {
                id: `selector:${id}`,
                text: `${mark}: selector set to ${stands}, but the signal is ${signal}.`,
                mayWait: false,
              },
            ]),
    ...(fault === null ? [] : [{ id: 'potentiometer', text: fault, mayWait: false }]),
  ];
}
