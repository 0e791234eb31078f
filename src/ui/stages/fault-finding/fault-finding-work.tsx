import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { ratingOf, supplyOf, type Control } from '@/core/equipment/catalogue';
import { openTrials, type Payload } from '@/core/logbook';
import { chainWords, runChain, type ChainLinkId } from '@/core/fault-finding/run-chain';
import { newestBurst } from '@/core/fault-finding/tracing';
import { movesUnasked } from '@/core/fault-finding/trials';
import type { StageProps } from '../../job-store/stage-props';
import { Caution } from '../../kit/caution';
import { KeptNote } from '../../kit/kept-note';
import { Tabs } from '../../kit/tabs';
import { AlarmPanel } from './alarm-panel';
import { JumperRegister } from './jumper-register';
import { Ladder } from './ladder';
import { LinkBar } from '../../drive-link/link-bar';
import { LinkShut, whyLinkShut } from '../../drive-link/link-shut';
import { LoopPanel } from './loop-panel';
import { MainsStayOff } from './mains-stay-off';
import { Reasons } from './reasons';
import { InputBits, SeenForm, type ObservedValues } from './seen-form';
import { TrendPanel } from './trend';
import { Trials } from './trials';
import { useLive } from '../../drive-link/use-live';
import { useReadOut } from '../../drive-link/use-read-out';
import { useTraceTables } from './use-trace-tables';
import { useTrend } from './use-trend';
import { Text } from '../../kit/text';

type Panel = 'alarm' | 'trials' | 'loops' | 'trend' | 'by-hand';
const panels: readonly { id: Panel; name: string }[] = [
  { id: 'by-hand', name: 'Display readings' },
  { id: 'alarm', name: 'Fault to cause' },
  { id: 'loops', name: '24 V loops' },
  { id: 'trials', name: 'Trials' },
  { id: 'trend', name: 'Trend' },
];

type Drive = Payload<'identify.drive'>;

/** The chain from the link or off the display, and one panel of what can be done about it. */
export function FaultFindingWork({
  store,
  person,
  limits,
  catalogue,
  goTo,
  drive,
  control,
}: StageProps & { drive: Drive; control: Control }) {
  const { seen, registers } = store.state;
  const { typeId } = drive;
  const supply_V = supplyOf(drive, catalogue);
  const tables = useTraceTables();
  const [target, setTarget] = useState<string | null>(null);
  const [watching, setWatching] = useState(false);
  const [chosen, setChosen] = useState<ChainLinkId | null>(null);
  const [panel, setPanel] = useState<Panel | null>(null);
  const trend = useTrend();
  const { live: now, trouble } = useLive(watching ? target : null, typeId, trend.add);
  const [note, setNote] = useState<string | null>(null);
  const readOut = useReadOut(store, target, typeId, setNote);
  const live = useMemo(() => ({ ...seen?.live, ...now }), [seen, now]);
  const values = useMemo(() => seen?.values ?? {}, [seen]);
  const busLevels = catalogue.find((t) => t.id === typeId)?.busLevels;
  const shut = whyLinkShut(store.state, control);
  const chain = useMemo(
    () => runChain({ control, supply_V, busLevels, values, live }),
    [control, supply_V, busLevels, values, live],
  );
  const keep = ({ values: put = {}, live: saw = {} }: ObservedValues) =>
    store.record('drive.seen', { values: put, live: saw });
  const { headline, detail } = chainWords(chain);
  const asked = chosen ?? chain.firstOpen ?? chain.next?.settles ?? 'output';
  const link = chain.links.find((l) => l.id === asked);
  // The active alarm; without one, the first of the newest event that the drive wrote down, or what was recorded as found.
  const { asFound } = store.state;
  const displayed = asFound !== null && 'captured' in asFound ? asFound.captured.active : undefined;
  const code = live.alarm ?? newestBurst(seen?.history ?? [])?.first.code ?? displayed;
  const alarm = control.alarms.find((a) => a.code === code);
  const rating = ratingOf(drive, catalogue);
  const terminals = [...control.inputs, ...(control.safeStop?.channels ?? [])];
  const open = panel ?? (alarm === undefined ? 'by-hand' : 'alarm');
  const chainParts = (
    <>
      {/* It keeps its height while the drive is watched: what is below must not move from under a finger. */}
      <Box role="status" my="4" minH="5.5rem">
        <Text fontFamily="heading" fontWeight="600" fontSize="1.5rem" lineHeight="1.15">
          {headline}
        </Text>
        <Text>{detail}</Text>
      </Box>
      {shut !== null && <LinkShut why={shut} />}
      {typeId !== null && shut === null && (
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
      <KeptNote text={note} />
      <Ladder links={chain.links} firstOpen={chain.firstOpen} chosen={asked} choose={setChosen} />
      {link !== undefined && <Reasons link={link} />}
      <InputBits
        control={control}
        inputs={live.inputs}
        turn={watching ? null : (id, on) => keep({ live: { inputs: { [id]: on } } })}
      />
      <JumperRegister
        jumpers={registers.jumpers}
        remove={(j, how) => store.record('jumper.removed', { jumper: j.id, how })}
      />
    </>
  );
  return (
    <>
      <MainsStayOff state={store.state} />
      {movesUnasked(control, values).map(({ parameter, warning }) => (
        <Caution key={parameter.number} grave title={`${parameter.number} ${parameter.name}:`}>
          {warning} Isolate before you reach in.
        </Caution>
      ))}
      {/* With a fault its next check comes first; without one, the chain says what holds the drive. */}
      {alarm === undefined && chainParts}
      <Tabs label="What to do" panels={panels} open={open} choose={setPanel}>
        {open === 'by-hand' && <SeenForm {...{ control, rating, live, keep }} />}
        {open === 'alarm' && (
          <AlarmPanel
            store={store}
            person={person}
            limits={limits}
            control={control}
            rating={rating}
            tables={tables}
            alarm={alarm}
            values={values}
            live={live}
            goTo={goTo}
          />
        )}
        {open === 'loops' && (
          <LoopPanel control={control} terminals={terminals} inputs={live.inputs} store={store} />
        )}
        {open === 'trials' && (
          <Trials
            store={store}
            control={control}
            rating={rating}
            values={values}
            target={target}
            link={chain.firstOpen}
            family={alarm?.family}
            open={openTrials(registers)}
          />
        )}
        {open === 'trend' && <TrendPanel store={store} terminals={terminals} trend={trend} />}
      </Tabs>
      {alarm !== undefined && chainParts}
    </>
  );
}
