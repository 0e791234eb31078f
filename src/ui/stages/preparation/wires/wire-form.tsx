import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import {
  roles,
  wireRoleWords,
  type LedgerWire,
  type WireRole,
  type UnitTerminal,
} from '@/core/replacement/wires';
import type { Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../../kit/buttons';
import { FieldGrid } from '../../../kit/section';
import { Field, NumberField, Select, type Option } from '../../../kit/field';
import { figureFrom } from '../../../kit/number-from';
import { Photos } from '../../../kit/photos';
import { Tick } from '../../../kit/tick';

type Noted = Payload<'wire.noted'>;

/** A wire as it is typed. */
interface Typed {
  number: string;
  from: string;
  role: WireRole | 'none' | 'unknown';
  ferrule: string;
  drawing: string;
  colour: string;
  core: string;
  drawnAt: string;
  looked: boolean;
  proven: boolean;
  volts: string;
  machine: string;
  meanwhile: string;
  later: boolean;
  photos: string[];
}

const typedOf = (w: LedgerWire): Typed => ({
  number: String(w.number),
  from: w.from ?? '',
  role: w.role,
  ferrule: w.ferrule,
  drawing: w.drawing,
  colour: w.colour,
  core: w.core,
  drawnAt: w.drawnAt ?? '',
  looked: w.drawnAt !== null,
  proven: w.proven,
  volts: w.volts === undefined ? '' : String(w.volts),
  machine: w.shared?.machine ?? '',
  meanwhile: w.shared?.meanwhile ?? '',
  // Opened to be completed: who still cannot, says so.
  later: false,
  photos: [...w.photos],
});

const blank = (number: number): Typed => ({
  number: String(number),
  from: '',
  role: 'unknown',
  ferrule: '',
  drawing: '',
  colour: '',
  core: '',
  drawnAt: '',
  looked: false,
  proven: false,
  volts: '',
  machine: '',
  meanwhile: '',
  later: false,
  photos: [],
});

export const roleOptions: Option<WireRole | 'none' | 'unknown'>[] = [
  { value: 'unknown', label: 'not known' },
  { value: 'none', label: 'goes nowhere' },
  ...roles.map((r) => ({ value: r, label: wireRoleWords(r) })),
];

/** What was typed as an entry; null while something cannot be read. */
function notedOf(id: string, t: Typed): Noted | null {
  const number = Number(t.number);
  const volts = t.volts.trim() === '' ? undefined : figureFrom(t.volts);
  if (!Number.isInteger(number) || number < 1 || number > 9999 || volts === null) return null;
  if (t.from.trim().length > 12) return null;
  return {
    wire: id,
    number,
    from: t.from.trim() === '' ? null : t.from.trim(),
    role: t.role,
    ferrule: t.ferrule.trim(),
    drawing: t.drawing.trim(),
    colour: t.colour.trim(),
    core: t.core.trim(),
    drawnAt: t.looked ? t.drawnAt.trim() : null,
    proven: t.proven && t.role !== 'unknown',
    ...(volts === undefined ? {} : { volts }),
    shared: t.machine.trim() === '' ? null : { machine: t.machine.trim(), meanwhile: t.meanwhile.trim() },
    later: t.later,
    photos: t.photos,
  };
}

/**
 * One wire: in haste what hands in gloves can give (terminal, ferrule, photograph), else everything.
 * The role follows the terminal as long as nobody chose another one.
 */
export function WireForm({
  id,
  wire,
  number,
  terminals,
  quick,
  keep,
  cancel,
}: {
  id: string;
  /** Null: a new one. */
  wire: LedgerWire | null;
  number: number;
  terminals: readonly UnitTerminal[];
  quick: boolean;
  keep: (noted: Noted) => void;
  cancel: (() => void) | null;
}) {
  const [typed, setTyped] = useState<Typed>(() => (wire === null ? blank(number) : typedOf(wire)));
  const set = (change: Partial<Typed>) => setTyped((t) => ({ ...t, ...change }));
  const noted = notedOf(id, typed);
  const expected = terminals.find((t) => t.mark === typed.from.trim())?.role ?? null;
  const from = (text: string) => {
    const at = terminals.find((t) => t.mark === text.trim());
    const before = terminals.find((t) => t.mark === typed.from.trim())?.role ?? 'unknown';
    set({
      from: text,
      ...(typed.role === before || typed.role === 'unknown' ? { role: at?.role ?? 'unknown' } : {}),
    });
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        if (noted !== null) keep({ ...noted, later: quick ? true : noted.later });
      }}
    >
      <FieldGrid min="150px">
        <Field
          label="Old terminal"
          figure
          inputMode="text"
          value={typed.from}
          maxLength={12}
          list={`marks-${id}`}
          autoFocus
          hint={quick ? undefined : 'Empty: it hangs loose'}
          onChange={(e) => from(e.target.value)}
        />
        <Field
          label="Ferrule"
          figure
          inputMode="text"
          value={typed.ferrule}
          maxLength={60}
          onChange={(e) => set({ ferrule: e.target.value })}
        />
        <datalist id={`marks-${id}`}>
          {terminals.map((t) => (
            <option key={t.mark} value={t.mark} />
          ))}
        </datalist>
        {!quick && (
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
                expected === null
                  ? undefined
                  : `By its values ${typed.from.trim()} is: ${wireRoleWords(expected)}`
              }
              onChange={(role) => set({ role })}
            />
          </>
        )}
      </FieldGrid>
      {!quick && (
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
          {wire?.later === true && (
            <Tick label="Still more to come" checked={typed.later} onChange={(later) => set({ later })} />
          )}
        </>
      )}
      <Box my="2">
        <Photos label={`Wire ${typed.number}`} photos={typed.photos} onChange={(photos) => set({ photos })} />
      </Box>
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="center">
        <Primary type="submit" disabled={noted === null}>
          {quick ? 'Keep, next wire' : 'Keep this wire'}
        </Primary>
        {cancel !== null && <Secondary onClick={cancel}>Leave it</Secondary>}
        {noted === null && <Text color="failed">Something cannot be read yet.</Text>}
      </Box>
    </form>
  );
}
