import { recordOf } from '../../numerics/arrays';
import { powerRules } from './rules-power';
import { outputRules } from './rules-output';
import { signalRules } from './rules-signals';
import { mechanicalRules } from './rules-mechanical';
import { networkRules } from './rules-network';
import type { FitRow, FitRule } from './rule';
import type { UnitRequirements, FitUnit } from './unit';

/** Every rule of the fit check. */
export const fitRules: readonly FitRule[] = [
  ...powerRules,
  ...outputRules,
  ...signalRules,
  ...mechanicalRules,
  ...networkRules,
];

/** Whether a unit does in the place of another, row by row. */
export interface FitCheck {
  rows: FitRow[];
  counts: Readonly<Record<FitRow['verdict'], number>>;
  /** `does-not` where one row does not fit, `ask` where something is not known, `adapts`, else `fits`. */
  verdict: FitRow['verdict'];
  /** What to buy, to move and to change, in the order of the rows. */
  actions: { kind: 'buy' | 'move' | 'change' | 'ask'; text: string; row: string }[];
}

const verdicts = ['fits', 'adapts', 'does-not', 'ask'] as const;

/** Does the next unit do in the place of the old one what the machine asks? Row by row, with what has to be done. */
export function fitCheck(old: FitUnit, next: FitUnit, asked: UnitRequirements): FitCheck {
  const rows = fitRules.flatMap((rule): FitRow[] => {
    const said = rule.says({ old, next, asked });
    return said === null ? [] : [{ id: rule.id, name: rule.name, ...said }];
  });
  const counts = recordOf(verdicts, (v) => rows.filter((r) => r.verdict === v).length);
  return {
    rows,
    counts,
    verdict:
      counts['does-not'] > 0 ? 'does-not' : counts.ask > 0 ? 'ask' : counts.adapts > 0 ? 'adapts' : 'fits',
    actions: rows.flatMap((r) => (r.action === undefined ? [] : [{ ...r.action, row: r.id }])),
  };
}
