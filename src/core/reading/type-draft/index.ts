// A drive type in the making, from what was read of its manual.
import type * as z from 'zod';
import type { AlarmFamily, ConceptId } from '../../equipment/concepts';
import { coverageOf, unlocks, type Coverage, type Missing } from '../coverage';
import type { ManualReading } from '../manual';
import type { Learnt } from '../meaning';
import type { typeDraftSchema } from './schema';

export { genericDraft } from './generic';
export { typeFrom, typeIdOf, type FinishedType, type UnitFacts } from './to-type';

/** A drive type in the making. */
export type TypeDraft = z.output<typeof typeDraftSchema>;
/** A parameter of a draft. */
export type DraftParameter = TypeDraft['parameters'][number];

/** From this confidence on a meaning counts without being asked. */
export const sureFrom = 0.9;

/** What was read, with its sure meanings taken and the others open. */
export function draftFrom(
  { entries, alarms }: ManualReading,
  about: Pick<TypeDraft, 'id' | 'maker' | 'range' | 'source'>,
): TypeDraft {
  return {
    ...about,
    parameters: entries.map(({ alternatives: _a, spoke: _s, ...entry }) => ({
      ...entry,
      meaning: {
        concept: entry.concept !== null && entry.concept.confidence >= sureFrom ? entry.concept.id : null,
        by: 'read',
      },
    })),
    alarms: alarms.map(({ cause: _c, remedy: _r, ...alarm }) => ({
      ...alarm,
      meaning: {
        family: alarm.family !== null && alarm.family.confidence >= 0.5 ? alarm.family.id : null,
        by: 'read',
      },
    })),
  };
}

/** A parameter whose meaning is to be asked, and what it would unlock. */
export interface Question {
  parameter: DraftParameter;
  guess: ConceptId;
  unlocks: Missing[];
}

const knownOf = ({ parameters }: Pick<TypeDraft, 'parameters'>): Set<ConceptId> =>
  new Set(parameters.flatMap(({ meaning }) => meaning.concept ?? []));

/** How far each tool works with the draft as it is. */
export const draftCoverage = (draft: Pick<TypeDraft, 'parameters' | 'alarms'>): Coverage[] =>
  coverageOf(
    knownOf(draft),
    draft.alarms.map(({ meaning }): AlarmFamily | null => meaning.family),
  );

/** Parameters that were read doubtfully, those first that unlock most; whoever was answered is not asked again. */
export function questionsOf(draft: TypeDraft): Question[] {
  const coverage = draftCoverage(draft);
  const taken = knownOf(draft);
  return draft.parameters
    .flatMap((parameter): Question[] => {
      const { meaning, concept } = parameter;
      if (meaning.by === 'person' || meaning.concept !== null || concept === null || taken.has(concept.id))
        return [];
      return [{ parameter, guess: concept.id, unlocks: unlocks(concept.id, coverage) }];
    })
    .sort(
      (a, b) =>
        b.unlocks.length - a.unlocks.length ||
        (b.parameter.concept?.confidence ?? 0) - (a.parameter.concept?.confidence ?? 0),
    );
}

/**
 * The draft after a person said what a parameter means; another parameter that had the concept loses it, since a drive has
 * one for each.
 */
export const withMeaning = (draft: TypeDraft, number: string, concept: ConceptId | null): TypeDraft => ({
  ...draft,
  parameters: draft.parameters.map((parameter) => {
    if (parameter.number === number) return { ...parameter, meaning: { concept, by: 'person' as const } };
    return concept !== null && parameter.meaning.concept === concept
      ? { ...parameter, meaning: { concept: null, by: 'person' as const } }
      : parameter;
  }),
});

/** Names whose meaning a person chose, for the next manual. */
export const learntFrom = (drafts: readonly Pick<TypeDraft, 'parameters'>[]): Learnt[] =>
  drafts.flatMap(({ parameters }) =>
    parameters.flatMap(({ name, meaning }) =>
      meaning.by === 'person' && meaning.concept !== null ? [{ name, concept: meaning.concept }] : [],
    ),
  );
