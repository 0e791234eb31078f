'use client';
import { Text } from '@chakra-ui/react';
import { useControl } from '../../drive-link/use-control';
import type { StageProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { StageHead } from '../../kit/section';
import { CommissioningWork } from './commissioning-work';

/** From the plate to every value that is entered. */
export function CommissioningStage(props: StageProps) {
  const { drive, motor } = props.store.state;
  const { control, trouble } = useControl(drive?.typeId ?? null);
  return (
    <>
      <StageHead title="Settings">
        From the motor plate to every value that is entered, with its sum.
      </StageHead>
      {drive === null || motor === null ? (
        <>
          <Text mb="2">The sheet follows the plates of drive and motor.</Text>
          <Primary onClick={() => props.goTo('identify')}>Read the plates first</Primary>
        </>
      ) : control === null ? (
        <Text role="status">{trouble ?? 'Fetching what the catalogue says of this type…'}</Text>
      ) : (
        <CommissioningWork {...props} drive={drive} plate={motor.plate} control={control} />
      )}
    </>
  );
}
