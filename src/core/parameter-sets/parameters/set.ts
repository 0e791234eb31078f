import type { Control } from '../../equipment/catalogue';
import {
  factoryValues,
  meaningOf,
  parameterAt,
  parameterFor,
  type Rating,
  type Values,
} from '../../equipment/drive-words';

/** A type with what a unit of it is rated for: what values mean depends on both. */
export interface RatedUnit {
  typeId: string;
  control: Pick<Control, 'parameters' | 'inputs' | 'locks' | 'rampCountsTo'>;
  rating: Rating;
}

/** Values of one unit, by the numbers of its type. */
export interface UnitSet extends RatedUnit {
  values: Values;
}

/** The parameter of the region itself, which no region's defaults list. */
function regionChoice(control: Pick<Control, 'parameters'>, region: '50Hz' | '60Hz'): Values {
  const p = parameterFor(control, 'region');
  const choice = p?.choices?.find((c) => c.means === region)?.value;
  return p === undefined || choice === undefined ? {} : { [p.number]: choice };
}

/** What the factory sets for a region, as far as that is known of the type. */
export const factorySet = (unit: RatedUnit, region: '50Hz' | '60Hz'): UnitSet => ({
  ...unit,
  values: {
    ...factoryValues(unit.control.parameters, unit.rating, region),
    ...regionChoice(unit.control, region),
  },
});

/** The region a set is in; the one of a 50 Hz motor where it does not say. */
export function regionOf({ control, values }: Pick<UnitSet, 'control' | 'values'>): '50Hz' | '60Hz' {
  const region = meaningOf(control, values, 'region');
  if (region === '50Hz' || region === '60Hz') return region;
  const base = meaningOf(control, values, 'motor.frequency');
  return typeof base === 'number' && base >= 55 ? '60Hz' : '50Hz';
}

/** A set without the entries of boards that are not fitted: they do not show on such a unit. */
export const fittedWith = <S extends UnitSet>(set: S, fitted: readonly string[]): S => ({
  ...set,
  values: Object.fromEntries(
    Object.entries(set.values).filter(([number]) => {
      const needs = parameterAt(set.control, number)?.needs;
      return needs === undefined || !('option' in needs) || fitted.includes(needs.option);
    }),
  ),
});
