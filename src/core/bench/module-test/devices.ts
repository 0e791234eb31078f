/** Power modules by how many devices are in them: one, a half bridge, a bridge, a bridge with its brake. */
export const moduleKinds = ['single', 'dual', 'six', 'seven'] as const;
/** A kind of power module. */
export type ModuleKind = (typeof moduleKinds)[number];

/** One transistor of a module with the terminals the test touches. */
export interface ModuleDevice {
  /** 1 to 7, as the contract counts them. */
  device: number;
  name: string;
  collector: string;
  emitter: string;
  gate: string;
  /** Where this device's gate charge returns: its own emitter terminal beside the gate. */
  gateReturn: string;
}

const leg = (phase: 'U' | 'V' | 'W', first: number): ModuleDevice[] => [
  {
    device: first,
    name: `${phase} upper`,
    collector: 'P',
    emitter: phase,
    gate: `G${first}`,
    gateReturn: `E${first}`,
  },
  {
    device: first + 1,
    name: `${phase} lower`,
    collector: phase,
    emitter: 'N',
    gate: `G${first + 1}`,
    gateReturn: `E${first + 1}`,
  },
];

const six = [...leg('U', 1), ...leg('V', 3), ...leg('W', 5)];

const devices: Readonly<Record<ModuleKind, readonly ModuleDevice[]>> = {
  single: [{ device: 1, name: 'Transistor', collector: 'C', emitter: 'E', gate: 'G', gateReturn: 'Ek' }],
  dual: [
    { device: 1, name: 'Upper', collector: 'C1', emitter: 'C2E1', gate: 'G1', gateReturn: 'E1' },
    { device: 2, name: 'Lower', collector: 'C2E1', emitter: 'E2', gate: 'G2', gateReturn: 'E2k' },
  ],
  six,
  seven: [...six, { device: 7, name: 'Brake', collector: 'B', emitter: 'N', gate: 'G7', gateReturn: 'E7' }],
};

/** The devices of a module in the order they are tested. */
export const devicesOf = (kind: ModuleKind): readonly ModuleDevice[] => devices[kind];

/** How many devices each kind of module has. */
export const deviceCount: Readonly<Record<ModuleKind, number>> = { single: 1, dual: 2, six: 6, seven: 7 };

/** What is screwed and clipped where before a device's gate is touched. */
export interface Connection {
  toMinus: string;
  /** Through the lamp to battery plus. */
  throughLamp: string;
  gate: string;
  /** Every other gate is bridged to its own emitter, so that it cannot switch on by itself. */
  bridged: { gate: string; to: string }[];
}

/**
 * Where battery, lamp and finger go to test one device; null where the module has no such device.
 * @param device from 1
 */
export function connectionFor(kind: ModuleKind, device: number): Connection | null {
  const own = devices[kind].find((d) => d.device === device);
  if (own === undefined) return null;
  return {
    toMinus: own.emitter,
    throughLamp: own.collector,
    gate: own.gate,
    bridged: devices[kind].filter((d) => d !== own).map((d) => ({ gate: d.gate, to: d.gateReturn })),
  };
}
