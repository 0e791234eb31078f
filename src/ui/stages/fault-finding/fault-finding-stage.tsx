'use client';
import type { ReactNode } from 'react';
import { useControl } from '../../drive-link/use-control';
import type { StageProps } from '../../job-store/stage-props';
import { Secondary } from '../../kit/buttons';
import { StageHead } from '../../kit/section';
import { FaultFindingWork } from './fault-finding-work';
import { UnlistedWork } from './unlisted-work';

const Head = ({ children }: { children: ReactNode }) => (
  <StageHead title="Fault finding">{children}</StageHead>
);

/** Why will it not run? The chain of permissives, and from an alarm to its cause. */
export function FaultFindingStage(props: StageProps) {
  const { drive } = props.store.state;
  const { control, trouble } = useControl(drive === null ? null : drive.typeId);
  if (drive === null)
    return (
      <>
        <Head>
          Fault finding by fault family works for any drive. The run chain follows the parameters of the drive
          and needs its nameplate.
        </Head>
        <Secondary onClick={() => props.goTo('identify')} mb="4">
          Read the drive nameplate
        </Secondary>
        <UnlistedWork {...props} />
      </>
    );
  if (control === null)
    return trouble === null ? (
      <Head>Loading catalogue data of this type…</Head>
    ) : (
      <>
        <Head>{trouble} Fault finding by fault family works for any drive.</Head>
        <UnlistedWork {...props} />
      </>
    );
  return (
    <>
      <Head>From supply to output: the first open condition stops the drive.</Head>
      <FaultFindingWork {...props} drive={drive} control={control} />
    </>
  );
}
