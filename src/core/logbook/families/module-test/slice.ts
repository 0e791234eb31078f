import type { DiodeTest, GateResistance, ModuleKind, LampTouch } from '../../../bench/module-test';
import type { EntryOf } from '../../entry';
import { sliceOf, voided } from '../../slice';

/** A transistor module tested out of circuit. */
export interface TestedModule {
  /** The entry that began it. */
  id: string;
  kind: ModuleKind;
  name: string;
  proven: { lampLights: boolean; polarityRight: boolean } | null;
  touches: readonly LampTouch[];
  diode: readonly DiodeTest[];
  gate: readonly GateResistance[];
}

/** Modules tested out of circuit, in the order they were begun. */
export const modulesSlice = sliceOf<readonly TestedModule[]>()({
  key: 'modules',
  init: [],
  kinds: ['module.begun', 'module.proven', 'module.touch', 'module.diode', 'module.gate'],
  apply(slice, entry) {
    if (entry.kind === 'module.begun') {
      const begun = { id: entry.id, ...entry.payload, proven: null, touches: [], diode: [], gate: [] };
      return { slice: [...slice, begun] };
    }
    const { module: id } = entry.payload;
    if (!slice.some((m) => m.id === id))
      return voided(slice, 'This module test was not started in this job.');
    return { slice: slice.map((m) => (m.id === id ? withResult(m, entry) : m)) };
  },
  words: {
    'module.begun': ({ payload }) => `Module test started: ${payload.name}`,
    'module.proven': ({ payload }) =>
      payload.lampLights && payload.polarityRight ? 'Lamp and battery proven' : 'Lamp or battery not proven',
    'module.touch': ({ payload }) =>
      `Device ${payload.device}, ${payload.gate} on the gate: lamp ${payload.lamp}${payload.holds ? '' : ', does not hold'}`,
    'module.diode': ({ payload }) =>
      `Device ${payload.device}, diode ${payload.forward_V.toFixed(3)} V, reverse ${payload.reverse}`,
    'module.gate': ({ payload }) =>
      `Device ${payload.device}, gate to emitter ${payload.ohm === 'OL' ? 'open' : `${payload.ohm} Ω`}`,
  },
});

/** A module with one more answer of its test. */
function withResult(
  m: TestedModule,
  entry: EntryOf<'module.proven' | 'module.touch' | 'module.diode' | 'module.gate'>,
): TestedModule {
  switch (entry.kind) {
    case 'module.proven': {
      const { lampLights, polarityRight } = entry.payload;
      return { ...m, proven: { lampLights, polarityRight } };
    }
    case 'module.touch': {
      const { module: _, ...touch } = entry.payload;
      return { ...m, touches: [...m.touches, touch] };
    }
    case 'module.diode': {
      const { module: _, ...diode } = entry.payload;
      return { ...m, diode: [...m.diode, diode] };
    }
    case 'module.gate': {
      const { module: _, ...gate } = entry.payload;
      return { ...m, gate: [...m.gate, gate] };
    }
  }
}

/** Those of which something was tested. */
export const begunModules = (modules: readonly TestedModule[]): TestedModule[] =>
  modules.filter((m) => m.touches.length + m.diode.length + m.gate.length > 0);

/** What `moduleVerdict` asks for. */
export const moduleQuestion = (m: TestedModule) => ({
  kind: m.kind,
  lampSelfTest: m.proven !== null && m.proven.lampLights && m.proven.polarityRight,
  touches: m.touches,
  diode: m.diode,
  gate: m.gate,
});
