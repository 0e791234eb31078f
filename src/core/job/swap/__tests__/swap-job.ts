/** The net-drum of the demo, to be swapped: its entries, and what the catalogue says of both types. */
import { readFileSync } from 'node:fs';
import { controlSchema, driveTypeSchema } from '../../../equipment/catalogue/schema';
import { fold, type JobState, type Payload } from '../../../logbook';
import { job } from '../../../logbook/__tests__/job';
import { payloads } from '../../../logbook/schema';
import { greatestLimits } from '../../../bench/make-safe';
import type { KnownType } from '..';

type Kind = keyof typeof payloads;
const read = (path: string): unknown => JSON.parse(readFileSync(path, 'utf8'));
const scenario = read('demo/scenario.json') as {
  jobs: { id: string; entries: { kind: Kind; payload: unknown }[] }[];
};

export const units: Payload<'swap.units'> = {
  old: {
    typeId: 'knot-k3',
    maker: 'Knot',
    type: 'K3-18',
    serial: 'K3-0866',
    supply_V: 400,
    phases: 3,
    ratedAmps: 18,
  },
  next: { typeId: 'whimbrel-w4', maker: 'Whimbrel', type: 'W4-15', supply_V: 400, phases: 3, ratedAmps: 15 },
};

/** The demo's swap job so far, with both units named; more can be added. */
export function swapJob() {
  const j = job();
  for (const { kind, payload } of scenario.jobs.find((x) => x.id.endsWith('0b'))?.entries ?? [])
    j.add(kind, payloads[kind].parse(payload));
  j.add('swap.units', units);
  return j;
}

export const stateOf = (j: ReturnType<typeof job>): JobState => fold(j.entries, { limits: greatestLimits });

const known = new Map(
  ['knot-k3', 'whimbrel-w4'].map((id): [string, KnownType] => [
    id,
    {
      type: driveTypeSchema.parse(read(`catalogue/${id}/type.json`)),
      control: controlSchema.parse(read(`catalogue/${id}/control.json`)),
    },
  ]),
);
export const knownType = (id: string): KnownType | null => known.get(id) ?? null;

/** A wire of the list as it is noted, proven and plain. */
export const noted = (
  n: number,
  from: string | null,
  role: Payload<'wire.noted'>['role'],
): Payload<'wire.noted'> => ({
  wire: `0190c000-0000-7000-8000-${String(n).padStart(12, '0')}`,
  number: n,
  from,
  role,
  ferrule: String(n),
  drawing: '',
  colour: '',
  core: '',
  drawnAt: null,
  proven: true,
  shared: null,
  later: false,
  photos: [],
});
