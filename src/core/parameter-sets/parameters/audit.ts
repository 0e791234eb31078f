import { type ConceptId, inputConcept } from '../../equipment/concepts';
import { meaningOf, parameterFor } from '../../equipment/drive-words';
import type { AuditContext, AuditRule, AuditFacts, AuditSeverity } from './rules/rule';
import { limitAudits } from './rules/limits';
import { motorAudits } from './rules/motor';
import { safetyAudits } from './rules/safety';
import { sourceAudits } from './rules/sources';
import type { UnitSet } from './set';

/** One finding of a rule, with its calculation. */
export interface AuditFinding {
  rule: string;
  severity: AuditSeverity;
  text: string;
  sum: string;
  /** Entries it is about, as the type numbers them. */
  numbers: string[];
}

/** What is wrong or doubtful about a set, and what could not be judged. */
export interface Audit {
  findings: AuditFinding[];
  /** Rules that lacked a value. */
  notJudged: { rule: string; about: string }[];
}

/** Every audit rule. */
export const auditRules: readonly AuditRule[] = [
  ...motorAudits,
  ...limitAudits,
  ...sourceAudits,
  ...safetyAudits,
];

function factsOf(set: UnitSet, around: AuditContext): AuditFacts {
  const { control, values } = set;
  const means = (concept: ConceptId) => meaningOf(control, values, concept);
  return {
    ...around,
    set,
    num: (concept) => {
      const value = means(concept);
      return typeof value === 'number' ? value : undefined;
    },
    is: (concept) => {
      const value = means(concept);
      return typeof value === 'string' ? value : undefined;
    },
    functions: control.inputs.flatMap(({ id, mark }) => {
      const does = means(inputConcept(id));
      return typeof does === 'string' && does !== 'none' ? [{ mark, does }] : [];
    }),
  };
}

const gravity: Readonly<Record<AuditSeverity, number>> = { wrong: 0, doubt: 1, info: 2 };

/** Everything that is wrong or doubtful about a set, the worst first. */
export function auditSet(set: UnitSet, around: AuditContext = {}): Audit {
  const facts = factsOf(set, around);
  const judged = auditRules.map((rule) => ({ rule, said: rule.judge(facts) }));
  const numbersOf = (concepts: readonly ConceptId[]): string[] =>
    concepts.flatMap((c) => parameterFor(set.control, c)?.number ?? []);
  return {
    findings: judged
      .flatMap(({ rule, said }): AuditFinding[] =>
        said === null || said === undefined
          ? []
          : [{ rule: rule.id, severity: rule.severity, ...said, numbers: numbersOf(rule.concepts) }],
      )
      .sort((a, b) => gravity[a.severity] - gravity[b.severity]),
    notJudged: judged.flatMap(({ rule, said }) =>
      said === undefined ? [{ rule: rule.id, about: rule.about }] : [],
    ),
  };
}
