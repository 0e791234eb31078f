'use client';
import { Text } from '@chakra-ui/react';
import { useControl } from '../../drive-link/use-control';
import type { FaceProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { FaceHead } from '../../kit/section';
import { StartUpWork } from './commissioning-work';

/** From the plate to every value that is entered. */
export function SettingsFace(props: FaceProps) {
  const { drive, motor } = props.store.state;
  const { control, trouble } = useControl(drive?.typeId ?? null);
  return (
    <>
      <FaceHead title="Settings">From the motor plate to every value that is entered, with its sum.</FaceHead>
      {drive === null || motor === null ? (
        <>
          <Text mb="2">The sheet follows the plates of drive and motor.</Text>
          <Primary onClick={() => props.goTo('identify')}>Read the plates first</Primary>
        </>
      ) : control === null ? (
        <Text role="status">{trouble ?? 'Fetching what the catalogue says of this type…'}</Text>
      ) : (
        <StartUpWork {...props} drive={drive} plate={motor.plate} control={control} />
      )}
    </>
  );
}
