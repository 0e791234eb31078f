import fc from 'fast-check';
import { runVerb, verbs } from '.';
import { examples } from './__tests__/examples';

/**
 * Every verb against inputs near its worked example: leaves replaced by values at the edges of their kind, keys left out, lists
 * emptied, doubled or reversed. Whatever is asked: an answer that keeps to its own schema after a trip as JSON, or a refusal.
 */
const edgeNumbers = [0, -1, 1, 0.5, 2, 1e-9, 1e-3, 3, 10, 60, 1000, 1e6, 1e12, -1e6, 1e300];
const mutation = fc.record({
  /** Which of all places, as a share. */
  at: fc.double({ min: 0, max: 1, maxExcluded: true, noNaN: true }),
  how: fc.constantFrom('edge', 'edge', 'scale', 'scale', 'drop', 'empty', 'twice', 'reverse', 'flip'),
  edge: fc.constantFrom(...edgeNumbers),
  scale: fc.constantFrom(0, 0.01, 0.1, 0.5, 0.9, 1.1, 2, 10, 100, -1),
});
type Mutation = typeof mutation extends fc.Arbitrary<infer M> ? M : never;

type Place = { holder: Record<string, unknown> | unknown[]; key: string | number };

function placesIn(value: unknown, places: Place[] = []): Place[] {
  if (Array.isArray(value))
    value.forEach((inner, i) => {
      places.push({ holder: value, key: i });
      placesIn(inner, places);
    });
  else if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) {
      places.push({ holder: value as Record<string, unknown>, key });
      placesIn(inner, places);
    }
  return places;
}

function mutate(input: unknown, mutations: readonly Mutation[]): unknown {
  const changed: unknown = structuredClone(input);
  for (const { at, how, edge, scale } of mutations) {
    const places = placesIn(changed);
    const place = places[Math.floor(at * places.length)];
    if (place === undefined) continue;
    const holder = place.holder as Record<string | number, unknown>;
    const value = holder[place.key];
    if (how === 'drop' && !Array.isArray(place.holder)) delete holder[place.key];
    else if (typeof value === 'number') holder[place.key] = how === 'scale' ? value * scale : edge;
    else if (typeof value === 'boolean') holder[place.key] = !value;
    else if (Array.isArray(value)) {
      const list: unknown[] = value;
      const changes: Partial<Record<typeof how, unknown[]>> = {
        empty: [],
        twice: [...list, ...list],
        reverse: list.toReversed(),
      };
      holder[place.key] = changes[how] ?? list;
    }
  }
  return changed;
}

/** A waveform of such a case may take seconds to compute: some of them in place of all. */
const fewer: Readonly<Record<string, number>> = {
  waveform: 60,
  'waveform-diagnose': 8,
  'static-diagnose': 60,
  'key-plan': 60,
};

it.each(verbs.map((verb) => [verb.name, verb] as const))('%s keeps its word at the edges', (name, verb) => {
  const example = examples[name]?.input;
  expect(example).toBeDefined();
  fc.assert(
    fc.property(fc.array(mutation, { minLength: 1, maxLength: 4 }), (mutations) => {
      const input = mutate(example, mutations);
      const { status, body } = runVerb(verb, input);
      if (status !== 200) {
        expect({ status, body }).toMatchObject({ status: 422 });
        return;
      }
      const travelled: unknown = JSON.parse(JSON.stringify(body));
      expect(verb.output.safeParse(travelled).error?.issues ?? []).toEqual([]);
    }),
    { numRuns: fewer[name] ?? 200, seed: 20261201, endOnFailure: true },
  );
});
