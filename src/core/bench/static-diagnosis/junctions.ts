import { familyOf, type Position, type Probe, type Terminal } from '../../equipment/power-stage';
import { normalRange } from './model';

const isPhase = (t: Terminal) => t === 'U' || t === 'V' || t === 'W';
const isLine = (t: Terminal) => t === 'L1' || t === 'L2' || t === 'L3';

/** The single junction a probe reads directly, or null. */
export function directJunction(probe: Probe): Position | null {
  const { red, black } = probe;
  if (black === 'DC+' && isLine(red)) return `rect.${red}.hi`;
  if (black === 'DC+' && isPhase(red)) return `inv.${red}.hi`;
  if (black === 'DC+' && red === 'BR') return 'brk.diode';
  if (red === 'DC-' && isLine(black)) return `rect.${black}.lo`;
  if (red === 'DC-' && isPhase(black)) return `inv.${black}.lo`;
  if (red === 'DC-' && black === 'BR') return 'brk.switch';
  return null;
}

/** The band a sound figure of this probe lies in, where it reads one junction. */
export function directBand(probe: Probe): readonly [number, number] | null {
  const position = directJunction(probe);
  const family = position === null ? null : familyOf(position);
  return family === null ? null : normalRange[family];
}
