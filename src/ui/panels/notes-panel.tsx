'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { stageNames, timeTextOf, type StageId } from '@/core/logbook';
import { useDraftText } from '../kit/draft-text';
import { Primary } from '../kit/buttons';
import { StageHead, Section } from '../kit/section';
import { LongField } from '../kit/field';
import { Photos } from '../kit/photos';
import { clockTime } from '../kit/time';
import type { StageProps } from '../job-store/stage-props';
import { Text } from '../kit/text';

/** A stage without a face of its own yet: what was done is kept in words. */
export function NotesPanel({
  store,
  stage,
  bare = false,
}: StageProps & {
  stage: StageId;
  /** Under a face of its own: no head. */
  bare?: boolean;
}) {
  const [text, setText] = useDraftText(`note at ${stage}`);
  const [photos, setPhotos] = useState<string[]>([]);
  const notes = store.state.notes.filter((n) => n.payload.stage === stage);
  return (
    <>
      {!bare && <StageHead title={stageNames[stage]}>Notes are saved with the job.</StageHead>}
      <Section title="Notes">
        <Box as="ul" listStyleType="none" mb="3">
          {notes.map((n) => (
            <Box as="li" key={n.id} py="1.5" borderBottom="1px solid" borderColor="line">
              <Text as="span" fontFamily="mono" color="soft" mr="2">
                {clockTime(timeTextOf(n))}
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
          <Box mb="3">
            <LongField
              label={`Note for ${stageNames[stage]}`}
              value={text}
              onChange={(e) => setText(e.target.value)}
              minH="120px"
              maxLength={4000}
            />
          </Box>
          <Box mb="3">
            <Photos label={`${stageNames[stage]} note`} photos={photos} onChange={setPhotos} />
          </Box>
          <Primary type="submit">Save note</Primary>
        </form>
      </Section>
    </>
  );
}
