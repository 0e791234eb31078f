'use client';
import { Box, chakra, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { stageNames, type StageId } from '@/core/logbook';
import { Primary } from '../kit/buttons';
import { FaceHead, Section } from '../kit/face';
import { Photos } from '../kit/photos';
import { clockTime } from '../kit/time';
import type { FaceProps } from './faces';

const Textarea = chakra('textarea');

/** A stage without a face of its own yet: what was done is kept in words. */
export function NotesFace({ store, stage }: FaceProps & { stage: StageId }) {
  const [text, setText] = useState('');
  const [photos, setPhotos] = useState<string[]>([]);
  const notes = store.state.notes.filter((n) => n.payload.stage === stage);
  return (
    <>
      <FaceHead title={stageNames[stage]}>
        Grim Spanner has no guided steps for this stage yet. What you write here is kept with the job.
      </FaceHead>
      <Section title="Notes">
        <Box as="ul" listStyleType="none" mb="3">
          {notes.map((n) => (
            <Box as="li" key={n.id} py="1.5" borderBottom="1px solid" borderColor="line">
              <Text as="span" fontFamily="mono" color="soft" mr="2">
                {clockTime(n.receivedAt ?? n.at)}
              </Text>
              {n.payload.text}
            </Box>
          ))}
        </Box>
        <form
          onSubmit={(e) => {
            e.preventDefault();
            if (text.trim() === '') return;
            store.record('note.added', { stage, text: text.trim(), photos });
            setText('');
            setPhotos([]);
          }}
        >
          <Textarea
            aria-label={`Note for ${stageNames[stage]}`}
            value={text}
            onChange={(e) => setText(e.target.value)}
            bg="paper"
            border="1px solid"
            borderColor="line"
            borderRadius="3px"
            width="100%"
            p="3"
            minH="120px"
            maxLength={4000}
            mb="3"
          />
          <Box mb="3">
            <Photos label={`${stageNames[stage]} note`} photos={photos} onChange={setPhotos} />
          </Box>
          <Primary type="submit">Keep note</Primary>
        </form>
      </Section>
    </>
  );
}
