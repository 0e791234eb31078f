import type { Control } from '../../equipment/catalogue';
import { defaultOf, parameterFor, type Rating } from '../../equipment/drive-words';
import type { Finding, Plate } from '../../equipment/plate';

/** Beyond this the motor runs hot or weak (common practice, no source). */
const bearable = 0.05;

const figure = (value: number): string => String(Number(value.toFixed(2)));

/**
 * The plate's volts per hertz against what the region's base frequency makes of them: a 50 Hz motor at 60 Hz
 * defaults gets its voltage only at 60 Hz.
 */
export function vPerHz(
  plate: Plate,
  control: Pick<Control, 'parameters'>,
  rating: Rating,
  region: '50Hz' | '60Hz',
): Finding[] {
  const base = parameterFor(control, 'motor.frequency');
  const base_Hz = base === undefined ? (region === '60Hz' ? 60 : 50) : defaultOf(base, rating, region);
  const wanted = plate.volts / plate.hz;
  const gets = plate.volts / base_Hz;
  const off = gets / wanted - 1;
  const sum = `${plate.volts} V ÷ ${base_Hz} Hz = ${figure(gets)} V/Hz, the nameplate requires ${plate.volts} V ÷ ${plate.hz} Hz = ${figure(wanted)}`;
  if (Math.abs(off) <= bearable)
    return [{ code: 'v-per-hz', severity: 'info', text: 'V/Hz matches the nameplate.', sum }];
  const percent = Math.abs(100 * off).toFixed(0);
  return [
    {
      code: 'v-per-hz',
      severity: 'wrong',
      text:
        off < 0
          ? `With the ${region === '60Hz' ? 60 : 50} Hz default set the motor is ${percent} % under-fluxed: low torque, overheats under load.`
          : `With the ${region === '60Hz' ? 60 : 50} Hz 50/60 Hz default set’s base frequency the motor is ${percent} % over-fluxed: it saturates and burns.`,
      sum,
    },
  ];
}
