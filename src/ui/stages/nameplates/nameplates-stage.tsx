'use client';
import { Primary } from '../../kit/buttons';
import { FaceHead, Section } from '../../kit/section';
import type { FaceProps } from '../../job-store/stage-props';
import { DriveForm } from './drive-form';
import { MotorForm } from './motor-form';

/** Reading both plates, from the labels and not from memory. */
export function IdentifyFace({ store, catalogue, goTo }: FaceProps) {
  const { drive, motor } = store.state;
  return (
    <>
      <FaceHead title="Identify">From the rating labels, not from memory.</FaceHead>
      <Section title="Drive">
        <DriveForm drive={drive} catalogue={catalogue} keep={(d) => store.record('identify.drive', d)} />
      </Section>
      <Section title="Motor">
        <MotorForm motor={motor} keep={(m) => store.record('identify.motor', m)} />
      </Section>
      <Primary onClick={() => goTo('as-found')} disabled={drive === null}>
        On to as found
      </Primary>
    </>
  );
}
