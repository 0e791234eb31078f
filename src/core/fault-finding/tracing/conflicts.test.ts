import { traceFrom, usualTables, type CheckAnswer } from '.';

const conflicts = (family: string, answers: CheckAnswer[]) => {
  const table = usualTables.find((t) => t.family === family);
  if (table === undefined) throw new Error(family);
  return traceFrom(table, answers).conflicts;
};

it('says that two answers speak for causes that cannot both be', () => {
  const [one, ...others] = conflicts('external', [
    { check: 'which', outcome: 'yes' },
    { check: 'reset', outcome: 'yes' },
  ]);
  expect(one?.checks).toEqual(['which', 'reset']);
  expect(one?.text).toMatch(/No single cause gives both “device open”.*“yes”.*Repeat one of the two/);
  expect(others).toEqual([]);
});

it('says that one check has two answers', () => {
  const twice = conflicts('external', [
    { check: 'which', outcome: 'yes' },
    { check: 'which', outcome: 'no' },
  ]);
  expect(twice.map((c) => c.text)).toEqual([expect.stringContaining('has two answers')]);
});

it('answers of one cause never exclude each other, nor do answers that settle nothing', () => {
  for (const table of usualTables)
    for (const { id } of table.causes) {
      const typical = table.checks.map(({ id: check, outcomes }) => {
        const best = outcomes.reduce((a, b) =>
          (b.given[id] ?? b.otherwise) > (a.given[id] ?? a.otherwise) ? b : a,
        );
        return { check, outcome: best.id };
      });
      expect([table.family, id, ...traceFrom(table, typical).conflicts]).toEqual([table.family, id]);
    }
  const unsure = [
    { check: 'which', outcome: 'not-sure' },
    { check: 'reset', outcome: 'yes' },
  ];
  expect(conflicts('external', unsure)).toEqual([]);
});
