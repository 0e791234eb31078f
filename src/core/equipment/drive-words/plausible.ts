/** A bus above this share of the supply's peak trips any drive long before (common practice, no source). */
const mostBusShare = 2;
/** No drive gives out more, Hz (common practice, no source). */
const most_Hz = 1000;

/** What a display can hardly show, as a question; null: it can. @param supply_V of the unit's label */
export function displayDoubt(of: 'bus' | 'reference', value: number, supply_V: number): string | null {
  const most = of === 'bus' ? Math.round(mostBusShare * Math.SQRT2 * supply_V) : most_Hz;
  const least = of === 'bus' ? 0 : -most_Hz;
  const unit = of === 'bus' ? 'V' : 'Hz';
  return value >= least && value <= most
    ? null
    : `${value} ${unit}? A ${supply_V} V unit shows ${least} to ${most} ${unit}. Check again.`;
}
