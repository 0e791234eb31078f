import type * as z from 'zod';
import { choicesOf, conceptOf, type ConceptId } from '../../equipment/concepts';
import type { typeDraftSchema } from './schema';

type TypeDraft = z.output<typeof typeDraftSchema>;

/** Common practice, no source: what everybody sets, and a short name in place of the number nobody has looked up yet. */
const everybodySets: readonly (readonly [ConceptId, string])[] = [
  ['motor.power', 'MOTOR-P'],
  ['motor.voltage', 'MOTOR-U'],
  ['motor.current', 'MOTOR-I'],
  ['motor.frequency', 'MOTOR-F'],
  ['motor.speed', 'MOTOR-N'],
  ['motor.cosphi', 'MOTOR-PF'],
  ['protect.overload-amps', 'OVERLOAD'],
  ['limit.maximum-frequency', 'F-MAX'],
  ['limit.minimum-frequency', 'F-MIN'],
  ['limit.reverse', 'REVERSE'],
  ['ramp.up', 'RAMP-UP'],
  ['ramp.down', 'RAMP-DOWN'],
  ['stop.mode', 'STOP'],
  ['control.mode', 'MODE'],
  ['control.torque-curve', 'LOAD'],
  ['place.selected', 'LOC-REM'],
  ['place.remote-run', 'RUN-FROM'],
  ['place.remote-reference', 'REF-FROM'],
  ['run.wiring', 'RUN-WIRES'],
  ['input.DI1', 'DI1'],
  ['input.DI2', 'DI2'],
  ['input.DI3', 'DI3'],
  ['input.DI4', 'DI4'],
  ['input.AI1-signal', 'AI1'],
  ['output.RO1', 'RO1'],
  ['switching.frequency', 'CARRIER'],
];

/** A draft for a drive whose manual is not at hand: what everybody sets, by name, without ranges or defaults. */
export const genericDraft = (about: Pick<TypeDraft, 'id' | 'maker' | 'range'>): TypeDraft => ({
  ...about,
  source: 'no manual: parameters by name',
  parameters: everybodySets.map(([concept, number]) => {
    const { kind, name } = conceptOf(concept);
    return {
      ...{ number, name: `${name[0]?.toUpperCase() ?? ''}${name.slice(1)}` },
      unit: 'unit' in kind && kind.unit !== '' ? kind.unit : null,
      ...{ min: null, max: null, default: null, rangeText: null, defaultText: null, register: null },
      choices: choicesOf(concept).map((means, value) => ({ value, name: means.replace(/-/g, ' '), means })),
      ...{ group: null, page: 0, box: null, concept: null },
      meaning: { concept, by: 'person' as const },
    };
  }),
  alarms: [],
});
