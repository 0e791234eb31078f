'use client';
import { useState } from 'react';
import type { StageProps } from '../../job-store/stage-props';
import { NotesPanel } from '../../panels/notes-panel';
import { Primary } from '../../kit/buttons';
import { StageHead } from '../../kit/section';
import { Tabs } from '../../kit/tabs';
import { useSwap } from '../../panels/use-swap';
import { WireList } from './wires/wire-list';
import { StopPanel } from './stop-panel';
import { Text } from '../../kit/text';

const panels = [
  { id: 'wires', name: 'Wires' },
  { id: 'stop', name: 'Outage' },
  { id: 'notes', name: 'Notes' },
] as const;
type Panel = (typeof panels)[number]['id'];

/** Before the swap: the wires of the old unit, and who does what when. */
export function PreparationStage(props: StageProps) {
  const [open, setOpen] = useState<Panel>('wires');
  const { swap, loading, trouble } = useSwap(props.store.state, props.catalogue);
  return (
    <>
      <StageHead title="Preparation">
        Downtime is the cost: do everything possible before or after the outage.
      </StageHead>
      <Tabs label="Preparation" panels={panels} open={open} choose={setOpen}>
        {open === 'wires' &&
          (swap === null ? (
            <>
              <Text mb="2">Wires are listed by the terminals of the old unit.</Text>
              <Primary onClick={() => props.goTo('identify')}>Read its nameplate first</Primary>
            </>
          ) : (
            <>
              {loading && <Text role="status">Loading catalogue data of both types…</Text>}
              {trouble !== null && <Text mb="2">{trouble}</Text>}
              <WireList {...props} swap={swap} />
            </>
          ))}
        {open === 'stop' && <StopPanel {...props} />}
        {open === 'notes' && <NotesPanel {...props} stage="prepare" bare />}
      </Tabs>
    </>
  );
}
