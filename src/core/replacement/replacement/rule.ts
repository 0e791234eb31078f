import type { UnitRequirements, FitUnit } from './unit';

/** One row of the fit check. */
export interface FitRow {
  id: string;
  name: string;
  /** As it is on the old and on the next unit. */
  old: string;
  next: string;
  verdict: 'fits' | 'adapts' | 'does-not' | 'ask';
  text: string;
  sum?: string;
  action?: { kind: 'buy' | 'move' | 'change' | 'ask'; text: string };
}

/** One row of the check. It is silent where it does not concern these units. */
export interface FitRule {
  id: string;
  name: string;
  says: (units: {
    old: FitUnit;
    next: FitUnit;
    asked: UnitRequirements;
  }) => Omit<FitRow, 'id' | 'name'> | null;
}

/** Rows in short. */
export const row = (
  verdict: FitRow['verdict'],
  old: string,
  next: string,
  text: string,
  more: Pick<FitRow, 'sum' | 'action'> = {},
): Omit<FitRow, 'id' | 'name'> => ({ verdict, old, next, text, ...more });

/** What stands where nothing is known. */
export const unknown = 'not known';
