import { causesFor, type Cause } from '@/core/waveform-diagnosis';
import type { WaveCase } from '@/core/waveform';

/** Faults that can be switched in, and how far each goes on a slider: from hardly to wholly. */
export interface Switched {
  id: string;
  /** 0 … 1; looked at only where a fault has a size. */
  size: number;
}

const sized: readonly string[] = ['bank-weak', 'unbalance', 'precharge-stuck', 'earth'];

export const hasSize = (id: string): boolean => sized.some((s) => id === s || id.startsWith(`${s}.`));

/** What can be chosen on this circuit, the sound one first. */
export const faultsOf = (sound: WaveCase, prechargeOhm: number): Cause[] => causesFor(sound, prechargeOhm);

/** The circuit with a fault in it, as far as the slider says. */
export function withFault(
  sound: WaveCase,
  faults: readonly Cause[],
  { id, size }: Switched,
  prechargeOhm: number,
): WaveCase {
  const change = faults.find((f) => f.id === id)?.changes[0];
  if (id === 'bank-weak') {
    const left = 1 - 0.92 * size;
    return {
      ...sound,
      bank: { ...sound.bank, C: sound.bank.C * left, ESR: sound.bank.ESR * (1 + 2 * (1 / left - 1)) },
    };
  }
  if (id === 'precharge-stuck') {
    const full = change?.(sound) ?? sound;
    return { ...full, link: { ...full.link, Rpre: prechargeOhm * size } };
  }
  if (id.startsWith('unbalance.')) {
    const k = Number(id.slice(-1)) - 1;
    const [a, b, c] = sound.supply.vscale;
    const scale = [a, b, c].map((v, i) => (i === k ? v * (1 - 0.2 * size) : v)) as [number, number, number];
    return { ...sound, supply: { ...sound.supply, vscale: scale } };
  }
  if (id.startsWith('earth.')) {
    const full = change?.(sound) ?? sound;
    const fault = full.inverter.earthFault;
    if (fault === null) return full;
    // From a leak of kilohms to a hard fault of some ohms.
    return { ...full, inverter: { ...full.inverter, earthFault: { ...fault, ohm: 5 * 400 ** (1 - size) } } };
  }
  return change?.(sound) ?? sound;
}
