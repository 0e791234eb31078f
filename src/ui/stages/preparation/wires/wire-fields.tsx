import { roles, wireRoleWords, type WireRole } from '@/core/replacement/wires';
import { Field, Select, type Option } from '../../../kit/field';
import { FieldGrid } from '../../../kit/section';
import type { TypedForm } from '../../../kit/typed-form';
import { Tick } from '../../../kit/tick';
import type { WireTyped } from './wire-typed';

const roleOptions: Option<WireRole | 'none' | 'unknown'>[] = [
  { value: 'unknown', label: 'not known' },
  { value: 'none', label: 'not connected' },
  ...roles.map((r) => ({ value: r, label: wireRoleWords(r) })),
];

interface WireFieldsProps {
  form: TypedForm<WireTyped, unknown>;
}

/** What is read off the wire and its place in the drawing. */
export function WireLabelFields({
  form: { typed, text, pick },
  expected,
}: WireFieldsProps & {
  /** What the old terminal was set to do; null when nothing says. */
  expected: WireRole | null;
}) {
  return (
    <>
      <Field label="Wire number on the label" figure {...text('number')} />
      <Field label="Number in the drawing" maxLength={60} {...text('drawing')} />
      <Field label="Colour" maxLength={60} {...text('colour')} />
      <Field label="Cable and core" maxLength={60} {...text('core')} />
      <Field label="Voltage measured" figure unit="V" {...text('volts')} />
      <Select
        label="Function"
        options={roleOptions}
        hint={
          expected === null
            ? undefined
            : `By the parameters, ${typed.from.trim()} is: ${wireRoleWords(expected)}`
        }
        {...pick('role')}
      />
    </>
  );
}

/** What was looked up or followed, and which other machine shares its signal. */
export function WireProofFields({
  form: { typed, text, tick, set },
  laterOpen,
}: WireFieldsProps & {
  /** It was noted quickly: it may stay so. */
  laterOpen: boolean;
}) {
  return (
    <>
      <Tick
        label="Proven: traced or measured, not only from the drawing"
        disabled={typed.role === 'unknown'}
        {...tick('proven')}
      />
      <Tick
        label="Checked in the drawing"
        checked={typed.looked}
        onChange={(looked) => {
          set('looked', looked);
          if (looked && typed.drawnAt === '') set('drawnAt', typed.from);
        }}
      />
      {typed.looked && (
        <FieldGrid>
          <Field
            label="Terminal in the drawing"
            maxLength={12}
            hint="Empty: no terminal"
            {...text('drawnAt')}
          />
        </FieldGrid>
      )}
      <FieldGrid min="240px">
        <Field
          label="Another machine on the same signal"
          maxLength={200}
          hint="That machine loses its signal when this wire is removed"
          {...text('machine')}
        />
        {typed.machine.trim() !== '' && (
          <Field label="What that machine does meanwhile" maxLength={200} {...text('meanwhile')} />
        )}
      </FieldGrid>
      {laterOpen && <Tick label="Details to follow" {...tick('later')} />}
    </>
  );
}
