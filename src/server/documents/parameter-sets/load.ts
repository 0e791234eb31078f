import { ratingOf, type Control } from '../../../core/equipment/catalogue';
import { shownAs } from '../../../core/equipment/drive-words';
import { keyPlan, pressWords, type KeyPlan } from '../../../core/parameter-sets/keypad';
import { termsOfDocuments, type JobState, type KeptSet } from '../../../core/logbook';
import { auditSet, factorySet, fittedWith, type UnitSet } from '../../../core/parameter-sets/parameters';
import { checksumOf } from '../../../core/parameter-sets/set-files';
import { HttpError } from '../../http/guard';
import { catalogue, controlOf } from '../../equipment/catalogue';
import type { LoadedJob } from '../../logbook/folded';
import { line } from '../line';
import { ratedPower, writeQuantity } from '../../../core/terms';

interface Gathered {
  state: JobState;
  set: KeptSet;
  unit: UnitSet & { control: Control };
}

/** A set of a job with its type. @throws HttpError where there is no such set */
async function setOfJob({ state }: LoadedJob, setId: string | null): Promise<Gathered> {
  const set = state.sets.find((s) => s.id === setId);
  if (set === undefined)
    throw new HttpError(404, 'No such parameter set in this job: it may not be saved yet.');
  const control = await controlOf(set.typeId);
  const rating = set.rating ?? (state.drive === null ? null : ratingOf(state.drive, await catalogue()));
  if (control === null || rating === null)
    throw new HttpError(422, 'Type not in the catalogue, or drive nameplate not read.');
  return { state, set, unit: { typeId: set.typeId, control, rating, values: set.values } };
}

const when = (at: number): string => `${new Date(at).toISOString().slice(0, 16).replace('T', ' ')} UTC`;

const identity = ({ state, set, unit }: Gathered): [label: string, value: string][] => [
  ['Machine', state.opened === null ? '' : `${state.opened.payload.machine}, ${state.opened.payload.site}`],
  ['Set', `${set.name}, ${set.by.name}, ${when(set.at)}`],
  [
    'Type',
    `${unit.typeId}, ${unit.rating.ratedAmps} A, ${writeQuantity(ratedPower, unit.rating.power_kW, termsOfDocuments(state) === 'us')}`,
  ],
  ...(set.serial === null ? [] : [line('Serial number', set.serial)]),
  ...(set.firmware === null ? [] : [line('Firmware', set.firmware)]),
  ['Checksum', checksumOf(set.typeId, set.values)],
];

export interface SetDocument {
  title: string;
  identity: [label: string, value: string][];
  rows: { number: string; name: string; value: string; factory: string; differs: boolean }[];
  strangers: { number: string; text: string }[];
  findings: string[];
}

/** A set with what the factory sets beside it, and what speaks against it. */
export async function loadSetDocument(job: LoadedJob, query: URLSearchParams): Promise<SetDocument> {
  const made = await setOfJob(job, query.get('set'));
  const { state, set, unit } = made;
  const region = query.get('region') === '60Hz' ? '60Hz' : '50Hz';
  const factory = factorySet(unit, region).values;
  return {
    title: 'Parameter set',
    identity: [...identity(made), ['Compared with', `factory defaults for ${region.replace('Hz', ' Hz')}`]],
    rows: unit.control.parameters.flatMap((p) => {
      const value = set.values[p.number];
      if (value === undefined) return [];
      const usual = factory[p.number];
      return [
        {
          number: p.number,
          name: p.name,
          value: shownAs(p, value),
          factory: usual === undefined || p.readOnly ? '' : shownAs(p, usual),
          differs: !p.readOnly && usual !== value,
        },
      ];
    }),
    strangers: [...set.strangers],
    findings: auditSet(unit, {
      plate: state.motor?.plate,
      choices: state.startUp.chosen?.choices,
    }).findings.map((f) => `${f.severity}: ${f.text} ${f.sum}`),
  };
}

export interface KeyDocument {
  title: string;
  identity: [label: string, value: string][];
  plan: KeyPlan;
  rows: { place: number; number: string; name: string; value: string; keys: string; display: string }[];
}

/** The keys that bring a unit from what it has to a set. */
export async function loadKeyDocument(job: LoadedJob, query: URLSearchParams): Promise<KeyDocument> {
  const made = await setOfJob(job, query.get('set'));
  const { state, unit } = made;
  const from = query.get('from') ?? 'factory-50Hz';
  const other = state.sets.find((s) => s.id === from && s.typeId === unit.typeId);
  const region = from === 'factory-60Hz' ? '60Hz' : '50Hz';
  const seen = from === 'seen' ? state.seen : null;
  const fitted = (query.get('fitted') ?? '').split(',');
  const now =
    seen === null
      ? fittedWith({ ...unit, values: other?.values ?? factorySet(unit, region).values }, fitted)
      : { ...unit, values: seen.values };
  const plan = keyPlan(now, unit.values);
  if (plan === null) throw new HttpError(422, 'The keypad of this type is not in the catalogue.');
  return {
    title: 'Key sequence',
    identity: [
      ...identity(made),
      [
        'From',
        seen !== null
          ? `as read out ${when(seen.readAt ?? 0)}`
          : other === undefined
            ? `factory defaults, ${region.replace('Hz', ' Hz')}`
            : `${other.name}, ${when(other.at)}`,
      ],
      ['In all', `${plan.steps.length} parameters, ${plan.presses} presses`],
    ],
    plan,
    rows: plan.steps.map((s, i) => ({
      place: i + 1,
      number: s.number,
      name: s.name,
      value: s.shownTo,
      keys: pressWords([...s.walk, ...s.edit, s.keep]),
      display: s.shows.after,
    })),
  };
}
