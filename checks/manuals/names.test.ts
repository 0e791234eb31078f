/** Wordings of many makes, each name alone. */
import { meaningsOf, type NamedParameter } from '@/core/reading/meaning';
import { namedCases } from './names';

const parameterOf = (
  name: string,
  unit: string | undefined,
  choices: string | undefined,
): NamedParameter => ({
  ...{ number: 'P1', name, unit: unit === '' ? undefined : unit },
  choices: choices?.split('|').map((part) => ({ value: Number(part[0]), name: part.slice(2) })),
});

it('tells what a name means, and is hardly ever sure and wrong', () => {
  const told = namedCases.map(([name, concept, unit, choices]) => ({
    name,
    concept,
    read: meaningsOf([parameterOf(name, unit, choices)])[0]?.concept ?? null,
  }));
  const meant = told.filter((t) => t.concept !== null);
  const right = meant.filter((t) => t.read?.id === t.concept);
  const sure = told.filter((t) => (t.read?.confidence ?? 0) >= 0.9);
  const wrong = sure.filter((t) => t.read?.id !== t.concept);
  process.stdout.write(
    `names alone: ${right.length} of ${meant.length} right, ${wrong.length} of ${sure.length} sure ones wrong\n`,
  );
  expect(right.length / meant.length).toBeGreaterThanOrEqual(0.95);
  expect(wrong.map((t) => t.name)).toEqual([]);
});
