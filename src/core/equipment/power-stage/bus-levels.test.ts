import { busLevelsOf, probeVolts } from '.';

// The figures of the classes are from memory, and stand here once more: a change must be meant.
it.each([
  [208, 400, 380, 200],
  [240, 400, 380, 200],
  [380, 800, 760, 360],
  [480, 800, 760, 360],
  [575, 1150, 1080, 550],
  [690, 1150, 1080, 550],
])(
  'a unit for %i V trips at %i V, chops at %i V, and is too low at %i V',
  (rated_V, trip_V, chopper_V, under_V) => {
    expect(busLevelsOf(rated_V)).toEqual({ trip_V, chopper_V, under_V });
  },
);

it('goes by the class, not by a factor of the supply', () => {
  expect(busLevelsOf(400)).toEqual(busLevelsOf(480));
});

it('a type has its own levels; beyond the classes it must', () => {
  const own = { trip_V: 830, chopper_V: 790, under_V: 380 };
  expect(busLevelsOf(400, own)).toBe(own);
  expect(busLevelsOf(3300, own)).toBe(own);
  expect(() => busLevelsOf(3300)).toThrow(/no voltage class for 3300 V/);
});

it('probes stand the trip level, and never less than 1000 V', () => {
  expect([230, 400, 690].map(probeVolts)).toEqual([1000, 1000, 1150]);
});
