import { roles, wireRoleWords, type WireRole } from '@/core/replacement/wires';
import { Field, NumberField, Select, type Option } from '../../../kit/field';
import { FieldGrid } from '../../../kit/section';
import { figureFrom } from '../../../kit/number-from';
import { Tick } from '../../../kit/tick';
import type { WireTyped } from './wire-typed';

const roleOptions: Option<WireRole | 'none' | 'unknown'>[] = [
  { value: 'unknown', label: 'not known' },
  { value: 'none', label: 'goes nowhere' },
  ...roles.map((r) => ({ value: r, label: wireRoleWords(r) })),
];

interface WireFieldsProps {
  typed: WireTyped;
  set: (change: Partial<WireTyped>) => void;
}

/** What is read off the wire and its place in the drawing. */
export function WireLabelFields({
  typed,
  set,
  expected,
}: WireFieldsProps & {
  /** What the old terminal was set to do; null when nothing says. */
  expected: WireRole | null;
}) {
  return (
    <>
      <NumberField
        label="Number on its label"
        text={typed.number}
        error={/^\d{1,4}$/.test(typed.number.trim()) ? undefined : 'A whole number from 1'}
        set={(text) => set({ number: text })}
      />
      <Field
        label="Number in the drawing"
        value={typed.drawing}
        maxLength={60}
        onChange={(e) => set({ drawing: e.target.value })}
      />
      <Field
        label="Colour"
        value={typed.colour}
        maxLength={60}
        onChange={(e) => set({ colour: e.target.value })}
      />
      <Field
        label="Cable and core"
        value={typed.core}
        maxLength={60}
        onChange={(e) => set({ core: e.target.value })}
      />
      <NumberField
        label="Volts seen"
        unit="V"
        text={typed.volts}
        error={typed.volts.trim() !== '' && figureFrom(typed.volts) === null ? 'A figure' : undefined}
        set={(text) => set({ volts: text })}
      />
      <Select
        label="It is"
        value={typed.role}
        options={roleOptions}
        hint={
          expected === null ? undefined : `By its values ${typed.from.trim()} is: ${wireRoleWords(expected)}`
        }
        onChange={(role) => set({ role })}
      />
    </>
  );
}

/** What was looked up or followed, and who else hangs on it. */
export function WireProofFields({
  typed,
  set,
  laterOpen,
}: WireFieldsProps & {
  /** It was noted in haste: it may stay so. */
  laterOpen: boolean;
}) {
  return (
    <>
      <Tick
        label="Proven: followed or measured, not read off a drawing"
        checked={typed.proven}
        disabled={typed.role === 'unknown'}
        onChange={(proven) => set({ proven })}
      />
      <Tick
        label="Looked up in the drawing"
        checked={typed.looked}
        onChange={(looked) =>
          set({ looked, drawnAt: looked && typed.drawnAt === '' ? typed.from : typed.drawnAt })
        }
      />
      {typed.looked && (
        <FieldGrid>
          <Field
            label="The drawing has it on"
            value={typed.drawnAt}
            maxLength={12}
            hint="Empty: on no terminal"
            onChange={(e) => set({ drawnAt: e.target.value })}
          />
        </FieldGrid>
      )}
      <FieldGrid min="240px">
        <Field
          label="Another machine on the same signal"
          value={typed.machine}
          maxLength={200}
          hint="It loses its signal when this wire comes off"
          onChange={(e) => set({ machine: e.target.value })}
        />
        {typed.machine.trim() !== '' && (
          <Field
            label="What that machine does meanwhile"
            value={typed.meanwhile}
            maxLength={200}
            onChange={(e) => set({ meanwhile: e.target.value })}
          />
        )}
      </FieldGrid>
      {laterOpen && (
        <Tick label="Still more to come" checked={typed.later} onChange={(later) => set({ later })} />
      )}
    </>
  );
}
