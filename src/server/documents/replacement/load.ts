import type { JobState } from '../../../core/logbook';
import { swapOf, type KnownType, type Swap } from '../../../core/job/swap';
import { HttpError } from '../../http/guard';
import { catalogue, controlOf } from '../../equipment/catalogue';
import type { LoadedJob } from '../../logbook/folded';

export interface GatheredSwap {
  state: JobState;
  swap: Swap | null;
}

/** A job with its swap, as the catalogue knows the types. */
export async function swapOfJob({ state }: LoadedJob): Promise<GatheredSwap> {
  return { state, swap: await swapOfState(state) };
}

/** The swap of a state, with what the catalogue says of both types. */
export async function swapOfState(state: JobState): Promise<Swap | null> {
  const types = await catalogue();
  const ids = [state.swap.units?.old.typeId, state.swap.units?.next?.typeId, state.drive?.typeId].filter(
    (id) => typeof id === 'string',
  );
  const known = new Map<string, KnownType>();
  for (const id of new Set(ids)) {
    const type = types.find((t) => t.id === id);
    const control = await controlOf(id);
    if (type !== undefined && control !== null) known.set(id, { type, control });
  }
  return swapOf(state, (id) => known.get(id) ?? null);
}

/** The same, where there must be one. @throws HttpError */
export async function wiredJob(job: LoadedJob): Promise<{ state: JobState; swap: Swap }> {
  const gathered = await swapOfJob(job);
  if (gathered.swap === null) throw new HttpError(422, 'Drive nameplate not read yet.');
  return { state: gathered.state, swap: gathered.swap };
}

/** What stands on every paper of a job. */
type Line = [label: string, value: string];
export const identity = ({ opened, drive }: JobState): Line[] => [
  ['Machine', opened === null ? '' : `${opened.payload.machine}, ${opened.payload.site}`],
  ...(drive === null
    ? []
    : [
        [
          'Drive',
          `${drive.maker} ${drive.type}${drive.serial ? `, no. ${drive.serial}` : ''}`,
        ] satisfies Line,
      ]),
];
