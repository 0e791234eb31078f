'use client';
import { Box, Text } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { mustStayDead, type Payload } from '@/core/logbook';
import { chainWords, runChain, type Link, type LinkId } from '@/core/run-chain';
import { usualTables } from '@/core/tracing';
import { Primary } from '../kit/buttons';
import { Caution } from '../kit/caution';
import { FaceHead, KeptNote } from '../kit/face';
import { StateMark } from '../kit/state-mark';
import type { FaceProps } from '../job/faces';
import { Ladder, linkMark } from './ladder';
import { LinkBar } from './link-bar';
import { InputBits, SeenForm, type Seen } from './seen-form';
import { Tracer } from './tracer';
import { useControl } from '../catalogue/use-control';
import { useLive } from './use-live';

function Reasons({ link }: { link: Link }) {
  return (
    <Box
      as="section"
      aria-label={link.name}
      borderLeft="5px solid"
      borderColor={linkMark[link.state]}
      bg="paper"
      px="4"
      py="3"
      mb="4"
    >
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem">
        <StateMark mark={linkMark[link.state]} label={null} /> {link.name}
      </Text>
      <Text>{link.why}</Text>
      {link.look !== undefined && <Text mt="1">{link.look.what}</Text>}
      {link.evidence.length > 0 && (
        <Box as="ul" mt="2" pl="4" fontSize="0.94rem" color="soft" listStyleType="disc">
          {link.evidence.map((e) => (
            <li key={`${e.what} ${e.said}`}>
              {e.what}: <b>{e.said}</b>
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** Why will it not run? The chain of permissives, from the link or off the display. */
export function TraceFace({ store, goTo }: FaceProps) {
  const { drive, seen } = store.state;
  const typeId = drive?.typeId ?? null;
  const { control, trouble: untold } = useControl(drive === null ? null : typeId);
  const [target, setTarget] = useState<string | null>(null);
  const [watching, setWatching] = useState(false);
  const [reading, setReading] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const [note, setNote] = useState<string | null>(null);
  const [chosen, setChosen] = useState<LinkId | null>(null);
  const { live: now, trouble } = useLive(watching ? target : null, typeId);
  const live = useMemo(() => ({ ...seen?.live, ...now }), [seen, now]);
  const chain = useMemo(
    () =>
      control === null || drive === null
        ? null
        : runChain({ control, supply_V: drive.supply_V, values: seen?.values ?? {}, live }),
    [control, drive, seen, live],
  );

  if (drive === null)
    return (
      <>
        <FaceHead title="Why will it not run?">The chain follows the drive&rsquo;s own entries.</FaceHead>
        <Primary onClick={() => goTo('identify')}>Identify the drive first</Primary>
      </>
    );
  if (control === null || chain === null)
    return (
      <FaceHead title="Why will it not run?">
        {untold ?? 'Fetching what the catalogue says of this type…'}
      </FaceHead>
    );

  const read = async () => {
    if (target === null || typeId === null) return;
    setReading(true);
    setFailed(null);
    setNote(null);
    try {
      const answer = await fetch('/api/v1/drives/read', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ target, typeId }),
      });
      const body = (await answer.json()) as Omit<Payload<'drive.read'>, 'target' | 'typeId'> & {
        error?: string;
      };
      if (!answer.ok) return setFailed(body.error ?? 'Not read.');
      store.record('drive.read', { target, typeId, ...body });
      setNote(
        `Read out: ${Object.keys(body.values).length} entries, ${body.history.length} in the fault history.`,
      );
    } catch {
      setFailed('The server does not answer. Nothing was read.');
    } finally {
      setReading(false);
    }
  };
  const keep = ({ values = {}, live: saw = {} }: Seen) => store.record('drive.seen', { values, live: saw });
  const dead = mustStayDead(store.state);
  const { headline, detail } = chainWords(chain);
  const open = chosen ?? chain.firstOpen ?? chain.next?.settles ?? 'output';
  const link = chain.links.find((l) => l.id === open);
  // The active alarm; without one, the newest that the drive wrote down.
  const code = live.alarm ?? seen?.history[0]?.code;
  const alarm = control.alarms.find((a) => a.code === code);
  const table = usualTables.find((t) => t.family === alarm?.family);
  return (
    <>
      <FaceHead title="Why will it not run?">
        From the supply to the output: the first open link is the answer.
      </FaceHead>
      {dead.length > 0 && (
        <Caution grave title="Do not restore mains to read it.">
          Because of {dead.join(', ')}. What a display or a link says needs another control supply.
        </Caution>
      )}
      <Box role="status" my="4">
        <Text fontFamily="heading" fontWeight="600" fontSize="1.5rem" lineHeight="1.15">
          {headline}
        </Text>
        <Text>{detail}</Text>
      </Box>
      <Ladder links={chain.links} firstOpen={chain.firstOpen} chosen={open} choose={setChosen} />
      {link !== undefined && <Reasons link={link} />}
      {alarm !== undefined && table !== undefined && (
        <Tracer key={table.family} store={store} table={table} alarm={`${alarm.code}, ${alarm.name}`} />
      )}
      {alarm !== undefined && table === undefined && (
        <Box as="section" aria-label="First checks" mb="4">
          <Text fontFamily="heading" fontWeight="600" fontSize="1.1rem">
            First checks for {alarm.code}
          </Text>
          <Box as="ol" pl="5" listStyleType="decimal">
            {alarm.firstChecks.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </Box>
        </Box>
      )}
      {typeId !== null && (
        <LinkBar
          typeId={typeId}
          target={target}
          take={setTarget}
          reading={reading}
          read={() => void read()}
          watching={watching}
          watch={setWatching}
          trouble={failed ?? trouble}
        />
      )}
      <KeptNote text={note} />
      <InputBits
        control={control}
        inputs={live.inputs}
        turn={watching ? null : (id, on) => keep({ live: { inputs: { [id]: on } } })}
      />
      <SeenForm control={control} live={live} keep={keep} />
    </>
  );
}
