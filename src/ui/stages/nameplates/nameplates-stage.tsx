'use client';
import { Primary } from '../../kit/buttons';
import { StageHead, Section } from '../../kit/section';
import type { StageProps } from '../../job-store/stage-props';
import { DriveForm } from './drive-form';
import { MotorForm } from './motor-form';

/** Reading both plates, from the labels and not from memory. */
export function NameplatesStage({ store, catalogue, goTo }: StageProps) {
  const { drive, motor } = store.state;
  return (
    <>
      <StageHead title="Nameplates">Read both nameplates; do not enter values from memory.</StageHead>
      <Section title="Drive">
        <DriveForm drive={drive} catalogue={catalogue} keep={(d) => store.record('identify.drive', d)} />
      </Section>
      <Section title="Motor">
        <MotorForm motor={motor} keep={(m) => store.record('identify.motor', m)} />
      </Section>
      <Primary
        onClick={() => goTo('as-found')}
        waitsFor={drive === null ? 'Save the drive nameplate first.' : null}
      >
        Go to As found
      </Primary>
    </>
  );
}
