import type { DiodeTest, GateResistance, ModuleKind, LampTouch } from '../bench/module-test';
import type { Entry } from './entry';

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

export type ModuleEntry = Extract<Entry, { kind: `module.${string}` }>;

export const isModuleEntry = (entry: Entry): entry is ModuleEntry => entry.kind.startsWith('module.');

/** The modules of a job after one more entry; a reason where the entry does not count. */
export function applyModule(
  modules: readonly TestedModule[],
  entry: ModuleEntry,
): { modules: readonly TestedModule[] } | { void: string } {
  if (entry.kind === 'module.begun')
    return {
      modules: [
        ...modules,
        { id: entry.id, ...entry.payload, proven: null, touches: [], diode: [], gate: [] },
      ],
    };
  const { module: id, ...said } = entry.payload;
  if (!modules.some((m) => m.id === id)) return { void: 'This module was not begun in this job.' };
  const change = (m: TestedModule): TestedModule => {
    if ('lampLights' in said) return { ...m, proven: said };
    if ('lamp' in said) return { ...m, touches: [...m.touches, said] };
    return 'ohm' in said ? { ...m, gate: [...m.gate, said] } : { ...m, diode: [...m.diode, said] };
  };
  return { modules: modules.map((m) => (m.id === id ? change(m) : m)) };
}

/** What `moduleVerdict` asks for. */
/** Those of which something was tested. */
export const begunModules = (modules: readonly TestedModule[]): TestedModule[] =>
  modules.filter((m) => m.touches.length + m.diode.length + m.gate.length > 0);

export const moduleQuestion = (m: TestedModule) => ({
  kind: m.kind,
  lampSelfTest: m.proven !== null && m.proven.lampLights && m.proven.polarityRight,
  touches: m.touches,
  diode: m.diode,
  gate: m.gate,
});
