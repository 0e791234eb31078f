import type { Control } from '../../equipment/catalogue';
import { meaningOf, type Values } from '../../equipment/drive-words';
import type { SheetRow, StartUpSheet } from './sheet';

/** A value typed in the place of the rule's, with its reason. */
export type TypedValues = Readonly<Record<string, { value: number; reason: string }>>;

/** What is to be entered: the rule's value, or the one that was typed. */
export const wantedOf = (row: SheetRow, typed: TypedValues): number | null =>
  typed[row.number]?.value ?? row.value;

const differs = (row: SheetRow, typed: TypedValues): boolean => {
  const wanted = wantedOf(row, typed);
  // Identification goes back to none when it has run: that is no difference.
  return (
    row.concept !== 'motor.ident' && row.now !== null && wanted !== null && Math.abs(row.now - wanted) > 1e-6
  );
};

/** Entries that the drive has otherwise than the sheet. */
export const differing = (sheet: StartUpSheet, typed: TypedValues): SheetRow[] =>
  sheet.rows.filter((row) => differs(row, typed));

const identStates: Readonly<Record<string, string>> = {
  stale: 'Autotune invalid: a nameplate value was changed afterwards. Repeat it.',
  failed: 'Autotune failed: repeat it with enable and STO closed.',
  'not-done': 'Autotune not done yet.',
};

/** One thing that speaks against a sheet; its id stays the same. */
export interface Against {
  id: string;
  text: string;
}

/** What stands against signing the sheet; a motor of another region and a stale identification among it. */
export function sheetAgainst(
  sheet: StartUpSheet,
  typed: TypedValues,
  control: Pick<Control, 'parameters'>,
  values: Values,
): Against[] {
  const asked = sheet.rows.some((r) => r.concept === 'motor.ident' && r.value !== null);
  const state = meaningOf(control, values, 'motor.ident-state');
  const ident = asked && typeof state === 'string' ? identStates[state] : undefined;
  const other = differing(sheet, typed).map((r) => `${r.number} ${r.name}`);
  return [
    ...sheet.findings
      .filter((f) => f.severity === 'wrong')
      .map((f) => ({ id: `plate:${f.code}`, text: f.text })),
    ...(ident === undefined ? [] : [{ id: 'identification', text: ident }]),
    ...(other.length === 0
      ? []
      : [
          {
            id: 'entries',
            text: `${other.length === 1 ? 'One parameter differs' : `${other.length} parameters differ`} in the drive: ${other.slice(0, 4).join(', ')}${other.length > 4 ? ' …' : '.'}`,
          },
        ]),
  ];
}
