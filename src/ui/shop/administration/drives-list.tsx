import { useState } from 'react';
import { Primary } from '../../kit/buttons';
import { KeptNote } from '../../kit/kept-note';
import { LongField } from '../../kit/field';
import { call } from '../../api/call';
import { Heading, Text } from '../../kit/text';

/** Addresses that the link may talk to, beside this machine. */
export function DrivesList({
  drives,
  seen,
  lead,
}: {
  drives: readonly string[];
  /** The version that the page shows. */
  seen: string;
  lead: boolean;
}) {
  const [text, setText] = useState(drives.join('\n'));
  const [version, setVersion] = useState(seen);
  const [kept, setKept] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | undefined>();
  const lines = text
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => l !== '');
  const save = async () => {
    setKept(null);
    const answer = await call('PUT /api/v1/drives', { query: { seen: version }, body: lines });
    if (answer.ok) {
      setVersion(answer.value.version);
      setTrouble(undefined);
      setKept('List saved.');
      return;
    }
    const [first] = answer.problems;
    setTrouble(
      first === undefined
        ? `Not saved: ${answer.error}`
        : `${lines[Number(first.path)] ?? 'A line'}: ${first.allowed}.`,
    );
  };
  return (
    <section aria-label="Drives on the network">
      <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.15rem" mb="1">
        Drives on the network
      </Heading>
      <Text mb="3">
        Grim Spanner connects only to these addresses and to this machine. Enter only drives of this site.
      </Text>
      <LongField
        label="Addresses, one per line"
        hint="Host:port, or host:port/unit"
        error={trouble}
        rows={4}
        fontFamily="mono"
        value={text}
        disabled={!lead}
        onChange={(e) => setText(e.target.value)}
      />
      {lead && (
        <Primary mt="2" onClick={() => void save()}>
          Save list
        </Primary>
      )}
      <KeptNote text={kept} />
    </section>
  );
}
