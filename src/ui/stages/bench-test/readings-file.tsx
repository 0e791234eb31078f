import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { countOf, type KeptReading } from '@/core/logbook';
import { commonMeter, type MarkedTerminal, type Stage } from '@/core/equipment/power-stage';
import {
  asCase,
  asCsv,
  asJsonLines,
  mostReadings,
  readReadings,
  type Given,
} from '@/core/bench/readings-file';
import { Primary, Secondary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { LongField } from '../../kit/field';
import { saveText } from '../../kit/save-text';
import { ReadingLines } from './reading-lines';
import { Text } from '../../kit/text';

const biggestFile_bytes = 1_000_000;

function Export({
  jobId,
  stage,
  readings,
}: {
  jobId: string;
  stage: Stage;
  readings: readonly KeptReading[];
}) {
  if (readings.length === 0) return <Text>No file read yet.</Text>;
  return (
    <Box display="flex" gap="2" flexWrap="wrap" alignItems="center">
      <Secondary onClick={() => saveText('readings.csv', asCsv(readings))}>Readings, CSV</Secondary>
      <Secondary onClick={() => saveText('readings.jsonl', asJsonLines(readings))}>
        Readings, JSON lines
      </Secondary>
      <Secondary onClick={() => saveText('static-diagnose.json', asCase(jobId, stage, readings))}>
        Case for calc
      </Secondary>
      <Secondary asChild>
        <a href={`/api/v1/jobs/${jobId}/sheet?form=json`}>Complete test, JSON</a>
      </Secondary>
    </Box>
  );
}

/** Readings that were written down elsewhere come in; the test goes out. */
export function ReadingsFile({
  jobId,
  stage,
  strip,
  readings,
  locked,
  keep,
  close,
}: {
  jobId: string;
  stage: Stage;
  strip: readonly MarkedTerminal[];
  readings: readonly KeptReading[];
  /** Why nothing may be kept now, or null. */
  locked: string | null;
  keep: (readings: readonly Given[]) => void;
  close: () => void;
}) {
  const [text, setText] = useState('');
  const [answers, setAnswers] = useState<Readonly<Record<number, Given>>>({});
  const [trouble, setTrouble] = useState<string | undefined>();
  const lines = useMemo(
    () => readReadings(text, strip, readings, commonMeter.ceiling_V),
    [text, strip, readings],
  );
  const change = (next: string) => {
    setText(next);
    setAnswers({});
    setTrouble(undefined);
  };
  const open = async (file: File | undefined) => {
    if (file === undefined) return;
    if (file.size > biggestFile_bytes)
      return setTrouble(`${file.name} is too big for a test: at most 1 MB. Nothing was read.`);
    change(await file.text());
  };
  const wanted = lines.flatMap((line, i): Given[] => {
    const answer = answers[i];
    if (line.kind === 'reading') return [line.reading];
    return line.kind === 'question' && answer !== undefined ? [answer] : [];
  });
  const left = lines.filter(
    (l, i) => l.kind === 'unreadable' || (l.kind === 'question' && answers[i] === undefined),
  ).length;
  const tooMany =
    lines.length > mostReadings
      ? `${lines.length} readings: at most ${mostReadings} at a time. Split the file.`
      : undefined;
  return (
    <Box as="section" aria-label="Readings as a file" borderTop="2px solid" borderColor="ink" pt="3" mb="5">
      <Section title="Readings in">
        <Text mb="3">
          Only readings of this unit, taken with the bus proven dead as now. Name terminals by their marking
          or as L1, U, DC+.
        </Text>
        <LongField
          label="Paste readings"
          hint="Red lead, black lead, value on each line: a table with commas, semicolons or tabs, or JSON lines."
          error={tooMany ?? trouble}
          rows={6}
          fontFamily="mono"
          value={text}
          onChange={(e) => change(e.target.value)}
        />
        <Box display="flex" gap="2" flexWrap="wrap" mt="2" mb="3">
          <Secondary asChild>
            <label style={{ cursor: 'pointer' }}>
              Choose a file
              <input
                type="file"
                accept=".csv,.tsv,.txt,.json,.jsonl,text/*,application/json"
                aria-label="File of readings"
                style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
                onChange={(e) => {
                  void open(e.target.files?.[0]);
                  e.target.value = '';
                }}
              />
            </label>
          </Secondary>
          {text !== '' && <Secondary onClick={() => change('')}>Clear</Secondary>}
        </Box>
        {tooMany === undefined && lines.length > 0 && (
          <ReadingLines
            lines={lines}
            answers={answers}
            answer={(i, reading) => setAnswers({ ...answers, [i]: reading })}
          />
        )}
        {locked !== null && (
          <Text color="failed" my="2">
            {locked}
          </Text>
        )}
        <Box display="flex" gap="2" flexWrap="wrap" mt="3" alignItems="center">
          <Primary
            disabled={wanted.length === 0 || locked !== null || tooMany !== undefined}
            onClick={() => {
              keep(wanted);
              setAnswers({});
            }}
          >
            {wanted.length === 0 ? 'Save' : `Save ${countOf(wanted.length, 'reading')}`}
          </Primary>
          <Secondary onClick={close}>Back to the bench test</Secondary>
          {left > 0 && <Text color="doubt">{countOf(left, 'line')} will be left out.</Text>}
        </Box>
      </Section>
      <Section title="Export the test">
        <Export jobId={jobId} stage={stage} readings={readings} />
      </Section>
    </Box>
  );
}
