import type { Control, DriveType } from '../../equipment/catalogue';
import {
  inputFunctions,
  outputFunctions,
  type InputFunction,
  inputSignalConcept,
  inputConcept,
  outputConcept,
} from '../../equipment/concepts';
import { meaningOf, type Rating, type Values } from '../../equipment/drive-words';

/** The side of a relay's contact that a terminal is. */
export const contacts = ['common', 'make', 'break'] as const;
/** A contact of a relay. */
export type Contact = (typeof contacts)[number];

const powerRoles = ['L1', 'L2', 'L3', 'U', 'V', 'W', 'DC+', 'DC-', 'DC+R', 'BR', 'PE'] as const;
const plainRoles = [
  'plus24',
  'digital-common',
  'plus10',
  'analog-common',
  'reference-volts',
  'reference-current',
  'analog-out',
  'safe-1',
  'safe-2',
  'safe-supply',
  'safe-return',
  'option',
  'serial',
  'thermistor',
] as const;
type PlainRole = (typeof plainRoles)[number];

/**
 * What a terminal is, or what a wire was proven to be: a power terminal, a plain role, what an input does (`in:run-forward`),
 * or one side of a relay that tells something (`relay:running:make`).
 */
export type WireRole =
  | `power:${(typeof powerRoles)[number]}`
  | PlainRole
  | `in:${InputFunction}`
  | `relay:${(typeof outputFunctions)[number]}:${Contact}`;

/** The role of a wire on an input of this function; one that the vocabulary does not have matches no wire. */
const inputRole = (does: string): WireRole => `in:${does}` as WireRole;
const relayRole = (does: string, contact: Contact): WireRole => `relay:${does}:${contact}` as WireRole;

/** Every role a wire can have. */
export const roles: readonly WireRole[] = [
  ...powerRoles.map((t) => `power:${t}` as const),
  ...plainRoles,
  ...inputFunctions.filter((f) => f !== 'none').map((f) => `in:${f}` as const),
  ...outputFunctions
    .filter((f) => f !== 'none')
    .flatMap((f) => contacts.map((c) => `relay:${f}:${c}` as const)),
];

/** What kind of terminal it is. */
export type Electrical =
  | 'power'
  | 'digital'
  | 'supply-24'
  | 'supply-10'
  | 'common'
  | 'analog-in'
  | 'analog-out'
  | 'relay'
  | 'safe'
  | 'option';

/** A terminal of a unit. */
export interface UnitTerminal {
  mark: string;
  electrical: Electrical;
  /** What it does with the values at hand; null: nothing, or not known. */
  role: WireRole | null;
  /** Terminals that only make sense together: `RO1`, `safe`, `AI1`. */
  block: string;
  /** Of a relay: which side of its contact. */
  contact: Contact | null;
  where: string;
}

/** What of a type and its values the wires ask for. */
export interface WiredUnit {
  type: Pick<DriveType, 'strip'>;
  control: Pick<
    Control,
    | 'inputs'
    | 'analogInputs'
    | 'analogOutput'
    | 'relays'
    | 'safeStop'
    | 'options'
    | 'supply'
    | 'places'
    | 'parameters'
  >;
  rating: Rating;
  values: Values;
}

const contactsOf = (relay: Control['relays'][number]): readonly Contact[] =>
  relay.contacts ?? (['common', 'make', 'break'] as const);

/** What an analog input takes: by its entry, or by where its jumper stands; null where neither says. */
function signalRole(
  { control, values }: WiredUnit,
  id: 'AI1' | 'AI2',
  jumper: 'V' | 'mA' | undefined,
): WireRole | null {
  const signal = meaningOf(control, values, inputSignalConcept(id));
  if (jumper !== undefined) return jumper === 'V' ? 'reference-volts' : 'reference-current';
  const chosenByHand = control.analogInputs.find((a) => a.id === id)?.jumper !== undefined;
  // Neither an entry nor a jumper: it takes volts and nothing else.
  if (typeof signal !== 'string') return chosenByHand ? null : 'reference-volts';
  return /mA/.test(signal) ? 'reference-current' : 'reference-volts';
}

/** The marks of a type's terminals, whatever they are set to do. */
export const terminalMarks = (type: WiredUnit['type'], control: WiredUnit['control']): string[] =>
  unitTerminals({ type, control, rating: { ratedAmps: 0, power_kW: 0, supply_V: 0 }, values: {} }).map(
    (t) => t.mark,
  );

/** Why a mark is none of a unit's; null: it is. */
export const noSuchTerminal = (
  unit: { maker: string; type: string },
  mark: string,
  marks: readonly string[],
): string | null =>
  marks.includes(mark)
    ? null
    : `The ${unit.maker} ${unit.type} has no terminal ${mark}. It has ${marks.join(', ')}.`;

/**
 * The terminals of a unit in the order of its screws: the power strip, then control by place.
 * @param jumpers where volts or current is chosen by hand and somebody looked
 */
export function unitTerminals(
  unit: WiredUnit,
  jumpers: Partial<Record<'AI1' | 'AI2', 'V' | 'mA'>> = {},
): UnitTerminal[] {
  const { control, type, values } = unit;
  const power = type.strip.map((s): UnitTerminal => ({
    mark: s.mark,
    electrical: 'power',
    role: `power:${s.terminal}`,
    block: `power:${s.terminal}`,
    contact: null,
    where: 'power strip',
  }));
  const plain = (
    mark: string,
    electrical: Electrical,
    role: WireRole | null,
    block: string,
  ): UnitTerminal => ({
    mark,
    electrical,
    role,
    block,
    contact: null,
    where: '',
  });
  const { supply, safeStop } = control;
  const all: UnitTerminal[] = [
    plain(supply.plus24, 'supply-24', 'plus24', 'plus24'),
    ...control.inputs.map(({ id, mark }) => {
      const does = meaningOf(control, values, inputConcept(id));
      const role = typeof does === 'string' && does !== 'none' ? inputRole(does) : null;
      return plain(mark, 'digital', role, id);
    }),
    plain(supply.common, 'common', 'digital-common', 'digital-common'),
    ...(supply.plus10 === null ? [] : [plain(supply.plus10, 'supply-10', 'plus10', 'plus10')]),
    ...control.analogInputs.map(({ id, mark }) =>
      plain(mark, 'analog-in', signalRole(unit, id, jumpers[id]), id),
    ),
    plain(supply.analogCommon, 'common', 'analog-common', 'analog-common'),
    ...(control.analogOutput === null
      ? []
      : [plain(control.analogOutput, 'analog-out', 'analog-out', 'AO1')]),
    ...control.relays.flatMap((relay) => {
      const does = meaningOf(control, values, outputConcept(relay.id));
      return relay.marks.map((mark, i): UnitTerminal => {
        const contact = contactsOf(relay)[i] ?? 'make';
        const role = typeof does === 'string' && does !== 'none' ? relayRole(does, contact) : null;
        return { ...plain(mark, 'relay', role, relay.id), contact };
      });
    }),
    ...(safeStop === null
      ? []
      : [
          plain(safeStop.supply, 'safe', 'safe-supply', 'safe'),
          ...safeStop.channels.map((c) =>
            plain(c.mark, 'safe', c.id === 'STO1' ? 'safe-1' : 'safe-2', 'safe'),
          ),
          plain(safeStop.return, 'safe', 'safe-return', 'safe'),
        ]),
    ...control.options.flatMap((o) =>
      (o.terminals ?? []).map((mark) => plain(mark, 'option', 'option', o.id)),
    ),
  ];
  // A mark that is there twice is one node on two screws.
  const single = all.filter((t, i) => all.findIndex((other) => other.mark === t.mark) === i);
  const order = control.places.flatMap((p) => p.marks);
  const placed = single.map((t) => ({
    ...t,
    where: control.places.find((p) => p.marks.includes(t.mark))?.where ?? '',
  }));
  const rank = (t: UnitTerminal): number => {
    const at = order.indexOf(t.mark);
    return at < 0 ? order.length : at;
  };
  return [...power, ...placed.sort((a, b) => rank(a) - rank(b))];
}
