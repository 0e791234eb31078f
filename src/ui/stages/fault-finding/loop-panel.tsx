import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import type { JobStore } from '../../job-store/use-job';
import { Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { Select } from '../../kit/field';
import { JumperForm } from './jumper-form';
import { LoopWalk } from './loop-walk';

/** The walk along the loop of an input, and what is asked before anything is bridged. */
export function LoopPanel({
  control,
  terminals,
  inputs,
  store,
}: {
  control: Control;
  terminals: readonly { id: string; mark: string }[];
  inputs: Readonly<Record<string, boolean>> | undefined;
  store: JobStore;
}) {
  const [open, setOpen] = useState(false);
  const [bridging, setBridging] = useState(false);
  const [id, setId] = useState(terminals[0]?.id ?? '');
  const [note, setNote] = useState<string | null>(null);
  const terminal = terminals.find((t) => t.id === id) ?? terminals[0];
  if (terminal === undefined) return null;
  return (
    <Box mb="5">
      <Box display="flex" gap="2" flexWrap="wrap" mb="3">
        <Secondary aria-expanded={open} onClick={() => setOpen(!open)}>
          Check a loop
        </Secondary>
        <Secondary aria-expanded={bridging} onClick={() => setBridging(!bridging)}>
          Temporary jumper
        </Secondary>
      </Box>
      {(open || bridging) && (
        <FieldGrid>
          <Select
            label="Input"
            value={terminal.id}
            onChange={setId}
            options={terminals.map((t) => ({ value: t.id, label: t.mark }))}
          />
        </FieldGrid>
      )}
      {open && (
        <LoopWalk
          key={terminal.id}
          control={control}
          terminal={terminal}
          inputs={inputs}
          keep={(checked) => {
            store.record('loop.checked', checked);
            setNote(`Loop check of ${checked.input} saved.`);
          }}
        />
      )}
      {bridging && (
        <Box mt="4">
          <JumperForm
            key={terminal.mark}
            where={terminal.mark}
            keep={(jumper) => {
              store.record('jumper.set', jumper);
              setBridging(false);
              setNote(`${jumper.where} recorded. It blocks the signature until it is removed.`);
            }}
          />
        </Box>
      )}
      <KeptNote text={note} />
    </Box>
  );
}
