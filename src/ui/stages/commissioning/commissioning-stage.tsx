'use client';
import { useControl } from '../../drive-link/use-control';
import type { StageProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { StageHead } from '../../kit/section';
import { CommissioningWork } from './commissioning-work';
import { Text } from '../../kit/text';

/** From the plate to every value that is entered. */
export function CommissioningStage(props: StageProps) {
  const { drive, motor } = props.store.state;
  const { control, trouble } = useControl(drive?.typeId ?? null);
  return (
    <>
      <StageHead title="Commissioning">
        Every parameter value for this motor and load, with its calculation.
      </StageHead>
      {drive === null || motor === null ? (
        <>
          <Text mb="2">The start-up sheet needs the nameplates of drive and motor.</Text>
          <Primary onClick={() => props.goTo('identify')}>Read the nameplates first</Primary>
        </>
      ) : control === null ? (
        <Text role="status">{trouble ?? 'Loading catalogue data of this type…'}</Text>
      ) : (
        <CommissioningWork {...props} drive={drive} plate={motor.plate} control={control} />
      )}
    </>
  );
}
