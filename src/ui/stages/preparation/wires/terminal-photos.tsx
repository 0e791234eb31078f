import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { JobStore } from '../../../job-store/use-job';
import { useDraftText } from '../../../kit/draft-text';
import { Secondary } from '../../../kit/buttons';
import { FieldGrid, Section } from '../../../kit/section';
import { TextField } from '../../../kit/field';
import { Photos } from '../../../kit/photos';
import { Text } from '../../../kit/text';

/** Photographs of a terminal by itself: a whole strip, a jumper, a selector. */
export function TerminalPhotos({ store, marks }: { store: JobStore; marks: readonly string[] }) {
  const [mark, setMark] = useDraftText('terminal seen');
  const [note, setNote] = useDraftText('terminal seen, note');
  const [photos, setPhotos] = useState<string[]>([]);
  const seen = store.state.swap.terminals;
  return (
    <Section title="Terminals">
      {seen.length > 0 && (
        <Box as="ul" listStyleType="none" mb="2" aria-label="Terminals checked">
          {seen.map((t) => (
            <Box as="li" key={t.id} py="1">
              <Text as="span" fontFamily="mono">
                {t.payload.mark}
              </Text>{' '}
              {t.payload.note}
              {t.payload.photos.length > 0 && (
                <Photos label={`Terminal ${t.payload.mark}`} photos={t.payload.photos} />
              )}
            </Box>
          ))}
        </Box>
      )}
      <FieldGrid min="180px">
        <TextField
          label="Terminal, selector or jumper"
          text={mark}
          maxLength={12}
          list="marks-old"
          set={setMark}
        />
        <TextField label="Observation" text={note} maxLength={200} set={setNote} />
      </FieldGrid>
      <datalist id="marks-old">
        {marks.map((m) => (
          <option key={m} value={m} />
        ))}
      </datalist>
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="center">
        <Photos label="Terminal" photos={photos} onChange={setPhotos} />
        <Secondary
          waitsFor={
            mark.trim() === ''
              ? 'Which one?'
              : note.trim() === '' && photos.length === 0
                ? 'Enter an observation or add a photograph.'
                : null
          }
          onClick={() => {
            store.record('swap.terminal', { mark: mark.trim(), note: note.trim(), photos });
            setMark('');
            setNote('');
            setPhotos([]);
          }}
        >
          Save terminal
        </Secondary>
      </Box>
    </Section>
  );
}
