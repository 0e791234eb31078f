import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Consequence } from '@/core/bench/story';
import { Secondary } from '../../kit/buttons';
import { LongField } from '../../kit/field';
import { LeadKeeps } from '../../kit/lead-keeps';
import { call } from '../../api/call';
import { Heading, Text } from '../../kit/text';

const partWords: Readonly<Record<string, string>> = {
  'rect.': 'rectifier',
  'inv.': 'inverter',
  'brk.': 'brake chopper',
  'bus.cap': 'bank',
  'bus.precharge': 'precharge resistor',
  'bus.fuse': 'inverter fuse',
  'bus.link': 'link or choke',
};
const modeWords: Readonly<Record<Consequence['modes'][number], string>> = {
  short: 'shorted',
  open: 'open',
  leaky: 'leaking',
  degraded: 'worn',
};

/** When a line of the table is shown: "Rectifier shorted, open or leaking, in two legs or more". */
function occasion({ parts, modes, atLeast }: Consequence): string {
  const named = parts.map((p) => partWords[p] ?? p).join(', ');
  const said = modes.map((m) => modeWords[m]);
  const last = said.pop() ?? '';
  const how = said.length === 0 ? last : `${said.join(', ')} or ${last}`;
  return `${named.charAt(0).toUpperCase()}${named.slice(1)} ${how}${atLeast > 1 ? `, in ${atLeast} legs or more` : ''}`;
}

function Line({
  line,
  change,
  remove,
  disabled,
}: {
  line: Consequence;
  change: (line: Consequence) => void;
  remove: () => void;
  disabled: boolean;
}) {
  return (
    <Box as="li" borderTop="1px solid" borderColor="line" py="3" display="grid" gap="2">
      <Heading as="h3" fontFamily="heading" fontWeight="600" fontSize="1.05rem">
        {occasion(line)}
      </Heading>
      <LongField
        label="Cause and consequence"
        value={line.chain}
        rows={2}
        disabled={disabled}
        maxLength={300}
        onChange={(e) => change({ ...line, chain: e.target.value })}
      />
      <LongField
        label="Inspect before fitting parts, one item per line"
        value={line.inspect.join('\n')}
        rows={Math.max(2, line.inspect.length)}
        disabled={disabled}
        onChange={(e) => change({ ...line, inspect: e.target.value.split('\n') })}
      />
      {!disabled && (
        <Box>
          <Secondary minH="44px" fontSize="0.9rem" onClick={remove}>
            Delete this row
          </Secondary>
        </Box>
      )}
    </Box>
  );
}

/** What a dead part usually means, as this shop has seen it. */
export function ConsequencesEditor({
  table,
  seen,
  lead,
}: {
  table: readonly Consequence[];
  /** The version that the page shows. */
  seen: string;
  lead: boolean;
}) {
  const [lines, setLines] = useState(table);
  const [version, setVersion] = useState(seen);
  const [kept, setKept] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const save = async () => {
    setKept(null);
    const tidy = lines.map((l) => ({
      ...l,
      inspect: l.inspect.map((i) => i.trim()).filter((i) => i !== ''),
    }));
    const answer = await call('PUT /api/v1/consequences', { query: { seen: version }, body: tidy });
    if (answer.ok) {
      setVersion(answer.value.version);
      setTrouble(null);
      setKept('Table saved. It is shown with every faulty verdict from now on.');
    } else
      setTrouble(
        answer.status === 422
          ? 'Not saved: every row needs a cause and consequence of at most 300 characters.'
          : `Not saved: ${answer.error} What you typed stays here.`,
      );
  };
  return (
    <Box as="section" aria-label="Consequences" mt="4">
      <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.3rem">
        Consequences of failed parts
      </Heading>
      <Text mb="2">Shown with a faulty verdict. Common practice, no source: record what you have seen.</Text>
      <Box as="ol" listStyleType="none">
        {lines.map((line) => (
          <Line
            key={line.id}
            line={line}
            disabled={!lead}
            change={(next) => setLines(lines.map((l) => (l.id === line.id ? next : l)))}
            remove={() => setLines(lines.filter((l) => l.id !== line.id))}
          />
        ))}
      </Box>
      <LeadKeeps
        lead={lead}
        label="Save table"
        others="Only the shop lead can change this table."
        save={() => void save()}
        trouble={trouble}
        kept={kept}
      />
    </Box>
  );
}
