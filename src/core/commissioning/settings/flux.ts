import type { Control } from '../../equipment/catalogue';
import { defaultOf, parameterFor, type Rating } from '../../equipment/drive-words';
import type { Finding, Plate } from '../../equipment/plate';

/** Beyond this the motor runs hot or weak (common practice, no source). */
const bearable = 0.05;

const figure = (value: number): string => String(Number(value.toFixed(2)));

/** What is to be entered of the motor; null where the type has no such entry, or refuses it. */
export interface EnteredFlux {
  volts: number | null;
  hz: number | null;
}

const word = (off: number): string =>
  off < 0 ? 'under-fluxed: low torque, overheats under load' : 'over-fluxed: it saturates and burns';

/**
 * The plate's volts per hertz against what the drive makes of them: by the region's base frequency as it stands (a 50 Hz
 * motor at 60 Hz defaults gets its voltage only at 60 Hz), and by what can be entered, which a limit may have changed.
 */
export function vPerHz(
  plate: Plate,
  control: Pick<Control, 'parameters'>,
  rating: Rating,
  region: '50Hz' | '60Hz',
  entered: EnteredFlux,
): Finding[] {
  const base = parameterFor(control, 'motor.frequency');
  const usual_Hz = region === '60Hz' ? 60 : 50;
  const base_Hz = base === undefined ? usual_Hz : (defaultOf(base, rating, region) ?? usual_Hz);
  const wanted = plate.volts / plate.hz;
  const judged = (volts: number, hz: number) => ({
    off: volts / hz / wanted - 1,
    sum: `${volts} V ÷ ${hz} Hz = ${figure(volts / hz)} V/Hz, the nameplate requires ${plate.volts} V ÷ ${plate.hz} Hz = ${figure(wanted)}`,
  });
  const percent = (off: number) => Math.abs(100 * off).toFixed(0);
  const byDefault = judged(plate.volts, base_Hz);
  const byEntry = judged(entered.volts ?? plate.volts, entered.hz ?? base_Hz);
  const found: Finding[] = [];
  if (Math.abs(byDefault.off) > bearable) {
    const set = `${region === '60Hz' ? 60 : 50} Hz default set`;
    found.push({
      code: 'v-per-hz',
      severity: 'wrong',
      text: `With the base frequency of the ${set} the motor is ${percent(byDefault.off)} % ${word(byDefault.off)}.`,
      sum: byDefault.sum,
    });
  }
  if (Math.abs(byEntry.off) > bearable && (entered.volts !== null || entered.hz !== null))
    found.push({
      code: 'v-per-hz-entered',
      severity: 'wrong',
      text: `This drive takes no values nearer to the nameplate: with what can be entered the motor is ${percent(byEntry.off)} % ${word(byEntry.off)}. Do not run this motor on it.`,
      sum: byEntry.sum,
    });
  return found.length > 0
    ? found
    : [{ code: 'v-per-hz', severity: 'info', text: 'V/Hz matches the nameplate.', sum: byEntry.sum }];
}
