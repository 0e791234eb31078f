import { Box, Text } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import {
  captureCsv,
  channelRoleWords,
  writeComtrade,
  type Capture,
  type Layout,
} from '@/core/power-up/capture';
import type { EntryOf, Payload } from '@/core/logbook';
import type { Running, WaveCase } from '@/core/power-up/waveform';
import { doubtsAbout, figureUnit, figureWords, type Measured } from '@/core/power-up/waveform-diagnosis';
import type { ColumnsSeen } from '@/workers/waveform.worker';
import { Primary, Secondary } from '../../kit/buttons';
import { KeptNote, Section } from '../../kit/section';
import { FileButton } from '../../kit/file-button';
import { PlainTable } from '../../kit/plain-table';
import { textOfFile } from '../../kit/read-text';
import { saveText } from '../../kit/save-text';
import { Disclosure } from '../../kit/why';
import { ColumnWizard } from './column-wizard';
import { keptConclusion, WaveConclusion } from './conclusion';
import { keepCapture } from './keep-capture';
import { inputLanes, laidOn, lanesFor, outputLanes } from './lanes-of';
import { useJudging, useWave, useWaveWorker } from './use-waves';
import { WaveChart } from './wave-chart';

interface Open {
  name: string;
  from: 'csv' | 'comtrade';
  capture: Capture;
}

const largest_MB = 400;
const ending = (file: File): string => file.name.slice(file.name.lastIndexOf('.') + 1).toLowerCase();

/** A scope's record laid on the computed picture, and what gives it. */
export function CapturePanel({
  sound,
  running,
  prechargeOhm,
  kept,
  keep,
}: {
  sound: WaveCase;
  running: Running;
  prechargeOhm: number;
  kept: readonly EntryOf<'power.capture'>[];
  keep: (what: Payload<'power.capture'>) => void;
}) {
  const ask = useWaveWorker();
  const judging = useJudging(ask);
  const [columns, setColumns] = useState<{ name: string; seen: ColumnsSeen } | null>(null);
  const [open, setOpen] = useState<Open | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState<string | null>(null);
  const best = judging.diagnosis?.found[0];
  const shownCase = best === undefined ? sound : best.given;
  const now = useWave(open === null ? null : shownCase).answer;
  const { vll, f } = sound.supply;
  const { fc } = sound.inverter;
  const capture = open?.capture ?? null;
  // Drawn anew with every step of the judging otherwise: twenty thousand samples a channel.
  const doubts = useMemo(() => (capture === null ? [] : doubtsAbout(capture, vll)), [capture, vll]);
  const lanes = useMemo(
    () =>
      capture === null || now === null
        ? []
        : lanesFor(
            [...inputLanes, ...outputLanes].filter((l) => capture.channels.some((c) => c.role === l.id)),
            now,
            null,
            fc,
            laidOn(capture, now, f, running.f1),
          ),
    [capture, now, fc, f, running.f1],
  );
  const [measured, setMeasured] = useState<Measured>({});

  const judge = async () => {
    const read = await ask((worker) => worker.measured(sound.supply.f, running.f1));
    setMeasured(read);
    await judging.judge(sound, read, prechargeOhm);
  };
  const said = (error: unknown): string =>
    error instanceof Error ? error.message : 'the file could not be read';
  const working = async (work: () => Promise<void>) => {
    setBusy(true);
    setTrouble(null);
    setNote(null);
    try {
      await work();
    } catch (error) {
      setTrouble(`Not taken: ${said(error)}`);
    } finally {
      setBusy(false);
    }
  };
  const show = async (name: string, from: Open['from'], capture: Capture) => {
    setColumns(null);
    setOpen({ name, from, capture });
    await judge();
  };
  const take = (files: readonly File[]) =>
    working(async () => {
      setOpen(null);
      setColumns(null);
      if (files.some((f) => f.size > largest_MB * 1e6))
        throw new Error(`it is larger than ${largest_MB} MB: save a shorter stretch.`);
      const cfg = files.find((f) => ending(f) === 'cfg');
      const dat = files.find((f) => ending(f) === 'dat');
      if (cfg !== undefined || dat !== undefined) {
        if (cfg === undefined || dat === undefined)
          throw new Error('a COMTRADE record is two files: choose the .cfg and the .dat together.');
        const text = await textOfFile(cfg);
        const bytes = new Uint8Array(await dat.arrayBuffer());
        await show(cfg.name, 'comtrade', await ask((worker) => worker.openComtrade(text, bytes)));
        return;
      }
      const [file] = files;
      if (file === undefined) return;
      setColumns({ name: file.name, seen: await ask((worker) => worker.openCsv(file)) });
    });
  const takeColumns = (name: string, layout: Layout) =>
    working(async () => show(name, 'csv', await ask((worker) => worker.takeCsv(layout))));
  const keepIt = (what: Open) =>
    working(async () => {
      if (judging.diagnosis === null) return;
      const sha256 = await keepCapture(what.capture);
      keep({
        running,
        sha256,
        name: what.name.slice(0, 200),
        from: what.from,
        roles: what.capture.channels.map((c) => c.role).slice(0, 16),
        notes: what.capture.notes.map((n) => n.slice(0, 400)).slice(0, 20),
        figures: measured,
        conclusion: keptConclusion(judging.diagnosis),
      });
      setNote('The capture is kept, with what was concluded.');
    });
  const saveComtrade = ({ name, capture }: Open) => {
    const base = name.replace(/\.[^.]*$/, '');
    const { cfg, dat } = writeComtrade(capture, new Date(), sound.supply.f);
    saveText(`${base}.cfg`, cfg);
    saveText(`${base}.dat`, dat);
  };
  return (
    <Section title="A scope’s picture">
      <Box display="flex" flexWrap="wrap" gap="3" alignItems="center" mb="3">
        <FileButton
          label="Open a capture"
          said="Capture: CSV, or .cfg and .dat together"
          accept=".csv,.txt,.tsv,.cfg,.dat"
          multiple
          disabled={busy}
          take={(_, all) => void take(all)}
        />
        <Text color="soft" fontSize="0.95rem">
          CSV of any layout, or COMTRADE (.cfg and .dat chosen together).
        </Text>
      </Box>
      {busy && <Text role="status">reading…</Text>}
      {trouble !== null && (
        <Text role="alert" color="failed" fontWeight="500" mb="2">
          {trouble}
        </Text>
      )}
      {columns !== null && (
        <ColumnWizard
          key={columns.name}
          seen={columns.seen}
          take={(layout) => void takeColumns(columns.name, layout)}
        />
      )}
      {open !== null && (
        <>
          <Text fontWeight="600">{open.name}</Text>
          <Text color="soft" fontSize="0.95rem">
            {open.capture.channels
              .map((c) => (c.role === 'other' ? c.name : channelRoleWords[c.role]))
              .join(', ')}
            ; {open.capture.channels[0]?.values.length} samples, {(open.capture.dt * 1e6).toFixed(1)} µs apart
          </Text>
          {[...open.capture.notes, ...doubts].map((n) => (
            <Text key={n} color="doubt" fontWeight="500">
              {n}
            </Text>
          ))}
          <WaveConclusion judging={judging} stop={judging.stop} />
          {now !== null && <WaveChart name="The capture on the computed picture" lanes={lanes} />}
          <Disclosure label="figures read off it">
            <PlainTable heads={['figure', 'value']}>
              {Object.entries(measured).map(([k, v]) => (
                <tr key={k}>
                  <td>{figureWords(k)}</td>
                  <td>
                    {Number(v.toPrecision(4))} {figureUnit(k)}
                  </td>
                </tr>
              ))}
            </PlainTable>
          </Disclosure>
          <Box display="flex" flexWrap="wrap" gap="3" mt="2">
            <Primary disabled={busy || judging.diagnosis === null} onClick={() => void keepIt(open)}>
              Keep capture and conclusion
            </Primary>
            <Secondary disabled={busy} onClick={() => void working(judge)}>
              Judge again at the load above
            </Secondary>
            <Secondary
              onClick={() => saveText(`${open.name.replace(/\.[^.]*$/, '')}.csv`, captureCsv(open.capture))}
            >
              Save as CSV
            </Secondary>
            <Secondary onClick={() => saveComtrade(open)}>Save as COMTRADE</Secondary>
          </Box>
        </>
      )}
      <KeptNote text={note} />
      {kept.map(({ id, payload }) => (
        <Text key={id} mt="1">
          {payload.name}: {payload.conclusion.headline}
        </Text>
      ))}
    </Section>
  );
}
