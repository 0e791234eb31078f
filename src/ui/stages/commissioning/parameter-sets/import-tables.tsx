import { Box } from '@chakra-ui/react';
import type { Control } from '@/core/equipment/catalogue';
import type { SetLine } from '@/core/parameter-sets/set-files';
import { Secondary } from '../../../kit/buttons';
import { PlainTable } from '../../../kit/plain-table';
import { StateMark, type Mark } from '../../../kit/state-mark';
import { Disclosure } from '../../../kit/why';
import { Cell } from '../../../kit/text';

const marks: Readonly<Record<SetLine['state'], Mark>> = {
  taken: 'sound',
  unknown: 'unprobed',
  refused: 'failed',
  twice: 'failed',
};
const stateWords: Readonly<Record<SetLine['state'], string>> = {
  taken: 'taken',
  unknown: 'not known',
  refused: 'not accepted',
  twice: 'twice',
};

/** The entries a type lets one write, to type values from paper. */
export function WritableEntries({ control, add }: { control: Control; add: (number: string) => void }) {
  return (
    <Disclosure label="parameters of this type, to type from paper">
      <PlainTable heads={['Parameter', 'Range or choices', '']}>
        {control.parameters
          .filter((p) => !p.readOnly)
          .map((p) => (
            <tr key={p.number}>
              <Cell>
                <b>{p.number}</b> {p.name}
              </Cell>
              <Cell>{p.choices?.map((c) => `${c.value}: ${c.name}`).join(', ') ?? p.unit ?? 'a value'}</Cell>
              <Cell>
                <Secondary aria-label={`Add ${p.number} ${p.name}`} onClick={() => add(p.number)}>
                  Add
                </Secondary>
              </Cell>
            </tr>
          ))}
      </PlainTable>
    </Disclosure>
  );
}

/** Each line of a file and what was made of it, those not taken first. */
export function LinesTaken({ lines }: { lines: readonly SetLine[] }) {
  return (
    <Box mt="3">
      <PlainTable heads={['Line', 'Number', 'Value', '']}>
        {[...lines]
          .sort((a, b) => Number(a.state === 'taken') - Number(b.state === 'taken') || a.line - b.line)
          .map((l) => (
            <tr key={l.line}>
              <Cell>{l.line}</Cell>
              <Cell>{l.number}</Cell>
              <Cell>{l.text}</Cell>
              <Cell>
                <StateMark mark={marks[l.state]} label={stateWords[l.state]} /> {l.words}
              </Cell>
            </tr>
          ))}
      </PlainTable>
    </Box>
  );
}
