import { familyOf, type Position, type Probe } from '../../equipment/power-stage';
import { soundBand } from './model';

/** The single junction a probe reads directly, or null. */
export function directJunction(probe: Probe): Position | null {
  const { red, black } = probe;
  const phase = (t: string) => t === 'U' || t === 'V' || t === 'W';
  const line = (t: string) => t === 'L1' || t === 'L2' || t === 'L3';
  if (black === 'DC+' && line(red)) return `rect.${red as 'L1'}.hi`;
  if (black === 'DC+' && phase(red)) return `inv.${red as 'U'}.hi`;
  if (black === 'DC+' && red === 'BR') return 'brk.diode';
  if (red === 'DC-' && line(black)) return `rect.${black as 'L1'}.lo`;
  if (red === 'DC-' && phase(black)) return `inv.${black as 'U'}.lo`;
  if (red === 'DC-' && black === 'BR') return 'brk.switch';
  return null;
}

/** The band a sound figure of this probe lies in, where it reads one junction. */
export function directBand(probe: Probe): readonly [number, number] | null {
  const position = directJunction(probe);
  const family = position === null ? null : familyOf(position);
  return family === null ? null : soundBand[family];
}
