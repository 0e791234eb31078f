import type { Control } from '@/core/equipment/catalogue';
import type { LoopElement } from '@/core/fault-finding/loop-check';

/** The loop of one input as it usually is: from the source through its contacts to the drive and back. */
export function loopOf(
  { supply, safeStop }: Pick<Control, 'supply' | 'safeStop'>,
  { mark, id }: { mark: string; id: string },
  wiring: 'source' | 'sink',
  contacts: readonly string[],
): LoopElement[] {
  const pair = safeStop?.channels.some((c) => c.id === id) === true ? safeStop : null;
  const middle: LoopElement[] = contacts.map((name) => ({ id: name, kind: 'contact' }));
  const terminal: LoopElement = { id: `terminal ${mark}`, kind: 'terminal' };
  const input: LoopElement = { id: `input ${mark}`, kind: 'input' };
  const common: LoopElement = { id: `common ${pair?.return ?? supply.common}`, kind: 'common' };
  const back: LoopElement = { id: 'return to the source’s minus', kind: 'return' };
  return wiring === 'source'
    ? [...middle, terminal, input, common, back]
    : [{ ...common, id: `common ${supply.plus24}` }, input, terminal, ...middle, back];
}
