'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { entryWords, moduleQuestion, type EntryOf, type LogLine, type TestedModule } from '@/core/logbook';
import {
  connectionFor,
  devicesOf,
  moduleFitting,
  moduleVerdict,
  type DeviceVerdict,
  type ModuleKind,
  type ModuleVerdict,
} from '@/core/bench/module-test';
import { Primary, Secondary } from '../../../kit/buttons';
import { Caution } from '../../../kit/caution';
import { StageHead } from '../../../kit/section';
import { Choice, TextField } from '../../../kit/field';
import { StateMark, type Mark } from '../../../kit/state-mark';
import type { JobStore } from '../../../job-store/use-job';
import { MeterReadings } from './meter-readings';
import { TouchStep } from './touch-step';
import { Heading, Text } from '../../../kit/text';

const kinds: { value: ModuleKind; label: string }[] = [
  { value: 'single', label: 'single' },
  { value: 'dual', label: 'dual' },
  { value: 'six', label: 'six-pack' },
  { value: 'seven', label: 'seven-pack' },
];

export const deviceMarks: Readonly<Record<DeviceVerdict, Mark>> = {
  switches: 'sound',
  shorted: 'failed',
  open: 'failed',
  'leaky-gate': 'failed',
  'not-proven': 'unprobed',
};
const verdictWords: Readonly<Record<ModuleVerdict['verdict'], string>> = {
  switches: 'Every gate switches.',
  replace: 'Replace the module.',
  'not-proven': 'Not proven yet.',
};

function Begin({ begin }: { begin: (kind: ModuleKind, name: string) => void }) {
  const [kind, setKind] = useState<ModuleKind>('dual');
  const [name, setName] = useState('');
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        begin(kind, name.trim() === '' ? `${kind} module` : name.trim());
      }}
    >
      <Choice label="What is on the bench" options={kinds} value={kind} onChange={setKind} />
      <Box my="3" maxW="420px">
        <TextField
          label="Which one"
          hint="Position in the drive, or what is printed on it"
          text={name}
          set={setName}
          maxLength={200}
        />
      </Box>
      <Primary type="submit">Begin</Primary>
    </form>
  );
}

/** Lamp and battery on each other first: a dead lamp looks like a dead gate, a reversed battery like a short. */
function Prove({ keep }: { keep: (lampLights: boolean, polarityRight: boolean) => void }) {
  const [lamp, setLamp] = useState<'yes' | 'no' | null>(null);
  const [polarity, setPolarity] = useState<'yes' | 'no' | null>(null);
  const yesNo = [
    { value: 'yes' as const, label: 'yes' },
    { value: 'no' as const, label: 'no' },
  ];
  const bad = lamp === 'no' || polarity === 'no';
  return (
    <Box display="grid" gap="4">
      <Choice
        label="Lamp directly across the battery: is it bright?"
        options={yesNo}
        value={lamp}
        onChange={setLamp}
      />
      <Choice
        label="Battery polarity: does the meter show about +12 V with red on plus?"
        options={yesNo}
        value={polarity}
        onChange={setPolarity}
      />
      {bad && (
        <Text role="alert" color="failed">
          {lamp === 'no'
            ? 'Replace the lamp or charge the battery, then answer again.'
            : 'Swap the battery leads, then answer again: with reversed polarity the lamp lights through the diode and looks like a short.'}
        </Text>
      )}
      <Box>
        <Primary
          waitsFor={lamp === 'yes' && polarity === 'yes' ? null : 'Both answers must be yes.'}
          onClick={() => keep(true, true)}
        >
          Lamp and battery proven
        </Primary>
      </Box>
    </Box>
  );
}

function Verdicts({
  module,
  verdict,
  open,
  choose,
}: {
  module: TestedModule;
  verdict: ModuleVerdict;
  open: number | null;
  choose: (device: number) => void;
}) {
  return (
    <Box as="section" aria-label="Devices" mt="5">
      <Heading as="h2" fontFamily="heading" fontSize="1.2rem" fontWeight="600" mb="1">
        {verdictWords[verdict.verdict]}
      </Heading>
      <Box as="ul" listStyleType="none">
        {devicesOf(module.kind).map(({ device, name }) => {
          const said = verdict.devices.find((d) => d.device === device);
          const state = said?.verdict ?? 'not-proven';
          return (
            <Box
              as="li"
              key={device}
              display="grid"
              gridTemplateColumns="minmax(150px, auto) 1fr auto"
              gap="3"
              alignItems="center"
              borderBottom="1px solid"
              borderColor="line"
              py="1"
            >
              <Text fontWeight="500">
                <StateMark mark={deviceMarks[state]} label={null} /> {device} {name}:{' '}
                {state.replace('-', ' ')}
              </Text>
              <Text fontSize="0.92rem">{said?.why}</Text>
              <Secondary
                minH="44px"
                fontSize="0.9rem"
                aria-pressed={open === device}
                onClick={() => choose(device)}
              >
                test
              </Secondary>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** How the new one is fitted, where this one is to be replaced. */
function Fitting() {
  return (
    <Box as="section" aria-label="Fitting the new module" mt="4">
      <Heading as="h2" fontFamily="heading" fontSize="1.2rem" fontWeight="600" mb="1">
        Fitting the new module
      </Heading>
      <Text color="soft" mb="1">
        Common practice, no source: torque and paste as its maker says.
      </Text>
      <Box as="ol" pl="5">
        {moduleFitting.map(({ step, why }) => (
          <Box as="li" key={step} mb="1.5">
            {step}{' '}
            <Text as="span" color="soft">
              {why}
            </Text>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** The newest touch of a module that counts: what was mistyped is put right. */
const lastTouch = (log: readonly LogLine[], module: string): EntryOf<'module.touch'> | null =>
  log
    .filter((line) => line.void === null && line.correctedBy === null)
    .map((line) => line.entry)
    .findLast(
      (entry): entry is EntryOf<'module.touch'> =>
        entry.kind === 'module.touch' && entry.payload.module === module,
    ) ?? null;

/** Lamp and battery on a transistor module out of circuit. */
export function ModuleTest({ store, close }: { store: JobStore; close: () => void }) {
  const unit = store.state.modules[store.state.modules.length - 1] ?? null;
  const [again, setAgain] = useState(false);
  const [chosen, setChosen] = useState<number | null>(null);
  const [correcting, setCorrecting] = useState(false);
  const fresh = unit === null || again;
  const verdict = unit === null ? null : moduleVerdict(moduleQuestion(unit));
  const touched = (device: number, gate: 'plus' | 'minus'): boolean =>
    unit?.touches.some((t) => t.device === device && t.gate === gate) === true;
  const due =
    unit === null
      ? null
      : (devicesOf(unit.kind).find(
          ({ device }) =>
            verdict?.devices.find((d) => d.device === device)?.verdict === 'not-proven' &&
            !(touched(device, 'plus') && touched(device, 'minus')),
        )?.device ?? null);
  const last = unit === null ? null : lastTouch(store.state.log, unit.id);
  const corrected = correcting && last !== null ? last : null;
  const device = corrected?.payload.device ?? chosen ?? due;
  const gate =
    corrected?.payload.gate ??
    (device === null || !touched(device, 'plus') || chosen !== null ? 'plus' : 'minus');

  return (
    <>
      <StageHead title={fresh ? 'Module out of circuit' : `Module: ${unit.name}`}>
        Lamp and battery show whether each gate switches. They do not test breakdown at bus voltage.
      </StageHead>
      <Caution title="Static discharge destroys gates.">
        Wear a wrist strap. Touch the battery terminal before the gate, every time. Test only a module removed
        from the drive, never with the capacitor bank connected.
      </Caution>
      {fresh ? (
        <Begin
          begin={(kind, name) => {
            store.record('module.begun', { kind, name });
            setAgain(false);
            setChosen(null);
          }}
        />
      ) : unit.proven === null || !unit.proven.lampLights || !unit.proven.polarityRight ? (
        <Prove
          keep={(lampLights, polarityRight) =>
            store.record('module.proven', { module: unit.id, lampLights, polarityRight })
          }
        />
      ) : (
        <>
          {device !== null && (
            <TouchStep
              key={`${device} ${gate} ${unit.touches.length} ${corrected?.id ?? ''}`}
              device={devicesOf(unit.kind).find((d) => d.device === device) ?? null}
              connection={connectionFor(unit.kind, device)}
              first={gate}
              keep={(touch) => {
                store.record('module.touch', { module: unit.id, device, ...touch }, corrected?.id);
                setCorrecting(false);
                if (corrected === null && (touch.gate === 'minus' || chosen === null)) setChosen(null);
              }}
            />
          )}
          {last !== null && (
            <Box display="flex" gap="3" alignItems="center" flexWrap="wrap" mt="2">
              <Text>Last: {entryWords(last)}.</Text>
              <Secondary onClick={() => setCorrecting(!correcting)}>
                {correcting ? 'Cancel' : 'Correct it'}
              </Secondary>
            </Box>
          )}
          {device !== null && (
            <MeterReadings
              key={`meter ${device}`}
              keepDiode={(forward_V, reverse) =>
                store.record('module.diode', { module: unit.id, device, forward_V, reverse })
              }
              keepGate={(ohm) => store.record('module.gate', { module: unit.id, device, ohm })}
            />
          )}
        </>
      )}
      {!fresh && verdict !== null && (
        <Verdicts module={unit} verdict={verdict} open={device} choose={setChosen} />
      )}
      {!fresh && verdict?.verdict === 'replace' && <Fitting />}
      <Box display="flex" gap="2" flexWrap="wrap" mt="4">
        {!fresh && <Secondary onClick={() => setAgain(true)}>Another module</Secondary>}
        <Secondary onClick={close}>Back to the drive</Secondary>
      </Box>
    </>
  );
}
