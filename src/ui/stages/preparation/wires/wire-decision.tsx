import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { JobStore } from '../../../job-store/use-job';
import { isOpen, type RecordedWire, type UnitTerminal, type WirePlacement } from '@/core/replacement/wires';
import { useDraftText } from '../../../kit/draft-text';
import { Secondary } from '../../../kit/buttons';
import { FieldGrid } from '../../../kit/section';
import { Select, TextField } from '../../../kit/field';
import { Text } from '../../../kit/text';

/** What a person decides about a wire: another terminal than the proposed one, taking an unknown one on, removing it from the list. */
export function WireDecision({
  wire,
  placement,
  terminals,
  store,
}: {
  wire: RecordedWire;
  placement: WirePlacement | undefined;
  /** Of the new unit. */
  terminals: readonly UnitTerminal[];
  store: JobStore;
}) {
  const [reason, setReason] = useDraftText(`decision on wire ${wire.id}`);
  const [to, setTo] = useState('');
  return (
    <Box borderLeft="4px solid" borderColor="line" pl="3" mb="3">
      <Text mb="2">{placement?.why ?? 'The new unit is not chosen yet or not in the catalogue.'}</Text>
      {isOpen(wire) && (
        <Text color="failed" fontWeight="500" mb="2">
          The old unit cannot be removed while this wire is unknown. Trace it, or accept it by name: then it
          is capped, tagged and noted in the report.
        </Text>
      )}
      <FieldGrid min="200px">
        <Select
          label="New terminal"
          value={to}
          onChange={setTo}
          options={[
            {
              value: '',
              label:
                placement?.to === null || placement === undefined
                  ? 'as proposed: none'
                  : `as proposed: ${placement.to}`,
            },
            { value: '-', label: 'no terminal: cap and tag' },
            ...terminals.map((t) => ({
              value: t.mark,
              label: `${t.mark}${t.where === '' ? '' : `, ${t.where}`}`,
            })),
          ]}
        />
        <TextField
          label="Reason"
          text={reason}
          maxLength={200}
          hint="Source or observation"
          set={setReason}
        />
      </FieldGrid>
      <Box display="flex" gap="2" flexWrap="wrap">
        <Secondary
          waitsFor={to === '' && wire.chosen === undefined ? 'Same as proposed.' : null}
          onClick={() => {
            store.record('wire.chosen', {
              wire: wire.id,
              to: to === '-' || to === '' ? null : to,
              reason: reason.trim(),
              back: to === '',
            });
            setReason('');
          }}
        >
          {to === '' ? 'Use the proposal' : 'Use this terminal'}
        </Secondary>
        {isOpen(wire) && (
          <Secondary
            waitsFor={reason.trim() === '' ? 'Enter the reason first.' : null}
            onClick={() => {
              store.record('wire.accepted', { wire: wire.id, reason: reason.trim() });
              setReason('');
            }}
          >
            Accept as unknown
          </Secondary>
        )}
        <Secondary
          waitsFor={reason.trim() === '' ? 'Enter the reason first.' : null}
          onClick={() => store.record('wire.removed', { wire: wire.id, reason: reason.trim() })}
        >
          Delete wire
        </Secondary>
      </Box>
    </Box>
  );
}
