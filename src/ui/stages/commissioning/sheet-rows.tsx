import { parameterAt, shownAs, valueFault, type Rating } from '@/core/equipment/drive-words';
import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import type { Control, Parameter } from '@/core/equipment/catalogue';
import type { SheetEntry } from '@/core/job/release';
import { valueReasons, type ValueReason } from '@/core/logbook';
import { wantedOf, type SheetRow, type TypedValues } from '@/core/commissioning/settings';
import { Primary, Secondary } from '../../kit/buttons';
import { Choice, NumberField, Select, choiceOptions } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { useDraftText } from '../../kit/draft-text';
import { ManualLink } from '../../kit/manual-link';
import { StateMark } from '../../kit/state-mark';
import { Text } from '../../kit/text';

/** A value as a share of the rule's, %; null where there is nothing to compare. */
const ratioTo = (value: number | null, rule: number | null): number | null =>
  value === null || rule === null || rule === 0 || value === rule ? null : Math.round((100 * value) / rule);

/** Another value than the rule's, with its reason. */
function Override({
  parameter,
  rating,
  rule,
  keep,
  close,
}: {
  parameter: Parameter;
  rating: Rating;
  /** The rule's value; null: it gives none. */
  rule: number | null;
  keep: (value: number, reason: ValueReason) => void;
  close: () => void;
}) {
  const [text, setText] = useDraftText(`another value for ${parameter.number}`);
  const [reason, setReason] = useState<ValueReason | null>(null);
  const value = figureFrom(text);
  const fault =
    text.trim() === ''
      ? undefined
      : value === null
        ? 'A number'
        : (valueFault(parameter, value, rating) ?? undefined);
  const ratio = parameter.choices === undefined && fault === undefined ? ratioTo(value, rule) : null;
  return (
    <Box display="grid" gap="2" my="2" maxW="520px">
      {parameter.choices === undefined ? (
        <NumberField label="Value" unit={parameter.unit} text={text} set={setText} error={fault} />
      ) : (
        <Select label="Value" value={text} onChange={setText} options={choiceOptions(parameter.choices)} />
      )}
      {ratio !== null && (
        <Text role="status" color={ratio > 100 ? 'doubt' : 'soft'}>
          {shownAs(parameter, value ?? 0)} of {shownAs(parameter, rule ?? 0)}: {ratio} %
        </Text>
      )}
      <Choice
        label="Why"
        value={reason}
        onChange={setReason}
        options={valueReasons.map((r) => ({ value: r, label: r }))}
      />
      <Box display="flex" gap="2">
        <Primary
          waitsFor={
            value === null || fault !== undefined
              ? 'Enter an allowed value.'
              : reason === null
                ? 'Choose a reason.'
                : null
          }
          onClick={() => {
            if (value === null || reason === null) return;
            keep(value, reason);
            setText('');
            close();
          }}
        >
          Save value
        </Primary>
        <Secondary
          onClick={() => {
            setText('');
            close();
          }}
        >
          Use the rule’s value
        </Secondary>
      </Box>
    </Box>
  );
}

function Row({
  row,
  entry,
  parameter,
  rating,
  typed,
  read,
  manual,
  setValue,
  write,
}: {
  row: SheetRow;
  /** Where it comes in the order, and what became of it. */
  entry: SheetEntry | undefined;
  parameter: Parameter;
  rating: Rating;
  typed: TypedValues;
  read: boolean;
  /** The way to its page of the manual, where there is one. */
  manual: ReactNode;
  setValue: (value: number | null, reason: ValueReason | null) => void;
  write: ((to: number) => void) | null;
}) {
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState(false);
  const wanted = wantedOf(row, typed);
  const own = typed[row.number];
  const there = row.now !== null && wanted !== null && Math.abs(row.now - wanted) < 1e-6;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr auto', md: 'minmax(0, 1.3fr) minmax(0, 0.8fr) minmax(0, 1fr) auto' }}
      columnGap="4"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="line"
      py={{ base: 0.5, md: 0 }}
    >
      <Text>
        <Text as="span" fontFamily="mono" mr="2">
          {row.number}
        </Text>
        <Text as="span" fontWeight="500">
          {row.name}
        </Text>
        {manual}
      </Text>
      <Text fontFamily="mono" fontSize="1.15rem" lineHeight="1.15" overflowWrap="anywhere">
        {wanted === null ? row.shown : shownAs(parameter, wanted)}
      </Text>
      <Box fontSize="0.92rem">
        {row.lock !== null && <Text color="doubt">access code {row.lock.code}, lock again</Text>}
        {row.now !== null && row.concept !== 'motor.ident' && (
          <Text color={there ? 'sound' : 'failed'}>
            <StateMark mark={there ? 'sound' : 'failed'} label={null} />{' '}
            {there ? (entry?.state ?? 'in the drive') : `drive has ${shownAs(parameter, row.now)}`}
          </Text>
        )}
        {row.now === null && read && (
          <Text color="doubt">
            <StateMark mark="doubt" label={null} /> not known until read out
          </Text>
        )}
      </Box>
      <Box display="flex" gap="1.5" justifyContent="flex-end">
        {!there && wanted !== null && write !== null && row.now !== null && (
          <Secondary minH={{ base: '44px', md: '40px' }} px="3" onClick={() => write(wanted)}>
            Write
          </Secondary>
        )}
        <Secondary
          minH={{ base: '44px', md: '40px' }}
          px="3"
          border="0"
          aria-expanded={open}
          aria-label={`Another value for ${row.number}`}
          onClick={() => setOpen(!open)}
        >
          Other
        </Secondary>
        <Secondary
          minH={{ base: '44px', md: '40px' }}
          px="2"
          border="0"
          textDecoration="underline"
          aria-expanded={why}
          aria-label={`Calculation of ${row.number}`}
          onClick={() => setWhy(!why)}
        >
          why?
        </Secondary>
      </Box>
      <Box gridColumn="1 / -1" fontSize="0.9rem">
        {own !== undefined && (
          <Text color="doubt">
            Typed: {own.reason}. Value by the rule: {row.shown}
            {parameter.choices === undefined && ratioTo(own.value, row.value) !== null
              ? ` (${ratioTo(own.value, row.value)} %)`
              : ''}
            .{' '}
            <Secondary minH="36px" px="2" fontSize="0.85rem" onClick={() => setValue(null, null)}>
              use the rule
            </Secondary>
          </Text>
        )}
        {row.refused !== null && (
          <Text color="failed">
            {row.refused.why} {row.refused.remedy}
          </Text>
        )}
        {row.warnings.map((w) => (
          <Text key={w} color="doubt">
            {w}
          </Text>
        ))}
        {why && (
          <Text pb="2">
            {row.rule}: {row.formula}. {row.sum}. {row.provenance}. Position in the order: {entry?.why}.
          </Text>
        )}
        {open && (
          <Override
            parameter={parameter}
            rating={rating}
            rule={row.value}
            keep={(value, reason) => setValue(value, reason)}
            close={() => setOpen(false)}
          />
        )}
      </Box>
    </Box>
  );
}

/** Every value to enter, in the order it is entered. */
export function SheetRows({
  rows,
  entries,
  read,
  control,
  rating,
  typed,
  setValue,
  write,
}: {
  rows: readonly SheetRow[];
  /** By number. */
  entries: Readonly<Record<string, SheetEntry>>;
  /** The drive was read or written: what is not known of it was reset, or is not there. */
  read: boolean;
  control: Control;
  rating: Rating;
  typed: TypedValues;
  setValue: (number: string, value: number | null, reason: ValueReason | null) => void;
  /** Null where no drive is linked. */
  write: ((parameter: Parameter, from: number, to: number) => void) | null;
}) {
  return (
    <Box as="ol" aria-label="Start-up sheet" listStyleType="none" mb="4">
      {rows.map((row) => {
        const parameter = parameterAt(control, row.number);
        return parameter === undefined ? null : (
          <Row
            key={row.number}
            row={row}
            entry={entries[row.number]}
            read={read}
            manual={<ManualLink control={control} of={parameter} name={row.number} />}
            parameter={parameter}
            rating={rating}
            typed={typed}
            setValue={(value, reason) => setValue(row.number, value, reason)}
            write={write === null ? null : (to) => write(parameter, row.now ?? to, to)}
          />
        );
      })}
    </Box>
  );
}
