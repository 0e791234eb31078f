import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { LedgerWire, UnitTerminal } from '@/core/replacement/wires';
import type { Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../../kit/buttons';
import { FieldGrid } from '../../../kit/section';
import { Field } from '../../../kit/field';
import { Photos } from '../../../kit/photos';
import { WireLabelFields, WireProofFields } from './wire-fields';
import { blankWire, notedOf, typedWireOf, type WireTyped } from './wire-typed';

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
  keep: (noted: Payload<'wire.noted'>) => void;
  cancel: (() => void) | null;
}) {
  const [typed, setTyped] = useState<WireTyped>(() =>
    wire === null ? blankWire(number) : typedWireOf(wire),
  );
  const set = (change: Partial<WireTyped>) => setTyped((t) => ({ ...t, ...change }));
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
        {!quick && <WireLabelFields typed={typed} set={set} expected={expected} />}
      </FieldGrid>
      {!quick && <WireProofFields typed={typed} set={set} laterOpen={wire?.later === true} />}
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
