import { outputFilters, windings, type OutputFilter, type Winding } from '@/core/equipment/cable';
import type { ComponentProps } from 'react';
import * as z from 'zod';
import { Field, optionsOf, Select } from '../kit/field';
import { orNone, zeroOrMore } from '../kit/form-figures';

const windingWords: Readonly<Record<Winding | '', string>> = {
  '': 'not known',
  'for-drives': 'inverter-rated',
  'for-the-line': 'standard or old',
};
const filterNames: Readonly<Record<OutputFilter, string>> = {
  none: 'nothing',
  choke: 'output choke',
  'du-dt': 'dV/dt filter',
  sine: 'sine filter',
};

/** Fields of a form about the cable to the motor. */
export const cableShape = {
  cable_m: orNone(zeroOrMore),
  winding: z.enum(['', ...windings]),
  filter: z.enum(outputFilters),
};

interface CableRead {
  cable_m: number | null;
  winding: Winding | '';
  filter: OutputFilter;
}

/** A cable as it is kept: null while its length or the winding is not known. */
export const cableOf = ({ cable_m, winding, filter }: CableRead) =>
  cable_m === null || winding === '' ? null : { length_m: cable_m, winding, filter };

/** The fields as they open on what was kept. */
export const cableTyped = (
  cable: { length_m: number; winding: Winding; filter: OutputFilter } | null | undefined,
) => ({
  cable_m: cable ? String(cable.length_m) : '',
  winding: cable?.winding ?? ('' as const),
  filter: cable?.filter ?? ('none' as const),
});

interface Picked<V extends string> {
  value: V;
  onChange: (value: V) => void;
  error: string | undefined;
}

/** The fields themselves. */
export function CableFields({
  length,
  winding,
  filter,
}: {
  length: Omit<ComponentProps<typeof Field>, 'label'>;
  winding: Picked<Winding | ''>;
  filter: Picked<OutputFilter>;
}) {
  return (
    <>
      <Field label="Cable to the motor" figure unit="m" {...length} />
      <Select label="Winding insulation" {...winding} options={optionsOf(windingWords)} />
      <Select label="Filter between drive and motor" {...filter} options={optionsOf(filterNames)} />
    </>
  );
}
