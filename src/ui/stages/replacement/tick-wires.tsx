import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import { tickHeld } from '@/core/logbook';
import type { Swap } from '@/core/job/swap';
import { wireRoleWords, wireEnds, type RecordedWire, type WireEnd } from '@/core/replacement/wires';
import type { StageProps } from '../../job-store/stage-props';
import { Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { NumberField } from '../../kit/field';
import { StateMark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { useNow } from '../../kit/use-now';
import { Item, Text } from '../../kit/text';

const endWords: Readonly<Record<WireEnd, string>> = { drive: 'drive end', field: 'far end' };

function OneWire({
  wire,
  to,
  wrong,
  held,
  tick,
}: {
  wire: RecordedWire;
  to: string;
  /** What its terminal does otherwise; undefined: nothing. */
  wrong: string | undefined;
  /** The drive's end cannot be put on and seen now. */
  held: boolean;
  tick: (end: WireEnd, on: boolean) => void;
}) {
  const both = wireEnds.every((e) => wire.ticked[e] !== undefined);
  return (
    <Box
      as="li"
      id={`wire-${wire.number}`}
      display="grid"
      gridTemplateColumns={{ base: '2.6em minmax(0, 1fr)', md: '2.6em 8.5em minmax(0, 1fr)' }}
      columnGap="3"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="line"
      py="1"
      css={{ contentVisibility: 'auto', containIntrinsicSize: 'auto 60px' }}
    >
      <Text fontFamily="mono" fontSize="1.25rem" fontWeight="600">
        {wire.number}
      </Text>
      <Text fontFamily="mono" fontSize="1.15rem">
        {wire.from ?? 'loose'} → {to}
      </Text>
      <Text gridColumn={{ base: '2', md: 'auto' }}>
        <StateMark mark={both ? 'sound' : 'unprobed'} label={both ? 'both ends checked' : 'open'} />{' '}
        {wireRoleWords(wire.role)}
        {wire.ferrule !== '' && (
          <Text as="span" color="soft">
            {' '}
            · ferrule {wire.ferrule}
          </Text>
        )}
        {wrong !== undefined && (
          <Text as="span" display="block" color="failed" fontWeight="500">
            {wrong}
          </Text>
        )}
      </Text>
      <Box gridColumn="2 / -1" display="flex" columnGap="5" flexWrap="wrap">
        {wireEnds.map((end) => (
          <Tick
            key={end}
            label={`${wire.number}, ${endWords[end]}${wire.ticked[end] === undefined ? '' : ` (${wire.ticked[end]})`}`}
            checked={wire.ticked[end] !== undefined}
            disabled={held && end === 'drive' && wire.ticked[end] === undefined}
            onChange={(on) => tick(end, on)}
          />
        ))}
      </Box>
    </Box>
  );
}

/** Wires on again: each ticked from both ends, with what is tightened how far and which jumpers come out. */
export function TickWires({
  store,
  person,
  limits,
  goTo,
  swap,
  control,
  asked,
}: StageProps & {
  swap: Swap;
  control: Control | null;
  /** Number of the wire whose label was read; empty: none was. */
  asked: string;
}) {
  const [find, setFind] = useState(asked);
  const [left, setLeft] = useState(false);
  const now = useNow(store.clockOffset_ms, 5000);
  const { state } = store;
  const held = tickHeld({
    job: state,
    limits,
    by: person,
    at: now === 0 ? state.safety.lastAt : now,
  });
  const to = new Map((swap.map?.fates ?? []).map((f) => [f.wire, f.to]));
  const wrong = new Map(
    (swap.map?.fates ?? []).flatMap((f) =>
      f.outcome === 'set' || f.outcome === 'by-hand' ? [[f.wire, f.why]] : [],
    ),
  );
  const placed = store.state.swap.wires.filter((w) => typeof to.get(w.id) === 'string');
  const done = placed.filter((w) => wireEnds.every((e) => w.ticked[e] !== undefined)).length;
  const number = Number(find.trim());
  const shown = placed.filter(
    (w) =>
      (find.trim() === '' || w.number === number || w.ferrule === find.trim()) &&
      (!left || wireEnds.some((e) => w.ticked[e] === undefined)),
  );
  const capped = store.state.swap.wires.filter((w) => to.get(w.id) === null);
  return (
    <>
      <Text role="status" fontSize="1.2rem" fontWeight="600" mb="2">
        <StateMark mark={done === placed.length && placed.length > 0 ? 'sound' : 'unprobed'} label={null} />{' '}
        {done} of {placed.length} wires checked at both ends
      </Text>
      {control !== null && control.fitting.torques.length > 0 && (
        <Text mb="2">
          Torque: {control.fitting.torques.map((t) => `${t.terminals} ${t.torque_Nm} N·m`).join('; ')}. From
          the catalogue; the label on the unit takes precedence.
        </Text>
      )}
      {(swap.map?.jumpersOut ?? []).map(([a, b]) => (
        <Text key={`${a} ${b}`} fontWeight="500">
          <StateMark mark="doubt" label="to do" /> Factory jumper {a} to {b} must be removed.
        </Text>
      ))}
      <FieldGrid min="180px">
        <NumberField
          label="Find by number or ferrule"
          inputMode="text"
          text={find}
          set={setFind}
          hint="Or scan its label"
        />
      </FieldGrid>
      <Box display="flex" gap="3" flexWrap="wrap" alignItems="center" mb="2">
        <Tick label="Open ones only" checked={left} onChange={setLeft} />
        <Secondary asChild>
          <a href="/scan">Scan a label</a>
        </Secondary>
      </Box>
      {held !== null && (
        <Caution signal={null} title="Drive end blocked.">
          {held}
          <Box mt="2">
            <Secondary onClick={() => goTo('make-safe')}>To the dead proof</Secondary>
          </Box>
        </Caution>
      )}
      <Box as="ol" listStyleType="none" aria-label="Wires to check">
        {shown.map((w) => (
          <OneWire
            key={w.id}
            wire={w}
            to={to.get(w.id) ?? ''}
            wrong={wrong.get(w.id)}
            held={held !== null}
            tick={(end, on) => store.record('wire.ticked', { wire: w.id, end, on, to: to.get(w.id) ?? '' })}
          />
        ))}
      </Box>
      {shown.length === 0 && <Text>No match.</Text>}
      {capped.length > 0 && (
        <Section title="Without a terminal">
          <Box as="ul" listStyleType="none">
            {capped.map((w) => (
              <Item key={w.id}>
                {w.number}, {w.from ?? 'loose'}: {wireRoleWords(w.role)}. Cap and tag it.
              </Item>
            ))}
          </Box>
        </Section>
      )}
    </>
  );
}
