import { useMemo } from 'react';
import { channelRoleWords, type Capture } from '@/core/power-up/capture';
import type { Wave, WaveCase } from '@/core/power-up/waveform';
import { doubtsAbout, figureUnit, figureWords, type Measured } from '@/core/power-up/waveform-diagnosis';
import { PlainTable } from '../../kit/plain-table';
import { Disclosure } from '../../kit/why';
import { inputLanes, laidOn, lanesFor, outputLanes } from './lanes-of';
import type { OpenCapture } from './open-capture';
import { WaveChart } from './wave-chart';
import { Cell, Text } from '../../kit/text';

/** What the record holds, and what about it makes one doubt. */
export function CaptureFacts({ open, supplyVolts }: { open: OpenCapture; supplyVolts: number }) {
  const { capture } = open;
  // Twenty thousand samples a channel: not again with every step of the judging.
  const doubts = useMemo(() => doubtsAbout(capture, supplyVolts), [capture, supplyVolts]);
  return (
    <>
      <Text fontWeight="600">{open.name}</Text>
      <Text color="soft" fontSize="0.95rem">
        {capture.channels.map((c) => (c.role === 'other' ? c.name : channelRoleWords[c.role])).join(', ')};{' '}
        {capture.channels[0]?.values.length} samples, {(capture.dt * 1e6).toFixed(1)} µs apart
      </Text>
      {[...capture.notes, ...doubts].map((n) => (
        <Text key={n} color="doubt" fontWeight="500">
          {n}
        </Text>
      ))}
    </>
  );
}

/** The record laid on what the circuit of `given` would show. */
export function CaptureOnWave({
  capture,
  given,
  now,
  f1,
}: {
  capture: Capture;
  given: WaveCase;
  /** The computed picture; null until it is there. */
  now: Wave | null;
  /** Output frequency while it was taken, Hz. */
  f1: number;
}) {
  const { f } = given.supply;
  const { fc } = given.inverter;
  const lanes = useMemo(
    () =>
      now === null
        ? []
        : lanesFor(
            [...inputLanes, ...outputLanes].filter((l) => capture.channels.some((c) => c.role === l.id)),
            now,
            null,
            fc,
            laidOn(capture, now, f, f1),
          ),
    [capture, now, fc, f, f1],
  );
  return now === null ? null : <WaveChart name="Capture on the calculated waveform" lanes={lanes} />;
}

/** The figures the judging rests on. */
export function FiguresRead({ measured }: { measured: Measured }) {
  return (
    <Disclosure label="values read from it">
      <PlainTable heads={['figure', 'value']}>
        {Object.entries(measured).map(([k, v]) => (
          <tr key={k}>
            <Cell>{figureWords(k)}</Cell>
            <Cell>
              {Number(v.toPrecision(4))} {figureUnit(k)}
            </Cell>
          </tr>
        ))}
      </PlainTable>
    </Disclosure>
  );
}
