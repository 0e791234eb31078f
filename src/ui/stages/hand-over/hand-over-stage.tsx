'use client';
import NextLink from 'next/link';
import { useState } from 'react';
import type { DiagnosisState } from '../../panels/diagnosis/use-diagnosis';
import type { StageProps } from '../../job-store/stage-props';
import { Secondary } from '../../kit/buttons';
import { StageHead, Section } from '../../kit/section';
import { Tabs } from '../../kit/tabs';
import { useRelease } from '../../panels/use-release';
import { useSwap } from '../../panels/use-swap';
import { HandOverPanel } from './back-panel';
import { StaticSheetPanel } from './static-sheet-panel';
import { Text } from '../../kit/text';

const panels = [
  { id: 'sheet', name: 'Static-test sheet' },
  { id: 'back', name: 'Return to service' },
] as const;
type Panel = (typeof panels)[number]['id'];

/** Handing over: a tested unit with its sheet, or a machine with everything that was seen. */
export function HandOverStage(props: StageProps & { diagnosis: DiagnosisState }) {
  const { state } = props.store;
  // A unit on the bench leaves with its sheet; a machine that was swapped or started goes back as a whole.
  const machine =
    state.swap.decision !== null || state.swap.stop.begunAt !== null || state.startUp.chosen !== null;
  const [open, setOpen] = useState<Panel>(machine ? 'back' : 'sheet');
  const { swap } = useSwap(state, props.catalogue);
  const release = useRelease(state, props.catalogue);
  return (
    <>
      <StageHead title="Hand-over">
        What was measured and done, who takes over, and which open items were accepted.
      </StageHead>
      <Tabs label="Hand-over" panels={panels} open={open} choose={setOpen}>
        {open === 'sheet' && <StaticSheetPanel {...props} />}
        {open === 'back' && <HandOverPanel {...props} swap={swap} release={release} />}
      </Tabs>
      <Section title="Job report">
        <Text mb="2">
          One page for the customer, then the full record. Also as an archive for import into another
          installation.
        </Text>
        <Secondary asChild>
          <NextLink href={`/jobs/${props.jobId}/report`} prefetch={false}>
            Open the report
          </NextLink>
        </Secondary>
      </Section>
    </>
  );
}
