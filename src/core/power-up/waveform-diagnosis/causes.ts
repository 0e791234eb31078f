import {
  lineNames,
  phaseNames,
  type DiodeName,
  type LineName,
  type PhaseName,
  type SwitchName,
  type WaveCase,
} from '../waveform';

/** Where in the drive a cause is. */
export type CauseFamily = 'sound' | 'supply' | 'input' | 'bus' | 'output';

/** A thing that may be wrong, as a change to the sound circuit. Sizes are tried in turn and the best kept. */
export interface WaveformCause {
  id: string;
  family: CauseFamily;
  /** As a sentence, with what else it may be. */
  name: string;
  /** What to look at first. */
  first: string;
  /** How often it is met, relative to the others: common practice, no source. */
  weight: number;
  changes: readonly ((sound: WaveCase) => WaveCase)[];
  /** How often each size is met against the first; not there: all alike. */
  odds?: readonly number[];
  /** The fault as far as it has gone, from 0 (hardly) to 1 (wholly); not there: it is there or it is not. */
  sized?: (size: number) => (sound: WaveCase) => WaveCase;
}

const rectifier =
  (change: Partial<WaveCase['rectifier']>) =>
  (c: WaveCase): WaveCase => ({
    ...c,
    rectifier: { ...c.rectifier, ...change },
  });
const inverter =
  (change: Partial<WaveCase['inverter']>) =>
  (c: WaveCase): WaveCase => ({
    ...c,
    inverter: { ...c.inverter, ...change },
  });
const weaker =
  (line: number, by: number) =>
  (c: WaveCase): WaveCase => {
    const [a, b, d] = c.supply.vscale;
    const low = (v: number, k: number): number => (k === line ? v * by : v);
    return { ...c, supply: { ...c.supply, vscale: [low(a, 0), low(b, 1), low(d, 2)] } };
  };
/** A bank of which so much is left; its ESR goes up faster than its capacitance down (common practice, no source). */
const weakBank =
  (left: number) =>
  (c: WaveCase): WaveCase => ({
    ...c,
    bank: { ...c.bank, C: c.bank.C * left, ESR: c.bank.ESR * (1 + 2 * (1 / left - 1)) },
  });
/** The bank comes down slowly through the resistor: it begins about where it will rest, and is looked at later. */
const stuck =
  (ohm: number) =>
  (c: WaveCase): WaveCase => {
    const [from, to] = c.window;
    const later = Math.min(0.3, 3 * ohm * c.bank.C);
    const drop = c.load.kind === 'P' ? Math.min(0.3, (ohm * c.load.P) / c.bank.v0 ** 2) : 0.1;
    return {
      ...c,
      link: { ...c.link, Rpre: ohm },
      bank: { ...c.bank, v0: (1 - drop) * c.bank.v0 },
      window: [from + later, to + later],
    };
  };
/** Of an earth fault the whole network is computed: with legs of one plain resistance that is quick, and moves the currents little. */
const plainLegs = { deadTime: 0, Vce: 0, Vfd: 0, Rce: 0.05, Rfd: 0.05 };
const side = { hi: 'upper', lo: 'lower' } as const;
const ends = ['hi', 'lo'] as const;

function diodeCauses(line: LineName, end: 'hi' | 'lo'): WaveformCause[] {
  const position: DiodeName = `rect.${line}.${end}`;
  return [
    {
      id: `diode-open.${position}`,
      family: 'input',
      name: `${line} ${side[end]} rectifier diode open`,
      first: `diode test of ${line} against DC${end === 'hi' ? '+' : '-'}, dead`,
      weight: 1,
      changes: [rectifier({ openDiode: position })],
    },
    {
      id: `diode-short.${position}`,
      family: 'input',
      name: `${line} ${side[end]} rectifier diode shorted`,
      first: `do not switch on again: diode test of ${line}, dead; check the fuses`,
      weight: 0.4,
      changes: [rectifier({ shortDiode: position })],
    },
  ];
}

const supplyCauses = (line: LineName, k: number): WaveformCause[] => [
  {
    id: `phase-lost.${line}`,
    family: 'supply',
    name: `Input phase ${line} missing (fuse, contactor, lug), or both its diodes open`,
    first: `voltage of ${line} against the others at the drive terminals; its fuse`,
    weight: 2,
    changes: [(c) => ({ ...c, supply: { ...c.supply, openPhase: line } })],
  },
  {
    id: `unbalance.${line}`,
    family: 'supply',
    name: `Supply unbalanced: ${line} low`,
    first: 'the three line-to-line volts under load',
    weight: 1.5,
    changes: [0.93, 0.97, 0.87].map((by) => weaker(k, by)),
    // Volts so low are a lost phase far more often than a low one.
    odds: [0.5, 1, 0.1],
    sized: (size) => weaker(k, 1 - 0.2 * size),
  },
];

const prechargeCause = (prechargeOhm: number): WaveformCause => ({
  id: 'precharge-stuck',
  family: 'bus',
  name: 'Precharge resistor not bypassed: precharge relay or thyristor stays open',
  first: 'voltage across the precharge resistor under load; supply of the relay',
  weight: 1.5,
  changes: [stuck(prechargeOhm)],
  sized: (size) => stuck(prechargeOhm * size),
});

function switchCause(phase: PhaseName, end: 'hi' | 'lo'): WaveformCause {
  const position: SwitchName = `inv.${phase}.${end}`;
  return {
    id: `switch.${position}`,
    family: 'output',
    name: `${phase} ${side[end]} IGBT does not switch, or its gate drive is missing`,
    first: `six gate pulses compared with the bus dead; then the ${side[end]} IGBT of ${phase} out of circuit`,
    weight: 1.5,
    changes: [inverter({ openSwitch: position })],
  };
}

function outputCauses(phase: PhaseName): WaveformCause[] {
  const leaking = (ohm: number) => inverter({ ...plainLegs, earthFault: { phase, ohm } });
  return [
    ...ends.map((end) => switchCause(phase, end)),
    {
      id: `output-open.${phase}`,
      family: 'output',
      name: `Output ${phase} open: cable, lug, contactor or winding`,
      first: `current and continuity of ${phase} from the drive to the motor`,
      weight: 1.5,
      changes: [(c) => ({ ...c, motor: { ...c.motor, openPhase: phase } })],
    },
    {
      id: `earth.${phase}`,
      family: 'output',
      name: `${phase} has an earth fault in motor or cable`,
      first: 'insulation of cable and motor, the drive disconnected',
      weight: 1,
      changes: [leaking(40)],
      // From a leak of kilohms to a hard fault of some ohms.
      sized: (size) => leaking(5 * 400 ** (1 - size)),
    },
  ];
}

/** Everything that is tried on this circuit. @param prechargeOhm of the unit; 0: it has none */
export function causesFor(sound: WaveCase, prechargeOhm: number): WaveformCause[] {
  const three = sound.supply.phases === 3;
  const lines = three ? lineNames : lineNames.slice(0, 2);
  return [
    {
      id: 'sound',
      family: 'sound',
      name: 'No fault: matches a good unit',
      first: '',
      weight: 6,
      changes: [(c) => c],
    },
    {
      id: 'bank-weak',
      family: 'bus',
      name: 'Capacitor bank aged: capacitance low, ESR high',
      first: 'capacitance and ESR of the capacitor bank, dead and discharged',
      weight: 1.5,
      changes: [0.25, 0.5, 0.12].map(weakBank),
      sized: (size) => weakBank(1 - 0.92 * size),
    },
    ...lines.flatMap((line) => ends.flatMap((end) => diodeCauses(line, end))),
    ...(three ? lineNames.flatMap(supplyCauses) : []),
    ...(prechargeOhm > 0 ? [prechargeCause(prechargeOhm)] : []),
    ...(sound.load.kind === 'inverter' ? phaseNames.flatMap(outputCauses) : []),
  ];
}
