import { draftCoverage, draftFrom, learntFrom, questionsOf, withMeaning } from '.';
import { interpreted, readText } from '../manual';
import { typeDraftSchema } from './schema';

const list = [
  'No;Name;Range;Default',
  'P01;Max. speed;5 - 300 Hz;50',
  'P02;Run-up time;0.1 - 99 s;4',
  'P03;Run down;0.1 - 99;4',
  'P04;Hour counter;0 - 9999 h;0',
].join('\n');
const about = {
  id: '0190a000-0000-7000-8000-00000000000a',
  maker: 'Nobody',
  range: 'N1',
  source: 'list.csv',
};
const draft = draftFrom(interpreted(readText(list)), about);

it('takes the sure meanings, and is what the server takes', () => {
  expect(draft.parameters.map((p) => p.meaning.concept)).toEqual(
    expect.arrayContaining(['limit.maximum-frequency', 'ramp.up']),
  );
  expect(typeDraftSchema.parse(draft)).toEqual(draft);
});

it('says how far the tools work, and what they lack', () => {
  const [faults, startUp] = draftCoverage(draft);
  expect(faults).toEqual({ tool: 'fault-finding', percent: 0, missing: [] });
  expect(startUp?.missing.map((m) => m.without)).toContain('no overload check');
  const more = draftCoverage(withMeaning(draft, 'P04', 'protect.overload-percent'));
  expect(more[1]?.missing.map((m) => m.without)).not.toContain('no overload check');
});

it('asks what was read doubtfully, and not again what was answered', () => {
  const doubtful = {
    ...draft,
    parameters: draft.parameters.map((p) =>
      p.number === 'P03'
        ? {
            ...p,
            concept: { id: 'ramp.down' as const, confidence: 0.6 },
            meaning: { concept: null, by: 'read' as const },
          }
        : p,
    ),
  };
  const [question] = questionsOf(doubtful);
  expect(question).toMatchObject({ guess: 'ramp.down', parameter: { number: 'P03' } });
  expect(question?.unlocks.map((u) => u.without)).toEqual(['no check of the ramp down']);
  expect(questionsOf(withMeaning(doubtful, 'P03', null))).toEqual([]);
});

it('a concept belongs to one parameter: the other loses it', () => {
  const moved = withMeaning(draft, 'P04', 'ramp.up');
  expect(moved.parameters.filter((p) => p.meaning.concept === 'ramp.up').map((p) => p.number)).toEqual([
    'P04',
  ]);
  expect(learntFrom([moved])).toEqual([{ name: 'Hour counter', concept: 'ramp.up' }]);
});
