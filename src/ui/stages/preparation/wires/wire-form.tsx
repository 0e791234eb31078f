import { Box } from '@chakra-ui/react';
import { noSuchTerminal, type RecordedWire, type UnitTerminal } from '@/core/replacement/wires';
import type { Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../../kit/buttons';
import { FieldGrid } from '../../../kit/section';
import { Field } from '../../../kit/field';
import { useTypedForm } from '../../../kit/typed-form';
import { Tick } from '../../../kit/tick';
import { Photos } from '../../../kit/photos';
import { WireLabelFields, WireProofFields } from './wire-fields';
import { blankWire, typedWireOf, wireSchema } from './wire-typed';
import { Text } from '../../../kit/text';

/**
 * One wire: quickly, what can be entered with gloves on (terminal, ferrule, photograph), or in full.
 * The role follows the terminal as long as nobody chose another one.
 */
export function WireForm({
  id,
  wire,
  number,
  terminals,
  unit,
  quick,
  keep,
  cancel,
}: {
  id: string;
  /** Null: a new one. */
  wire: RecordedWire | null;
  number: number;
  /** Of the old unit; none: nobody knows them. */
  terminals: readonly UnitTerminal[];
  /** The old unit, by name. */
  unit: { maker: string; type: string };
  quick: boolean;
  keep: (noted: Payload<'wire.noted'>) => void;
  cancel: (() => void) | null;
}) {
  const marks = terminals.map((t) => t.mark);
  const misfit = (mark: string) => (marks.length === 0 ? null : noSuchTerminal(unit, mark, marks));
  const form = useTypedForm(
    wire === null ? 'new wire' : `wire ${wire.id}`,
    wireSchema(misfit),
    wire === null ? blankWire(number) : typedWireOf(wire),
  );
  const { typed, read, text, set, tick, submit } = form;
  const strange = typed.from.trim() !== '' && misfit(typed.from.trim()) !== null;
  const roleAt = (mark: string) => terminals.find((t) => t.mark === mark.trim())?.role ?? null;
  const from = text('from');
  const followTerminal = (after: string) => {
    if (typed.role === (roleAt(typed.from) ?? 'unknown') || typed.role === 'unknown')
      set('role', roleAt(after) ?? 'unknown');
  };
  return (
    <form
      onSubmit={submit((noted) => keep({ ...noted, wire: id, later: quick ? true : noted.later }))}
      noValidate
    >
      <FieldGrid min="150px">
        <Field
          label="Old terminal"
          figure
          inputMode="text"
          maxLength={12}
          list={`marks-${id}`}
          autoFocus
          hint={quick ? undefined : 'Empty: loose'}
          {...from}
          onChange={(e) => {
            followTerminal(e.target.value);
            void from.onChange(e);
          }}
        />
        <Field label="Ferrule" figure inputMode="text" maxLength={60} {...text('ferrule')} />
        <datalist id={`marks-${id}`}>
          {terminals.map((t) => (
            <option key={t.mark} value={t.mark} />
          ))}
        </datalist>
        {!quick && <WireLabelFields form={form} expected={roleAt(typed.from)} />}
      </FieldGrid>
      {strange && (
        <Tick label="Marked like this on the unit, although not in the catalogue" {...tick('unlisted')} />
      )}
      {!quick && <WireProofFields form={form} laterOpen={wire?.later === true} />}
      <Box my="2">
        <Photos
          label={`Wire ${typed.number}`}
          photos={typed.photos}
          onChange={(photos) => set('photos', photos)}
        />
      </Box>
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="center">
        <Primary type="submit">{quick ? 'Save, next wire' : 'Save wire'}</Primary>
        {cancel !== null && <Secondary onClick={cancel}>Cancel</Secondary>}
        {read === null && <Text color="failed">A value cannot be read.</Text>}
      </Box>
    </form>
  );
}
