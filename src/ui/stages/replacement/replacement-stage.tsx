'use client';
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
import { Text } from '../../kit/text';

const panels = [
  { id: 'stop', name: 'Outage' },
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
      <StageHead title="Replacement">
        The outage timer is running. Tick what is done; the rest is re-planned.
      </StageHead>
      <Tabs label="Replacement" panels={panels} open={open} choose={setOpen}>
        {open === 'stop' &&
          (planned === null || planned.tasks.length === 0 ? (
            <>
              <Text mb="2">No outage is planned for this job.</Text>
              <Primary onClick={() => props.goTo('prepare')}>Plan the outage</Primary>
            </>
          ) : (
            <LiveStop {...props} planned={planned} now={now} />
          ))}
        {open === 'wires' &&
          (now.swap === null || now.swap.map === null ? (
            <Text>
              {now.loading
                ? 'Loading catalogue data of both types…'
                : 'Choose old and new unit under Repair or replace, and list the wires under Preparation.'}
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
