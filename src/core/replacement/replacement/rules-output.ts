// What stands before and behind a unit: short circuit, emissions, cable and winding. Common practice, no source, where no standard is named.
import { bearingWords, filterWords, judgeCable } from '../../equipment/cable';
import { row, unknown, type FitRule } from './rule';
import { emcCategories, type FitUnit } from './unit';

const kA = (unit: FitUnit): string => {
  const rating = unit.control?.mounting?.shortCircuit_kA;
  return rating === undefined ? unknown : `${rating} kA`;
};
const emcOf = (unit: FitUnit): string => unit.control?.mounting?.emc ?? unknown;

/** Short-circuit rating, EMC filter, cable with choke or filter, and what the winding stands. */
export const outputRules: readonly FitRule[] = [
  {
    id: 'short-circuit',
    name: 'Short-circuit rating',
    says: ({ old, next, asked: { shortCircuit_kA: there } }) => {
      if (there === undefined) return null;
      const rating = next.control?.mounting?.shortCircuit_kA;
      const [left, right] = [kA(old), kA(next)];
      if (there === null || rating === undefined)
        return row(
          'ask',
          left,
          right,
          'Prospective short-circuit current here, and rating of the unit with its fuses, not known.',
          {
            action: {
              kind: 'ask',
              text: 'Short-circuit current at the drive, and the rating of the unit with its fuses',
            },
          },
        );
      return rating >= there
        ? row('fits', left, right, `With the fuses of its table it stands the ${there} kA of this place.`)
        : row(
            'does-not',
            left,
            right,
            `Prospective ${there} kA here: current-limiting fuses or breaker as listed by the maker, or another unit.`,
          );
    },
  },
  {
    id: 'emc',
    name: 'EMC filter',
    says: ({ old, next, asked: { emc: wanted } }) => {
      if (wanted === undefined) return null;
      const has = next.control?.mounting?.emc;
      const [left, right] = [emcOf(old), emcOf(next)];
      if (wanted === null || has === undefined)
        return row('ask', left, right, 'EMC category of the site and of the unit not known.', {
          action: { kind: 'ask', text: 'EMC category of the site (IEC 61800-3)' },
        });
      return has !== 'none' && emcCategories.indexOf(has) <= emcCategories.indexOf(wanted)
        ? row('fits', left, right, `Meets ${wanted} with screened cable, bonded 360° at both ends.`)
        : row('adapts', left, right, `Does not meet ${wanted} without a filter.`, {
            action: { kind: 'buy', text: `EMC filter for ${wanted}, on the same mounting plate as the unit` },
          });
    },
  },
  {
    id: 'cable',
    name: 'Motor cable and winding',
    says: ({ old, next, asked }) => {
      const { cable } = asked;
      if (cable === undefined) return null;
      if (cable === null || asked.supply.volts === null)
        return row('ask', '', '', 'Cable length, winding insulation and output filter not known.', {
          action: { kind: 'ask', text: 'Length of the motor cable, age and make of the winding' },
        });
      const judged = judgeCable({
        ...cable,
        supply_V: asked.supply.volts,
        motor: { volts: asked.supply.volts, power_kW: next.power_kW ?? old.power_kW ?? 0 },
      });
      const fitted = filterWords(cable.filter);
      const text = `${judged.text}${judged.bearing ? ` ${bearingWords}` : ''}`;
      return judged.wants === null
        ? row('fits', fitted, fitted, text, { sum: judged.sum })
        : row('adapts', fitted, filterWords(judged.wants), text, {
            sum: judged.sum,
            action: {
              kind: 'buy',
              text: `${filterWords(judged.wants).replace(/^an? /, '')} for ${cable.length_m} m of cable`,
            },
          });
    },
  },
];
