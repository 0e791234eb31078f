'use client';
import { Box, Text } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { mustStayDead, openTrials } from '@/core/logbook';
import { chainWords, runChain, type Link, type LinkId } from '@/core/run-chain';
import { driveSays, familyWords, newestBurst } from '@/core/tracing';
import { movesUnasked } from '@/core/trials';
import { useControl } from '../catalogue/use-control';
import type { FaceProps } from '../job/faces';
import { Primary } from '../kit/buttons';
import { Caution } from '../kit/caution';
import { FaceHead, KeptNote } from '../kit/face';
import { Select } from '../kit/field';
import { StateMark } from '../kit/state-mark';
import { Clearing, FaultHistory } from './clearing';
import { JumperRegister } from './jumper-register';
import { Ladder, linkMark } from './ladder';
import { LinkBar } from './link-bar';
import { LoopPanel } from './loop-panel';
import { InputBits, SeenForm, type Seen } from './seen-form';
import { Tracer } from './tracer';
import { Trend } from './trend';
import { Trials } from './trials';
import { useLive } from './use-live';
import { useReadOut } from './use-read-out';
import { useTraceTables } from './use-trace-tables';

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

/** Why will it not run? The chain of permissives, from the link or off the display, and from an alarm to its cause. */
export function TraceFace({ store, catalogue, goTo }: FaceProps) {
  const { drive, seen, asFound, registers, traced } = store.state;
  const typeId = drive?.typeId ?? null;
  const { control, trouble: untold } = useControl(drive === null ? null : typeId);
  const tables = useTraceTables();
  const [target, setTarget] = useState<string | null>(null);
  const [watching, setWatching] = useState(false);
  const [chosen, setChosen] = useState<LinkId | null>(null);
  const [picked, setPicked] = useState<string | null>(null);
  const { live: now, trouble } = useLive(watching ? target : null, typeId);
  const readOut = useReadOut(store, target, typeId);
  const live = useMemo(() => ({ ...seen?.live, ...now }), [seen, now]);
  const values = useMemo(() => seen?.values ?? {}, [seen]);
  const chain = useMemo(
    () =>
      control === null || drive === null
        ? null
        : runChain({ control, supply_V: drive.supply_V, values, live }),
    [control, drive, values, live],
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

  const keep = ({ values: put = {}, live: saw = {} }: Seen) =>
    store.record('drive.seen', { values: put, live: saw });
  const dead = mustStayDead(store.state);
  const { headline, detail } = chainWords(chain);
  const open = chosen ?? chain.firstOpen ?? chain.next?.settles ?? 'output';
  const link = chain.links.find((l) => l.id === open);
  const history = seen?.history ?? [];
  // The active alarm; without one, the first of the newest event that the drive wrote down.
  const code = live.alarm ?? newestBurst(history)?.first.code;
  const alarm = control.alarms.find((a) => a.code === code);
  const family = picked ?? alarm?.family ?? null;
  const table = tables.find((t) => t.family === family);
  const deadMeasured = traced.some(
    ({ payload }) =>
      payload.family === table?.family &&
      table.checks.find((c) => c.id === payload.check)?.hazard === 'dead' &&
      table.checks.some((c) => c.outcomes.some((o) => o.id === payload.outcome)),
  );
  const model = catalogue.find((t) => t.id === typeId)?.models.find((m) => m.type === drive.type);
  const rating = {
    ratedAmps: drive.ratedAmps,
    // Of a model that no catalogue knows: about what its amps carry.
    power_kW: model?.power_kW ?? (Math.sqrt(drive.phases) * drive.supply_V * drive.ratedAmps * 0.8) / 1000,
    supply_V: drive.supply_V,
  };
  const terminals = [...control.inputs, ...(control.safeStop?.channels ?? [])];
  const said = table === undefined ? [] : driveSays(table, { control, ...rating, values, live });
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
      {movesUnasked(control, values).map(({ parameter, warning }) => (
        <Caution key={parameter.number} grave title={`${parameter.number} ${parameter.name}:`}>
          {warning} Isolate before you reach in.
        </Caution>
      ))}
      <Box role="status" my="4">
        <Text fontFamily="heading" fontWeight="600" fontSize="1.5rem" lineHeight="1.15">
          {headline}
        </Text>
        <Text>{detail}</Text>
      </Box>
      <Ladder links={chain.links} firstOpen={chain.firstOpen} chosen={open} choose={setChosen} />
      {link !== undefined && <Reasons link={link} />}
      {typeId !== null && (
        <LinkBar
          typeId={typeId}
          target={target}
          take={setTarget}
          reading={readOut.reading}
          read={() => void readOut.read()}
          watching={watching}
          watch={setWatching}
          trouble={readOut.trouble ?? trouble}
        />
      )}
      <KeptNote text={readOut.note} />
      <InputBits
        control={control}
        inputs={live.inputs}
        turn={watching ? null : (id, on) => keep({ live: { inputs: { [id]: on } } })}
      />
      <JumperRegister
        jumpers={registers.jumpers}
        remove={(j, how) => store.record('jumper.removed', { jumper: j.id, how })}
      />
      <Box maxW="420px" mb="4">
        <Select
          label="Trace"
          value={family ?? ''}
          onChange={(v) => setPicked(v === '' ? null : v)}
          options={[
            { value: '', label: 'choose what it shows or does' },
            ...tables.map((t) => ({ value: t.family, label: familyWords[t.family] })),
          ]}
        />
      </Box>
      {table !== undefined && (
        <Tracer
          key={table.family}
          store={store}
          table={table}
          said={said}
          alarm={
            picked === null && alarm !== undefined
              ? `${alarm.code}, ${alarm.name}`
              : familyWords[table.family]
          }
        />
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
      <FaultHistory control={control} history={history} />
      {alarm !== undefined && live.alarm === alarm.code && (
        <Clearing
          alarm={alarm}
          captured={(seen !== null && seen.readAt !== null) || (asFound !== null && 'captured' in asFound)}
          deadNeeded={table?.deadFirst === true && !deadMeasured}
          goToAsFound={() => goTo('as-found')}
        />
      )}
      <Trials
        store={store}
        control={control}
        rating={rating}
        values={values}
        target={target}
        typeId={typeId}
        link={chain.firstOpen}
        family={alarm?.family}
        open={openTrials(registers)}
      />
      <LoopPanel control={control} terminals={terminals} inputs={live.inputs} store={store} />
      <Trend store={store} terminals={terminals} live={now} />
      <SeenForm control={control} live={live} keep={keep} />
    </>
  );
}
