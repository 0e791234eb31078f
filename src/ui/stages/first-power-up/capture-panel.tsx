import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { captureCsv, writeCff, writeComtrade, type Layout } from '@/core/power-up/capture';
import type { EntryOf, Payload } from '@/core/logbook';
import type { Running, WaveCase } from '@/core/power-up/waveform';
import {
  pairShapes,
  shapesTogether,
  type Measured,
  type PairShape,
} from '@/core/power-up/waveform-diagnosis';
import { Primary, Secondary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { FileButton } from '../../kit/file-button';
import { saveText } from '../../kit/save-text';
import { CaptureFacts, CaptureOnWave, FiguresRead } from './capture-on-wave';
import { ColumnWizard } from './column-wizard';
import { keptConclusion, WaveConclusion } from './conclusion';
import { keepCapture } from './keep-capture';
import { openCaptureFiles, type OpenCapture, type UnnamedColumns } from './open-capture';
import { PairsLaid } from './pairs-laid';
import { useJudging, useWave, useWaveWorker } from './use-waves';
import { Text } from '../../kit/text';

const baseOf = ({ name }: OpenCapture): string => name.replace(/\.[^.]*$/, '');
const saveCsv = (open: OpenCapture) => saveText(`${baseOf(open)}.csv`, captureCsv(open.capture));
const saveCff = (open: OpenCapture, supply_Hz: number) =>
  saveText(`${baseOf(open)}.cff`, writeCff(open.capture, new Date(), supply_Hz));
const saveComtrade = (open: OpenCapture, supply_Hz: number) => {
  const { cfg, dat } = writeComtrade(open.capture, new Date(), supply_Hz);
  saveText(`${baseOf(open)}.cfg`, cfg);
  saveText(`${baseOf(open)}.dat`, dat);
};

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
  const [columns, setColumns] = useState<UnnamedColumns | null>(null);
  const [open, setOpen] = useState<OpenCapture | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState<string | null>(null);
  const best = judging.diagnosis?.found[0];
  const shownCase = best === undefined ? sound : best.given;
  const now = useWave(open === null ? null : shownCase).answer;
  const [measured, setMeasured] = useState<Measured>({});
  /** Of all captures opened here: a scope with one probe shows one pair at a time. */
  const [pairs, setPairs] = useState<readonly PairShape[]>([]);

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
      setTrouble(`Not imported: ${said(error)}`);
    } finally {
      setBusy(false);
    }
  };
  const show = async (read: OpenCapture) => {
    setColumns(null);
    setOpen(read);
    setPairs((before) => shapesTogether(before, pairShapes(read.capture, running.f1)));
    await judge();
  };
  const take = (files: readonly File[]) =>
    working(async () => {
      setOpen(null);
      setColumns(null);
      const read = await openCaptureFiles(files, ask);
      if (read === null) return;
      if ('seen' in read) setColumns(read);
      else await show(read);
    });
  const takeColumns = (name: string, layout: Layout) =>
    working(async () => {
      const capture = await ask((worker) => worker.takeCsv(layout));
      await show({ name, from: 'csv', capture });
    });
  const keepIt = (what: OpenCapture) =>
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
      setNote('Capture and conclusion saved.');
    });
  return (
    <Section title="Scope capture">
      <Box display="flex" flexWrap="wrap" gap="3" alignItems="center" mb="3">
        <FileButton
          label="Open a capture"
          said="Capture: CSV, .cff, or .cfg and .dat together"
          accept=".csv,.txt,.tsv,.cff,.cfg,.dat"
          multiple
          disabled={busy}
          take={(_, all) => void take(all)}
        />
        <Text color="soft" fontSize="0.95rem">
          CSV of any layout, or COMTRADE (.cff, or .cfg and .dat chosen together).
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
          <CaptureFacts open={open} supplyVolts={sound.supply.vll} />
          <WaveConclusion judging={judging} stop={judging.stop} />
          <CaptureOnWave capture={open.capture} given={shownCase} now={now} f1={running.f1} />
          <PairsLaid shapes={pairs} />
          <FiguresRead measured={measured} />
          <Box display="flex" flexWrap="wrap" gap="3" mt="2">
            <Primary disabled={busy || judging.diagnosis === null} onClick={() => void keepIt(open)}>
              Save capture and conclusion
            </Primary>
            <Secondary disabled={busy} onClick={() => void working(judge)}>
              Diagnose again at the load above
            </Secondary>
            <Secondary onClick={() => saveCsv(open)}>Save as CSV</Secondary>
            <Secondary onClick={() => saveCff(open, sound.supply.f)}>Save as COMTRADE (.cff)</Secondary>
            <Secondary onClick={() => saveComtrade(open, sound.supply.f)}>
              Save as COMTRADE (.cfg, .dat)
            </Secondary>
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
