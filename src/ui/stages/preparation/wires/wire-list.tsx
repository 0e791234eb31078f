'use client';
import { Box } from '@chakra-ui/react';
import { useCallback, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import type { Swap } from '@/core/job/swap';
import type { StageProps } from '../../../job-store/stage-props';
import { Primary, Secondary } from '../../../kit/buttons';
import { Caution } from '../../../kit/caution';
import { Section } from '../../../kit/section';
import { KeptNote } from '../../../kit/kept-note';
import { Choice, optionsOf } from '../../../kit/field';
import { StateMark } from '../../../kit/state-mark';
import { Tick } from '../../../kit/tick';
import { FacingStrips } from './facing-strips';
import { wireName } from './placement-words';
import { Labels } from './labels';
import { NoteLine } from './note-line';
import { TerminalPhotos } from './terminal-photos';
import { WireDecision } from './wire-decision';
import { WireForm } from './wire-form';
import { type JobStore } from '../../../job-store/use-job';
import { unitTerminals, type RecordedWire } from '@/core/replacement/wires';
import { WireLine } from './wire-line';
import { Said, Text } from '../../../kit/text';

type Show = 'all' | 'open' | 'control' | 'power';

/** What must be settled before the old unit comes out, what keeps it first. */
function ToBeSettled({ swap, store, show }: { swap: Swap; store: JobStore; show: (wire: string) => void }) {
  const { map, issues } = swap;
  const jumpersOut = map?.jumpersOut ?? [];
  if (issues.length === 0 && (map?.notes.length ?? 0) === 0 && jumpersOut.length === 0) return null;
  return (
    <Section title="To settle">
      <Box as="ul" listStyleType="none" aria-label="To settle">
        {[...issues]
          .sort((a, b) => Number(b.holds) - Number(a.holds))
          .map((m, i) => (
            <Box as="li" key={`${m.wire} ${i}`} py="1" display="flex" gap="2" alignItems="baseline">
              <StateMark mark={m.holds ? 'failed' : 'doubt'} label={m.holds ? 'blocks removal' : 'to know'} />
              <span>
                <Said>{m.text}</Said>{' '}
                <Box asChild textDecoration="underline" minH="28px" cursor="pointer">
                  <button type="button" onClick={() => show(m.wire)}>
                    open
                  </button>
                </Box>
              </span>
            </Box>
          ))}
        {jumpersOut.map(([a, b]) => (
          <Box as="li" key={`${a} ${b}`} py="1" display="flex" gap="2" alignItems="baseline">
            <StateMark mark="doubt" label="to do" />
            <span>
              The factory jumper {a} to {b} of the new unit must be removed: a wire replaces it.
            </span>
          </Box>
        ))}
        {map?.notes.map((n) => (
          <NoteLine key={n.id} note={n} store={store} />
        ))}
      </Box>
    </Section>
  );
}

/** By which set the inputs of the new unit are taken. */
const valuesFromWords = ({ from, name }: NonNullable<Swap['next']>['from']): string =>
  from === 'translated'
    ? `Inputs of the new unit as translated from the set “${name ?? ''}”.`
    : from === 'set'
      ? `Inputs of the new unit as in the set “${name ?? ''}”.`
      : 'No parameter set saved: factory defaults are assumed for the inputs of the new unit.';

const wiresShown = (wires: readonly RecordedWire[], show: Show, issues: Swap['issues']): RecordedWire[] =>
  wires.filter((w) => {
    if (show === 'open') return issues.some((m) => m.wire === w.id);
    return show === 'all' || w.role.startsWith('power:') === (show === 'power');
  });

/** The wires of the old unit: noted, mapped onto the new one, and what must be settled before it comes out. */
export function WireList({ jobId, store, swap }: StageProps & { swap: Swap }) {
  const { wires, selectors } = store.state.swap;
  const { map, issues, units } = swap;
  const [open, setOpen] = useState<string | null>(null);
  const [adding, setAdding] = useState<{ id: string; quick: boolean } | null>(null);
  const [show, setShow] = useState<Show>('all');
  const [every, setEvery] = useState(false);
  const [kept, setKept] = useState<string | null>(null);
  const placementOf = useMemo(() => new Map((map?.fates ?? []).map((f) => [f.wire, f])), [map]);
  const oldTerminals = useMemo(
    () => map?.old ?? (swap.old === null ? [] : unitTerminals(swap.old.wired, selectors)),
    [map, swap.old, selectors],
  );
  const toggle = useCallback((id: string) => setOpen((now) => (now === id ? null : id)), []);
  const next = Math.max(0, ...wires.map((w) => w.number)) + 1;
  const shown = wiresShown(wires, show, issues);
  const names = {
    old: `${units.old.maker} ${units.old.type}`,
    next: units.next === null ? 'new unit' : `${units.next.maker} ${units.next.type}`,
  };
  return (
    <>
      <Caution title="Look, photograph and read only, as long as anything is live.">
        Touch, pull, label and open covers only where this section is isolated, proven dead and barriered from
        a live bypass.
      </Caution>
      <Section title="Old and new">
        {units.next === null && (
          <Text mb="2">
            New unit not chosen yet: choose it under Repair or replace, then every wire gets a new terminal.
          </Text>
        )}
        {swap.next !== null && (
          <Text mb="2" color="soft">
            {valuesFromWords(swap.next.from)}
          </Text>
        )}
        {map !== null && wires.length > 0 && (
          <>
            <FacingStrips
              map={map}
              wires={shown}
              names={names}
              open={open}
              choose={(id) => {
                setOpen(id);
                const at = wires.find((w) => w.id === id);
                if (at !== undefined)
                  document.getElementById(`wire-${at.number}`)?.scrollIntoView({ block: 'nearest' });
              }}
              all={every}
            />
            <Tick label="Show terminals without a wire" checked={every} onChange={setEvery} />
          </>
        )}
      </Section>
      <ToBeSettled
        swap={swap}
        store={store}
        show={(wire) => {
          setShow('all');
          setOpen(wire);
        }}
      />
      <Section title={`Wires, ${wires.length}`}>
        {wires.length === 0 && (
          <Text mb="2">
            No wires yet. Start at one end of the strip: terminal marking and ferrule number are enough; a
            photograph helps. Add the rest later.
          </Text>
        )}
        <Box display="flex" gap="2" flexWrap="wrap" mb="3" alignItems="end">
          <Primary onClick={() => setAdding({ id: v7(), quick: true })}>Add wire quickly</Primary>
          <Secondary onClick={() => setAdding({ id: v7(), quick: false })}>Add a wire</Secondary>
          {wires.length > 8 && (
            <Choice<Show>
              label="Show"
              hideLabel
              value={show}
              onChange={setShow}
              options={optionsOf({ all: 'all', open: 'to settle', control: 'control', power: 'power' })}
            />
          )}
        </Box>
        <KeptNote text={kept} />
        {adding !== null && (
          <Box bg="paper" p="3" mb="3" borderLeft="5px solid" borderColor="ink">
            <WireForm
              key={adding.id}
              id={adding.id}
              wire={null}
              number={next}
              terminals={oldTerminals}
              unit={units.old}
              quick={adding.quick}
              keep={(noted) => {
                store.record('wire.noted', noted);
                setKept(`Wire ${noted.number} saved.`);
                setAdding(adding.quick ? { id: v7(), quick: true } : null);
              }}
              cancel={() => setAdding(null)}
            />
          </Box>
        )}
        <Box as="ol" listStyleType="none" aria-label="Wires">
          {shown.map((w) => (
            <WireLine
              key={w.id}
              wire={w}
              placement={placementOf.get(w.id)}
              open={open === w.id}
              toggle={toggle}
            >
              {open === w.id && (
                <>
                  <WireDecision
                    wire={w}
                    placement={placementOf.get(w.id)}
                    terminals={map?.next ?? []}
                    store={store}
                  />
                  <WireForm
                    id={w.id}
                    wire={w}
                    number={w.number}
                    terminals={oldTerminals}
                    unit={units.old}
                    quick={false}
                    keep={(noted) => {
                      store.record('wire.noted', noted);
                      setKept(`${wireName({ number: noted.number, ferrule: noted.ferrule })} saved.`);
                      setOpen(null);
                    }}
                    cancel={() => setOpen(null)}
                  />
                </>
              )}
            </WireLine>
          ))}
        </Box>
      </Section>
      <TerminalPhotos store={store} marks={oldTerminals.map((t) => t.mark)} />
      {wires.length > 0 && <Labels jobId={jobId} wires={wires.length} />}
    </>
  );
}
