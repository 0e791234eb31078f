'use client';
import { useState } from 'react';
import type { StageProps } from '../../job-store/stage-props';
import { NotesPanel } from '../../panels/notes-panel';
import { StageHead } from '../../kit/section';
import { Tabs } from '../../kit/tabs';
import { useSwap } from '../../panels/use-swap';
import { ChoicePanel } from './choice-panel';
import { FitPanel } from './fit-panel';
import { Text } from '../../kit/text';

const panels = [
  { id: 'choice', name: 'The choice' },
  { id: 'fit', name: 'Does it fit?' },
  { id: 'notes', name: 'Notes' },
] as const;
type Panel = (typeof panels)[number]['id'];

/** Repair or replace, and by what. */
export function RepairOrReplaceStage(props: StageProps) {
  const [open, setOpen] = useState<Panel>('choice');
  const { swap, loading, trouble } = useSwap(props.store.state, props.catalogue);
  return (
    <>
      <StageHead title="Repair or replace">
        Cost of each option, what it depends on, and whether another unit fits.
      </StageHead>
      <Tabs label="Repair or replace" panels={panels} open={open} choose={setOpen}>
        {open === 'choice' && <ChoicePanel {...props} />}
        {open === 'fit' && (
          <>
            {loading && <Text role="status">Loading catalogue data of both types…</Text>}
            {trouble !== null && <Text mb="2">{trouble}</Text>}
            <FitPanel {...props} swap={swap} />
          </>
        )}
        {open === 'notes' && <NotesPanel {...props} stage="decide" bare />}
      </Tabs>
    </>
  );
}
