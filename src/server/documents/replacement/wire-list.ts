import { endOf, wireRoleWords, wireEnds } from '../../../core/replacement/wires';
import type { LoadedJob } from '../../logbook/folded';
import { identity, wiredJob } from './load';

export interface WireListRow {
  number: number;
  drawing: string;
  ferrule: string;
  colour: string;
  core: string;
  from: string;
  to: string;
  is: string;
  proven: 'yes' | 'no';
  volts: string;
  shared: string;
  why: string;
  ticked: string;
}

/** The columns of the list as CSV. */
export const wireHeads = [
  ...(['number', 'drawing', 'ferrule', 'colour', 'core', 'from', 'to'] as const),
  ...(['is', 'proven', 'volts', 'shared', 'why', 'ticked'] as const),
] as const satisfies readonly (keyof WireListRow)[];

export interface WireListDocument {
  title: string;
  identity: [label: string, value: string][];
  rows: WireListRow[];
  issues: string[];
  jumpers: string[];
}

/** The wire list with where each wire goes. */
export async function wireList(job: LoadedJob): Promise<WireListDocument> {
  const { state, swap } = await wiredJob(job);
  const placementOf = new Map((swap.map?.fates ?? []).map((f) => [f.wire, f]));
  const next = swap.units.next;
  return {
    title: 'Wire list',
    identity: [
      ...identity(state),
      ['Out', `${swap.units.old.maker} ${swap.units.old.type}`],
      ['In', next === null ? 'not chosen' : `${next.maker} ${next.type}`],
    ],
    rows: [...state.swap.wires]
      .sort((a, b) => a.number - b.number)
      .map((w) => ({
        number: w.number,
        drawing: w.drawing,
        ferrule: w.ferrule,
        colour: w.colour,
        core: w.core,
        from: w.from ?? 'loose',
        to: endOf(placementOf.get(w.id)),
        is: wireRoleWords(w.role),
        proven: w.proven ? 'yes' : 'no',
        volts: w.volts === undefined ? '' : String(w.volts),
        shared: w.shared === null ? '' : `${w.shared.machine}: ${w.shared.meanwhile}`,
        why: placementOf.get(w.id)?.why ?? '',
        ticked: wireEnds.filter((e) => w.ticked[e] !== undefined).join(' and '),
      })),
    issues: [...swap.issues.map((m) => m.text), ...(swap.map?.notes ?? []).map((n) => n.text)],
    jumpers: (swap.map?.jumpersOut ?? []).map(([a, b]) => `remove ${a} to ${b}`),
  };
}
