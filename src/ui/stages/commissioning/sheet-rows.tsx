import { parameterAt, shownAs, valueFault, type Rating } from '@/core/equipment/drive-words';
import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control, Parameter } from '@/core/equipment/catalogue';
import type { SheetEntry } from '@/core/job/release';
import { valueReasons, type ValueReason } from '@/core/logbook';
import { wantedOf, type SheetRow, type TypedValues } from '@/core/commissioning/settings';
import { Primary, Secondary } from '../../kit/buttons';
import { Choice, NumberField, Select, choiceOptions } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { useDraftText } from '../../kit/draft-text';
import { StateMark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';

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
              ? 'A value that it takes.'
              : reason === null
                ? 'Say why.'
                : null
          }
          onClick={() => {
            if (value === null || reason === null) return;
            keep(value, reason);
            setText('');
            close();
          }}
        >
          Keep this value
        </Primary>
        <Secondary
          onClick={() => {
            setText('');
            close();
          }}
        >
          Leave the rule’s
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
  setValue: (value: number | null, reason: ValueReason | null) => void;
  write: ((to: number) => void) | null;
}) {
  const [open, setOpen] = useState(false);
  const wanted = wantedOf(row, typed);
  const own = typed[row.number];
  const there = row.now !== null && wanted !== null && Math.abs(row.now - wanted) < 1e-6;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '1.1fr 1.4fr 200px' }}
      columnGap="4"
      borderBottom="1px solid"
      borderColor="line"
      py="2"
    >
      <Box>
        <Text as="span" fontFamily="mono" mr="2">
          {row.number}
        </Text>
        <Text as="span" fontWeight="500">
          {row.name}
        </Text>
        {row.lock !== null && (
          <Text fontSize="0.88rem" color="doubt">
            Opens with code {row.lock.code}; shut it again.
          </Text>
        )}
      </Box>
      <Box>
        <Text fontFamily="mono" fontSize="1.3rem" lineHeight="1.2" overflowWrap="anywhere">
          {wanted === null ? row.shown : shownAs(parameter, wanted)}
        </Text>
        {own !== undefined && (
          <Text fontSize="0.9rem" color="doubt">
            Typed: {own.reason}. The rule says {row.shown}
            {parameter.choices === undefined && ratioTo(own.value, row.value) !== null
              ? ` (${ratioTo(own.value, row.value)} %)`
              : ''}
            .{' '}
            <Secondary minH="36px" px="2" fontSize="0.85rem" onClick={() => setValue(null, null)}>
              back to the rule
            </Secondary>
          </Text>
        )}
        {row.refused !== null && (
          <Text color="failed">
            {row.refused.why} {row.refused.remedy}
          </Text>
        )}
        {row.warnings.map((w) => (
          <Text key={w} fontSize="0.9rem" color="doubt">
            {w}
          </Text>
        ))}
        <Disclosure>
          {row.rule}: {row.formula}. {row.sum}. {row.provenance}. Its place in the order: {entry?.why}.
        </Disclosure>
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
      <Box textAlign={{ md: 'right' }}>
        {row.now !== null && row.concept !== 'motor.ident' && (
          <Text color={there ? 'sound' : 'failed'} fontSize="0.95rem">
            <StateMark mark={there ? 'sound' : 'failed'} label={null} />{' '}
            {there ? (entry?.state ?? 'in the drive') : `drive has ${shownAs(parameter, row.now)}`}
          </Text>
        )}
        {row.now === null && read && (
          <Text color="doubt" fontSize="0.95rem">
            <StateMark mark="doubt" label={null} /> not known until it is read
          </Text>
        )}
        {!there && wanted !== null && write !== null && row.now !== null && (
          <Secondary mt="1" onClick={() => write(wanted)}>
            Write
          </Secondary>
        )}
        {!open && (
          <Secondary
            mt="1"
            ml="2"
            aria-label={`Another value for ${row.number}`}
            onClick={() => setOpen(true)}
          >
            Other
          </Secondary>
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
