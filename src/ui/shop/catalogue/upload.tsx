import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Primary, Secondary } from '../../kit/buttons';
import { KeptNote } from '../../kit/kept-note';
import { PlainTable } from '../../kit/plain-table';
import { filesIn, type Json } from '@/core/equipment/type-edit';
import type { ApiProblem } from '@/api/contract';
import { call } from '../../api/call';
import { Cell, Heading, Text } from '../../kit/text';

interface Files {
  type: string | null;
  control: string | null;
}

const nothing: Files = { type: null, control: null };

const pretty = (value: Json): string => JSON.stringify(value, null, 2);

/** Both files out of one that was handed on; null for any other text. */
function handedOn(text: string): Files | null {
  try {
    const files = filesIn(JSON.parse(text) as Json);
    return files && { type: pretty(files.type), control: files.control && pretty(files.control) };
  } catch {
    // What is wrong with it is said with its line when it is checked.
    return null;
  }
}

/** The two files of a type, by their names, or the one that holds both; another lone file is type.json. */
async function readFiles(list: FileList): Promise<Files> {
  const files = await Promise.all([...list].map(async (f) => ({ name: f.name, text: await f.text() })));
  const [only, second] = files;
  const both = only === undefined || second !== undefined ? null : handedOn(only.text);
  if (both !== null) return both;
  const control = files.find((f) => f.name.includes('control'))?.text ?? null;
  return { type: files.find((f) => !f.name.includes('control'))?.text ?? null, control };
}

/** A type that the workshop wrote: checked line by line, then kept by the shop lead. */
export function Upload({ lead, added }: { lead: boolean; added: (id: string) => void }) {
  const [files, setFiles] = useState(nothing);
  const [problems, setProblems] = useState<readonly ApiProblem[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  const send = async (given: Files, keep: boolean) => {
    setTrouble(null);
    setKept(null);
    setProblems(null);
    if (given.type === null) return setTrouble('type.json is missing: choose both files together.');
    const { type, control } = given;
    const answer = await call('POST /api/v1/catalogue', { body: { type, control, keep } });
    if (!answer.ok) {
      if (answer.problems.length > 0) return setProblems(answer.problems);
      return setTrouble(
        answer.status === 0 ? 'Server not reachable. The files stay selected; try again.' : answer.error,
      );
    }
    setProblems([]);
    if (keep) {
      setKept(`${answer.value.id} was added to the catalogue.`);
      added(answer.value.id);
    }
  };
  const good = problems?.length === 0;
  return (
    <Box as="section" aria-label="Add a drive type" mt="8">
      <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.3rem">
        Add a drive type
      </Heading>
      <Text mb="3">
        Two files, type.json and control.json, as described in docs/catalogue.md, or the one file that the
        editor saves. All is checked line by line before it is saved.
      </Text>
      <Box display="flex" gap="3" flexWrap="wrap" alignItems="center">
        <Box
          asChild
          fontFamily="body"
          css={{ '&::file-selector-button': { minHeight: '48px', marginRight: '12px', padding: '0 16px' } }}
        >
          <input
            type="file"
            multiple
            accept=".json,application/json"
            aria-label="Files of the type"
            onChange={(e) => {
              const { files: list } = e.target;
              if (list === null || list.length === 0) return;
              void readFiles(list).then((read) => {
                setFiles(read);
                return send(read, false);
              });
            }}
          />
        </Box>
        {good && lead && <Primary onClick={() => void send(files, true)}>Save this type</Primary>}
        {files.type !== null && !good && (
          <Secondary onClick={() => void send(files, false)}>Check again</Secondary>
        )}
      </Box>
      {good && kept === null && (
        <Text role="status" mt="3">
          No errors found. {!lead && 'Only the shop lead can add it to the catalogue.'}
        </Text>
      )}
      {trouble !== null && (
        <Text role="alert" color="failed" mt="3">
          {trouble}
        </Text>
      )}
      {problems !== null && problems.length > 0 && (
        <Box role="alert" mt="3">
          <Text fontWeight="500" mb="1">
            Not saved: {problems.length} {problems.length === 1 ? 'line must be' : 'lines must be'} corrected.
          </Text>
          <PlainTable heads={['File', 'Line', 'Where', 'What is wrong']}>
            {problems.map((p) => (
              <tr key={`${p.file} ${p.line} ${p.path} ${p.allowed}`}>
                <Cell>{p.file}</Cell>
                <Cell>
                  <Text as="span" fontFamily="mono">
                    {p.line}
                  </Text>
                </Cell>
                <Cell>{p.path}</Cell>
                <Cell>{p.allowed}</Cell>
              </tr>
            ))}
          </PlainTable>
        </Box>
      )}
      <KeptNote text={kept} />
    </Box>
  );
}
