'use client';
import type { ReactNode } from 'react';
import { useControl } from '../../drive-link/use-control';
import type { StageProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { StageHead } from '../../kit/section';
import { FaultFindingWork } from './fault-finding-work';
import { UnlistedWork } from './unlisted-work';

const Head = ({ children }: { children: ReactNode }) => (
  <StageHead title="Why will it not run?">{children}</StageHead>
);

/** Why will it not run? The chain of permissives, and from an alarm to its cause. */
export function FaultFindingStage(props: StageProps) {
  const { drive } = props.store.state;
  const { control, trouble } = useControl(drive === null ? null : drive.typeId);
  if (drive === null)
    return (
      <>
        <Head>The chain follows the drive&rsquo;s own entries.</Head>
        <Primary onClick={() => props.goTo('identify')}>Identify the drive first</Primary>
      </>
    );
  if (control === null)
    return trouble === null ? (
      <Head>Fetching what the catalogue says of this type…</Head>
    ) : (
      <>
        <Head>{trouble} The fault family leads to the cause all the same.</Head>
        <UnlistedWork {...props} />
      </>
    );
  return (
    <>
      <Head>From the supply to the output: the first open link is the answer.</Head>
      <FaultFindingWork {...props} drive={drive} control={control} />
    </>
  );
}
