import { storyOf, usualConsequences } from '.';
import { consequencesSchema } from './schema';

const told = (...faults: [string, 'short' | 'open'][]): string[] =>
  storyOf(
    faults.map(([component, mode]) => ({ component: component as 'bus.cap', mode })),
    usualConsequences,
  ).map((l) => l.id);

describe('the story behind a fault', () => {
  it('thinks of the precharge resistor when the capacitor bank is shorted, and the other way round', () => {
    const [bank] = storyOf([{ component: 'bus.cap', mode: 'short' }], usualConsequences);
    expect(bank?.chain).toContain('precharge');
    expect(told(['bus.precharge', 'open'])).toEqual(['precharge-open']);
  });

  it('sends you to driver, motor and cable for a shorted inverter position', () => {
    const [line] = storyOf([{ component: 'inv.U.hi', mode: 'short' }], usualConsequences);
    expect(line?.inspect.join()).toMatch(/driver.*motor and cable/);
  });

  it('thinks of a surge only when two phases died', () => {
    expect(told(['rect.L1.lo', 'short'], ['rect.L2.lo', 'short'])).toEqual(['surge']);
    expect(told(['rect.L1.lo', 'short'], ['rect.L1.hi', 'short'])).toEqual(['rectifier']);
  });

  it('tells one line per dead part', () => {
    expect(told(['bus.cap', 'short'], ['bus.precharge', 'open'])).toEqual(['bank-short', 'precharge-open']);
    expect(told()).toEqual([]);
  });

  it('ships a table that a site could have written', () => {
    expect(consequencesSchema.safeParse(usualConsequences).error).toBeUndefined();
  });
});
