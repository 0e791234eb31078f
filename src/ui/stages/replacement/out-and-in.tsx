import { Box } from '@chakra-ui/react';
import { modelOf, stageOf } from '@/core/equipment/catalogue';
import { handsLock } from '@/core/logbook';
import type { StageProps } from '../../job-store/stage-props';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { Section } from '../../kit/section';
import { StateMark } from '../../kit/state-mark';
import { clockTime } from '../../kit/time';
import { useNow } from '../../kit/use-now';
import type { SwapNow } from '../../panels/use-swap';
import { Item, Text } from '../../kit/text';

/** The two moments of a swap: the old unit comes out when nothing is open against it, the new one goes in with its plate. */
export function OutAndIn({
  store,
  person,
  limits,
  goTo,
  now: { swap, next },
}: StageProps & { now: SwapNow }) {
  const { state } = store;
  const { outAt } = state.swap;
  const now = useNow(store.clockOffset_ms, 5000);
  const lock = handsLock(state.safety, state.drive, limits, person, now);
  const holds = (swap?.issues ?? []).filter((m) => m.holds);
  const units = swap?.units ?? null;
  const incoming = units?.next ?? null;
  const isIn = state.swap.inAt !== null;
  const putIn = () => {
    const model = incoming === null || next === null ? undefined : modelOf(incoming, [next.type]);
    if (incoming === null || next === null || model === undefined) {
      goTo('identify');
      return;
    }
    store.record('identify.drive', {
      typeId: next.type.id,
      maker: next.type.maker,
      type: model.type,
      ...(incoming.serial === undefined ? {} : { serial: incoming.serial }),
      supply_V: incoming.supply_V,
      phases: incoming.phases,
      ratedAmps: incoming.ratedAmps,
      labelWait_min: next.type.labelWait_min,
      drawingOnlySimilar: false,
      stage: stageOf(next.type, model),
      strip: [...next.type.strip],
      photos: [],
    });
  };
  return (
    <Section title="Old and new unit">
      {outAt === null ? (
        <>
          <Caution title="No work inside before the drive is proven dead." grave={!lock.open}>
            {lock.open
              ? 'Proven dead and within the limit for work inside. Two people for heavy units.'
              : lock.text}
          </Caution>
          {holds.length > 0 && (
            <Box mb="2">
              <Text fontWeight="500" color="failed">
                Blocked by wires: {holds.length} to settle.
              </Text>
              <Box as="ul" listStyleType="none">
                {holds.slice(0, 4).map((m, i) => (
                  <Item key={`${m.wire} ${i}`}>
                    <StateMark mark="failed" label="holds" /> {m.text}
                  </Item>
                ))}
              </Box>
            </Box>
          )}
          <Box display="flex" gap="2" flexWrap="wrap">
            <Primary
              disabled={!lock.open || holds.length > 0}
              onClick={() =>
                store.record('swap.unit-out', {
                  lookedAt: (swap?.map?.notes ?? []).map((n) => n.id).slice(0, 20),
                })
              }
            >
              Old unit removed
            </Primary>
            {!lock.open && <Secondary onClick={() => goTo('make-safe')}>To the dead proof</Secondary>}
            {holds.length > 0 && <Secondary onClick={() => goTo('prepare')}>To the wires</Secondary>}
          </Box>
        </>
      ) : (
        <>
          <Text mb="2">
            <StateMark mark="sound" label={null} /> {units?.old.maker} {units?.old.type} out at{' '}
            {clockTime(new Date(outAt).toISOString())}.
          </Text>
          {isIn ? (
            <Text>
              <StateMark mark="sound" label={null} /> {state.drive?.maker} {state.drive?.type} is in; prove
              its capacitor bank dead before touching it with leads.
            </Text>
          ) : (
            <Primary onClick={putIn}>
              {incoming === null
                ? 'Read the nameplate of the new unit'
                : `The ${incoming.maker} ${incoming.type} is in`}
            </Primary>
          )}
        </>
      )}
    </Section>
  );
}
