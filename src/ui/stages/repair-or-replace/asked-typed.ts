import { networkQuestions, type UnitRequirements } from '@/core/replacement/replacement';
import type { Payload } from '@/core/logbook';
import { figureFrom } from '../../kit/number-from';

export const figures = [
  ['motorAmps', 'Motor amps', 'A'],
  ['ambient_C', 'Warmest at the drive', '°C'],
  ['altitude_m', 'Height above the sea', 'm'],
  ['carrier_kHz', 'Carrier', 'kHz'],
  ['brakeResistor_ohm', 'Brake resistor fitted', 'Ω'],
] as const;
type FigureKey = (typeof figures)[number][0];
export const sides = [
  ['width', 'Room, width'],
  ['height', 'Room, height'],
  ['depth', 'Room, depth'],
] as const;

const text = (n: number | null): string => (n === null ? '' : String(n));
/** Empty: not known. Undefined: it cannot be read. */
export const readFigure = (t: string): number | null | undefined =>
  t.trim() === '' ? null : (figureFrom(t) ?? undefined);

export type YesNo = 'yes' | 'no' | '';
const yesNo = (b: boolean | null): YesNo => (b === null ? '' : b ? 'yes' : 'no');
/** What is chosen and typed, as it stands in the form. */
export interface AskedTyped {
  /** Texts by field: supply volts, the figures, the sides, protection, network and its answers. */
  texts: Readonly<Record<string, string>>;
  phases: '1' | '3';
  earthing: UnitRequirements['supply']['earthing'];
  duty: '' | 'normal' | 'heavy';
  brakes: YesNo;
  feedback: YesNo;
  cables: '' | 'below' | 'above';
  sideBySide: boolean;
}

export const typedAs = (asked: UnitRequirements): AskedTyped => ({
  texts: {
    volts: String(asked.supply.volts),
    ...Object.fromEntries(figures.map(([key]) => [key, text(asked[key])])),
    ...Object.fromEntries(sides.map(([side]) => [side, text(asked.room_mm[side])])),
    protection: asked.protection ?? '',
    network: asked.network?.name ?? '',
    ...Object.fromEntries(
      networkQuestions.map((q) => [networkField(q.id), asked.network?.answers[q.id] ?? '']),
    ),
  },
  phases: asked.supply.phases === 1 ? '1' : '3',
  earthing: asked.supply.earthing,
  duty: asked.duty ?? '',
  brakes: yesNo(asked.brakes),
  feedback: yesNo(asked.feedback),
  cables: asked.cablesFrom ?? '',
  sideBySide: asked.sideBySide,
});

/** Name of the field that holds the answer to a question about the network. */
export const networkField = (question: string): string => `net ${question}`;

const protectionOf = ({ texts }: AskedTyped): string => (texts.protection ?? '').trim().toUpperCase();
/** A protection class was typed that is none. */
export const badProtection = (typed: AskedTyped): boolean =>
  protectionOf(typed) !== '' && !/^IP[0-6][0-9]$/.test(protectionOf(typed));

/** What was typed as an entry; null while something cannot be read. */
export function askedOf(typed: AskedTyped): Payload<'swap.asked'> | null {
  const at = (key: string): string => typed.texts[key] ?? '';
  const volts = readFigure(at('volts'));
  if (typeof volts !== 'number' || volts <= 0 || badProtection(typed)) return null;
  const asked = [...figures.map(([key]) => key), ...sides.map(([side]) => side)];
  if (asked.some((key) => readFigure(at(key)) === undefined)) return null;
  const figure = (key: FigureKey | (typeof sides)[number][0]) => readFigure(at(key)) ?? null;
  const truth = (v: YesNo): boolean | null => (v === '' ? null : v === 'yes');
  const name = at('network').trim();
  const answers = Object.fromEntries(
    networkQuestions.flatMap((q) => {
      const said = at(networkField(q.id)).trim();
      return said === '' ? [] : [[q.id, said]];
    }),
  );
  return {
    supply: { volts, phases: typed.phases === '1' ? 1 : 3, earthing: typed.earthing },
    motorAmps: figure('motorAmps'),
    duty: typed.duty === '' ? null : typed.duty,
    ambient_C: figure('ambient_C'),
    altitude_m: figure('altitude_m'),
    carrier_kHz: figure('carrier_kHz'),
    sideBySide: typed.sideBySide,
    brakeResistor_ohm: figure('brakeResistor_ohm'),
    brakes: truth(typed.brakes),
    feedback: truth(typed.feedback),
    network: name === '' ? null : { name, answers },
    wired: null,
    room_mm: { width: figure('width'), height: figure('height'), depth: figure('depth') },
    cablesFrom: typed.cables === '' ? null : typed.cables,
    protection: protectionOf(typed) === '' ? null : protectionOf(typed),
  };
}
