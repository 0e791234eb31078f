import { swapOf, unitsOf } from '.';
import { knownType, noted, stateOf, swapJob, units } from './__tests__/swap-job';

const swapNow = (j = swapJob()) => {
  const swap = swapOf(stateOf(j), knownType);
  if (swap === null) throw new Error('no swap');
  return swap;
};

it('the next unit has the old one’s set, translated, until a set of its own is there', () => {
  const j = swapJob();
  expect(swapNow(j).next?.from).toEqual({ from: 'translated', name: 'Paper of the Knot, from its door' });
  expect(swapNow(j).map?.fates.filter((f) => f.outcome === 'set')).toEqual([]);
  expect(swapNow(j).carried?.rows).toHaveLength(66);
  const { control } = knownType('whimbrel-w4') ?? {};
  const number = control?.parameters.find((p) => p.concept === 'input.DI3')?.number ?? '';
  j.add('set.kept', {
    name: 'as it came',
    typeId: 'whimbrel-w4',
    rating: { ratedAmps: 15, power_kW: 7.5, supply_V: 400 },
    values: { [number]: 8 },
    strangers: [],
    source: 'typed',
  });
  const own = swapNow(j);
  expect(own.next?.from).toEqual({ from: 'set', name: 'as it came' });
  // As it came, nothing of it enables, and no relay tells of a trip (two wires).
  expect(own.map?.fates.flatMap((f) => f.change?.shown ?? [])).toEqual(['enable', 'tripped', 'tripped']);
});

it('what the list has counts for the fit', () => {
  const { asked, fit } = swapNow();
  expect(asked.wired).toEqual({ digital: 5, analog: 1, analogOut: 0, relays: 1, safe: false });
  expect(asked.brakes).toBe(true);
  expect(asked.motorAmps).toBe(14.6);
  expect(fit?.rows.find((r) => r.id === 'brake')?.verdict).toBe('ask');
});

it('a jumper that was seen on the old unit settles its signal', () => {
  const j = swapJob();
  j.add('wire.noted', noted(99, 'C1', 'reference-current'));
  const about = () => swapNow(j).map?.notes.find((n) => n.id === 'selector:AI2');
  expect(about()).not.toHaveProperty('stood');
  j.add('swap.selector', { input: 'AI2', position: 'mA' });
  expect(about()).toMatchObject({ stood: 'mA' });
  j.add('swap.selector', { input: 'AI2', position: 'V' });
  expect(about()).toMatchObject({ stood: 'V' });
});

it('without a next unit, or one that no catalogue knows, nothing is mapped and nothing is passed', () => {
  const j = swapJob();
  j.add('swap.units', { ...units, next: null });
  expect(swapNow(j)).toMatchObject({ map: null, fit: null, next: null });
  j.add('swap.units', { old: units.old, next: { ...units.old, typeId: null, maker: 'Curlew', type: 'C9' } });
  const strange = swapNow(j);
  expect(strange.map).toBeNull();
  expect(strange.fit?.verdict).toBe('ask');
  expect(strange.issues.length).toBeGreaterThan(0);
  expect(unitsOf(stateOf(j))?.next?.type).toBe('C9');
});
