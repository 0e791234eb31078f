import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { signalUnit, type ScaleLine } from '@/core/numerics/analog-scaling';
import type { Control } from '@/core/equipment/catalogue';
import { analogPoint, bitWatch, displayReady, noBits, type Watch } from '@/core/commissioning/commissioning';
import type { Live, Values } from '@/core/equipment/drive-words';
import type { Release } from '@/core/job/release';
import { runGiven } from '@/core/fault-finding/run-chain';
import { Primary, Secondary } from '../../kit/buttons';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Text } from '../../kit/text';

/** What the link knows while a step is walked. */
export interface Watched {
  live: Live | null;
  control: Control;
  values: Values;
  /** The line of the analog input; null where speed comes from elsewhere. */
  line: ScaleLine | null;
  lost: Release['lost'];
  /** Its power was said to go, and nothing was read since. */
  away: boolean;
  /** Asks to write what keeps everything in memory; null: the type does that by itself, or no drive answers. */
  save: (() => void) | null;
  powerOff: () => void;
  read: () => void;
  reading: boolean;
  /** Words of a link that does not answer; null: it does. */
  silent: string | null;
}
/** What was seen over the link, in words for the log. */
type Take = (outcome: 'ok' | 'not-ok', note: string) => void;

function Seen({ mark, children }: { mark: Mark; children: string }) {
  return (
    <Text>
      <StateMark mark={mark} label={null} /> {children}
    </Text>
  );
}

function Row({
  live,
  which,
  id,
  mark,
  take,
}: {
  live: Live;
  which: 'inputs' | 'relays';
  id: string;
  mark: string;
  take: Take;
}) {
  const [seen, setSeen] = useState(noBits);
  const [last, setLast] = useState<Live | null>(null);
  const bits = live[which];
  if (bits === undefined) return <Text>Not available over the drive link: check by hand.</Text>;
  if (last !== live) {
    setLast(live);
    setSeen(bitWatch(seen, bits, id));
  }
  const whole = seen.on && seen.off;
  // Relays may move together: they follow what the drive does, not a hand.
  const moved = which === 'inputs' ? seen.moved : [];
  return (
    <Box role="status">
      <Text fontFamily="mono" fontSize="1.5rem">
        {mark} {bits[id] === true ? '1' : '0'}
      </Text>
      <Seen mark={seen.off ? 'sound' : 'unprobed'}>{seen.off ? 'seen at 0' : 'not yet seen at 0'}</Seen>
      <Seen mark={seen.on ? 'sound' : 'unprobed'}>{seen.on ? 'seen at 1' : 'not yet seen at 1'}</Seen>
      {moved.length > 0 && (
        <Seen mark="failed">{`Another input changed too: ${moved.join(', ')}. Check the wiring.`}</Seen>
      )}
      <Box display="flex" gap="2" flexWrap="wrap" my="2">
        <Primary
          disabled={!whole || moved.length > 0}
          onClick={() => take('ok', `${mark} seen at 0 and 1 over the link, no other input changed`)}
        >
          Save link result
        </Primary>
        <Secondary onClick={() => setSeen(noBits)}>Check again</Secondary>
      </Box>
    </Box>
  );
}

const wanted = [0, 0.5, 1] as const;
const near = 0.12;

function Points({ live, line, id, take }: { live: Live; line: ScaleLine; id: 'AI1' | 'AI2'; take: Take }) {
  const [points, setPoints] = useState<readonly ReturnType<typeof analogPoint>[]>([]);
  const signal = live[id];
  const reference = live.reference_Hz;
  if (signal === undefined || reference === undefined)
    return <Text>Signal or reference not available over the drive link: check by hand.</Text>;
  const now = analogPoint(line, signal, reference);
  const left = wanted.filter((w) => !points.some((p) => Math.abs(p.share - w) <= near));
  const wrong = points.some((p) => !p.agrees);
  return (
    <Box>
      <Text fontFamily="mono" fontSize="1.5rem" role="status">
        {signal} {signalUnit(line.signal)} → {now.expected_Hz} Hz, says {reference} Hz
      </Text>
      {points.map((p, i) => (
        <Seen key={i} mark={p.agrees ? 'sound' : 'failed'}>
          {p.sum}
        </Seen>
      ))}
      {left.length > 0 && (
        <Text color="soft">
          Still to check: {left.map((w) => (w === 0 ? 'none' : w === 1 ? 'all' : 'half')).join(', ')} of the
          signal.
        </Text>
      )}
      <Box display="flex" gap="2" flexWrap="wrap" my="2">
        <Secondary
          onClick={() =>
            setPoints([...points.filter((p) => Math.abs(p.share - now.share) > near), now].slice(-6))
          }
        >
          Take this point
        </Secondary>
        <Primary
          disabled={left.length > 0}
          onClick={() =>
            take(
              wrong ? 'not-ok' : 'ok',
              points
                .map((p) => p.sum)
                .join('; ')
                .slice(0, 480),
            )
          }
        >
          {wrong ? 'Save: scaling wrong' : 'Save these points'}
        </Primary>
      </Box>
    </Box>
  );
}

function Display({
  live,
  control,
  values,
  take,
}: Pick<Watched, 'control' | 'values'> & { live: Live; take: Take }) {
  const against = displayReady(live, runGiven({ control, values, live }));
  return (
    <Box role="status" my="2">
      {against.map((line) => (
        <Seen key={line} mark="failed">
          {line}
        </Seen>
      ))}
      {against.length === 0 && <Seen mark="sound">Ready, stopped, no fault, no run command.</Seen>}
      <Primary
        mt="2"
        disabled={against.length > 0}
        onClick={() => take('ok', 'ready, 0 Hz, no fault, no run command, over the link')}
      >
        Save link result
      </Primary>
    </Box>
  );
}

function PowerCycle({ watched, take }: { watched: Watched; take: Take }) {
  const { lost, away, save, powerOff, read, reading, values, silent } = watched;
  return (
    <Box my="2">
      {!away && save !== null && (
        <Secondary mr="2" onClick={save}>
          Save in the drive
        </Secondary>
      )}
      {!away && lost === null && (
        <Secondary
          waitsFor={
            Object.keys(values).length === 0 ? 'Read out first; the values are compared afterwards.' : null
          }
          onClick={powerOff}
        >
          Switch power off now
        </Secondary>
      )}
      {away && (
        <>
          <Text mb="1" role="status">
            Power off until the display is dark and the discharge time has passed, then on again.{' '}
            {silent === null ? '' : 'The drive link is down.'}
          </Text>
          <Primary disabled={reading} onClick={read}>
            Power is back: read out and compare
          </Primary>
        </>
      )}
      {lost?.map((l) => (
        <Seen key={l.number} mark="failed">
          {l.text}
        </Seen>
      ))}
      {lost !== null && lost.length > 0 && (
        <Secondary mt="2" onClick={powerOff}>
          Written and saved again: cycle power once more
        </Secondary>
      )}
      {lost !== null && lost.length === 0 && (
        <>
          <Seen mark="sound">No differences after the power cycle.</Seen>
          <Primary mt="2" onClick={() => take('ok', 'read back after the power cycle: no differences')}>
            Save link result
          </Primary>
        </>
      )}
    </Box>
  );
}

/** What the link shows about one step; nothing where it is not there. */
export function StepEvidence({ watch, watched, take }: { watch: Watch; watched: Watched; take: Take }) {
  const { live, line, control } = watched;
  if (watch.as === 'power-cycle') return <PowerCycle watched={watched} take={take} />;
  if (live === null) return null;
  switch (watch.as) {
    case 'input': {
      const mark = control.inputs.find((i) => i.id === watch.id)?.mark ?? watch.id;
      return <Row live={live} which="inputs" id={watch.id} mark={mark} take={take} />;
    }
    case 'relay':
      return <Row live={live} which="relays" id={watch.id} mark={watch.id} take={take} />;
    case 'analog':
      return line === null ? null : <Points live={live} line={line} id={watch.id} take={take} />;
    case 'run-off': {
      const given = runGiven({ control, values: watched.values, live });
      return (
        <Box role="status" my="2">
          <Seen mark={given === null ? 'sound' : 'failed'}>{given ?? 'No run command.'}</Seen>
          <Primary
            mt="2"
            disabled={given !== null}
            onClick={() => take('ok', 'no run command, over the link')}
          >
            Save link result
          </Primary>
        </Box>
      );
    }
    case 'display':
      return <Display live={live} control={control} values={watched.values} take={take} />;
  }
}
