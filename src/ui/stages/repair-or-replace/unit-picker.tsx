import { Box } from '@chakra-ui/react';
import type { DriveType } from '@/core/equipment/catalogue';
import { FieldGrid } from '../../kit/section';
import { Field, Select } from '../../kit/field';
import type { TypedForm } from '../../kit/typed-form';
import type { TypedUnit } from './typed-units';

/** A unit from the catalogue, or by its plate. */
export function UnitPicker({
  label,
  catalogue,
  side,
  form: { typed, text, pick },
}: {
  label: string;
  catalogue: readonly DriveType[];
  side: 'old' | 'next';
  form: TypedForm<{ old: TypedUnit; next: TypedUnit }, unknown>;
}) {
  const chosen = typed[side].pick;
  return (
    <Box role="group" aria-label={label}>
      <FieldGrid min="170px">
        <Select
          label={label}
          {...pick(`${side}.pick`)}
          options={[
            { value: '', label: 'not chosen' },
            ...catalogue.flatMap((t) =>
              t.models.map((m) => ({
                value: `${t.id}|${m.type}`,
                label: `${t.maker} ${m.type}, ${m.ratedAmps} A${t.discontinued ? ', no longer made' : ''}`,
              })),
            ),
            { value: 'other', label: 'not in the catalogue' },
          ]}
        />
        {chosen !== '' && (
          <>
            <Field
              label={`Serial number, ${label.toLowerCase()}`}
              maxLength={60}
              {...text(`${side}.serial`)}
            />
            <Field label={`Firmware, ${label.toLowerCase()}`} maxLength={60} {...text(`${side}.firmware`)} />
          </>
        )}
      </FieldGrid>
      {chosen === 'other' && (
        <FieldGrid min="150px">
          <Field label="Maker" maxLength={60} {...text(`${side}.maker`)} />
          <Field label="Type" maxLength={60} {...text(`${side}.type`)} />
          <Field label="Supply" figure unit="V" {...text(`${side}.supply_V`)} />
          <Select
            label="Phases"
            {...pick(`${side}.phases`)}
            options={[
              { value: '3', label: '3' },
              { value: '1', label: '1' },
            ]}
          />
          <Field label="Rated amps" figure unit="A" {...text(`${side}.ratedAmps`)} />
        </FieldGrid>
      )}
    </Box>
  );
}
