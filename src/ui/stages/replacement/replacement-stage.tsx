'use client';
import { Text } from '@chakra-ui/react';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { StageProps } from '../../job-store/stage-props';
import { NotesPanel } from '../../panels/notes-panel';
import { Primary } from '../../kit/buttons';
import { StageHead } from '../../kit/section';
import { Tabs } from '../../kit/tabs';
import { LiveStop } from './live-stop';
import { TickWires } from './tick-wires';
import { useSwap } from '../../panels/use-swap';

const panels = [
  { id: 'stop', name: 'The stop' },
  { id: 'wires', name: 'Wires on' },
  { id: 'notes', name: 'Notes' },
] as const;
type Panel = (typeof panels)[number]['id'];

/** The swap itself: the clock runs, tasks and wires are ticked. */
export function ReplacementStage(props: StageProps) {
  // A label that was read leads here.
  const asked = useSearchParams().get('wire') ?? '';
  const [open, setOpen] = useState<Panel>(asked === '' ? 'stop' : 'wires');
  const now = useSwap(props.store.state, props.catalogue);
  const { planned } = props.store.state.swap;
  return (
    <>
      <StageHead title="Swap and wire">
        The clock runs. What is done is ticked, and the rest is planned anew.
      </StageHead>
      <Tabs label="Swap and wire" panels={panels} open={open} choose={setOpen}>
        {open === 'stop' &&
          (planned === null || planned.tasks.length === 0 ? (
            <>
              <Text mb="2">No stop is planned for this job.</Text>
              <Primary onClick={() => props.goTo('prepare')}>Plan it first</Primary>
            </>
          ) : (
            <LiveStop {...props} planned={planned} now={now} />
          ))}
        {open === 'wires' &&
          (now.swap === null || now.swap.map === null ? (
            <Text>
              {now.loading
                ? 'Fetching what the catalogue says of both types…'
                : 'Old and new unit are chosen under Decide, and the wires noted under Prepare.'}
            </Text>
          ) : (
            <TickWires
              key={asked}
              {...props}
              asked={asked}
              swap={now.swap}
              control={now.next?.control ?? null}
            />
          ))}
        {open === 'notes' && <NotesPanel {...props} stage="swap" bare />}
      </Tabs>
    </>
  );
}
