import type { Control } from '@/core/catalogue';
import type { ConceptId, InputFunction } from '@/core/concepts';
import { stepsOf, type Step } from '@/core/commissioning';
import { meaningOf, type Values } from '@/core/drive-words';
import { functionWords } from '@/core/run-chain';
import type { Choices } from '@/core/settings';

/** The steps of a run on this drive: its inputs as they are set, its channels, its load. */
export function stepsFor(control: Control, values: Values, choices: Choices): Step[] {
  const functionOf = (id: string): string => {
    const does = meaningOf(control, values, `input.${id}` as ConceptId);
    return typeof does !== 'string' || does === 'none'
      ? 'none'
      : (functionWords[does as InputFunction] ?? does);
  };
  return stepsOf({
    inputs: control.inputs.map(({ id, mark }) => ({ id, mark, does: functionOf(id) })),
    analogs: control.analogInputs.filter((a) => a.id === choices.speedFrom),
    relays: control.relays.map(({ id, marks }) => ({ id, mark: marks[0] ?? id })),
    channels: [...(control.safeStop === null ? [] : ['safe stop']), 'emergency stop'],
    lifting: choices.load === 'hoist' || choices.load === 'winch',
    serial: choices.runFrom === 'serial' || choices.speedFrom === 'serial',
  });
}
