import type { Control } from '../catalogue';
import { meaningOf, type Values } from '../drive-words';
import { isLifting, type Choices } from './rule';
import type { SheetRow, StartUpSheet } from './sheet';

/** A value typed in the place of the rule's, with its reason. */
export type Typed = Readonly<Record<string, { value: number; reason: string }>>;

/** What is to be entered: the rule's value, or the one that was typed. */
export const wantedOf = (row: SheetRow, typed: Typed): number | null => typed[row.number]?.value ?? row.value;

const differs = (row: SheetRow, typed: Typed): boolean => {
  const wanted = wantedOf(row, typed);
  // Identification goes back to none when it has run: that is no difference.
  return (
    row.concept !== 'motor.ident' && row.now !== null && wanted !== null && Math.abs(row.now - wanted) > 1e-6
  );
};

/** Entries that the drive has otherwise than the sheet. */
export const differing = (sheet: StartUpSheet, typed: Typed): SheetRow[] =>
  sheet.rows.filter((row) => differs(row, typed));

const identStates: Readonly<Record<string, string>> = {
  stale: 'The identification is stale: a plate value was changed after it. Run it again.',
  failed: 'The identification failed: run it again, with enable and safe stop made.',
  'not-done': 'The identification was not run yet.',
};

/** One thing that speaks against a sheet; its id stays the same. */
export interface Against {
  id: string;
  text: string;
}

/** Stops that let a load go: refused without a brake that is proven to close. */
const lettingGo: readonly string[] = ['coast', 'dc-injection'];

/** A load that pulls must not be let go by the stop that was typed, or that is in the drive. */
function stopAgainst(
  sheet: StartUpSheet,
  typed: Typed,
  { parameters }: Pick<Control, 'parameters'>,
  { load, brakeProven }: Choices,
): Against[] {
  if (!isLifting(load) || brakeProven) return [];
  const row = sheet.rows.find((r) => r.concept === 'stop.mode');
  const wanted = row === undefined ? null : wantedOf(row, typed);
  const means = parameters
    .find((p) => p.number === row?.number)
    ?.choices?.find((c) => c.value === wanted)?.means;
  return means !== undefined && lettingGo.includes(means)
    ? [
        {
          id: 'stop',
          text: 'A load that pulls is stopped by ramp: coast and DC injection are refused as long as no closing brake is proven.',
        },
      ]
    : [];
}

/** What stands against signing the sheet; a motor of another region and a stale identification among it. */
export function sheetAgainst(
  sheet: StartUpSheet,
  typed: Typed,
  control: Pick<Control, 'parameters'>,
  values: Values,
  choices: Choices,
): Against[] {
  const asked = sheet.rows.some((r) => r.concept === 'motor.ident' && r.value !== null);
  const state = meaningOf(control, values, 'motor.ident-state');
  const ident = asked && typeof state === 'string' ? identStates[state] : undefined;
  const other = differing(sheet, typed).map((r) => `${r.number} ${r.name}`);
  return [
    ...sheet.findings
      .filter((f) => f.severity === 'wrong')
      .map((f) => ({ id: `plate:${f.code}`, text: f.text })),
    ...stopAgainst(sheet, typed, control, choices),
    ...(ident === undefined ? [] : [{ id: 'identification', text: ident }]),
    ...(other.length === 0
      ? []
      : [
          {
            id: 'entries',
            text: `${other.length === 1 ? 'One entry is' : `${other.length} entries are`} otherwise in the drive: ${other.slice(0, 4).join(', ')}${other.length > 4 ? ' …' : ''}.`,
          },
        ]),
  ];
}
