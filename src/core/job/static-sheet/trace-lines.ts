import type { DriveWrite, JobState, TemporaryJumper } from '../../logbook';
import { familyWords } from '../../fault-finding/tracing';

/** A trace as a path: what was asked, what was found, what it came to. */
export interface TracePath {
  trouble: string;
  steps: string[];
  causes: string[];
}

const known = (family: string): family is keyof typeof familyWords => Object.hasOwn(familyWords, family);

/** Every trace of a job, in the order it was walked. */
export function tracePaths({ traced, causes }: Pick<JobState, 'traced' | 'causes'>): TracePath[] {
  const families = [...new Set([...traced, ...causes].map((e) => e.payload.family))];
  return families.map((family) => ({
    trouble: known(family) ? familyWords[family] : family,
    steps: traced.flatMap((t) => (t.payload.family === family ? [t.payload.words] : [])),
    causes: causes.flatMap(({ payload }) =>
      payload.family === family
        ? [
            [
              `${payload.name}, shown by: ${payload.how}`,
              ...(payload.remedy === undefined ? [] : [payload.remedy]),
              ...(payload.watch === undefined ? [] : [`Watch: ${payload.watch}`]),
            ].join(' '),
          ]
        : [],
    ),
  }));
}

const jumperLine = (j: TemporaryJumper): string =>
  `${j.where}: ${j.form === 'jumper' ? 'temporary jumper' : 'set to no function'}, ${j.reason}; accepted by ${j.approver}; ${j.removed === null ? `STILL FITTED, remove by ${j.removeBy}` : `out: ${j.removed}`}`;

const outcomeWords: Readonly<Record<DriveWrite['outcome'], string>> = {
  asked: 'not known whether accepted',
  done: 'read back',
  failed: 'not written',
  uncertain: 'not known whether accepted',
};

const writeLine = (w: DriveWrite): string => {
  const settled =
    w.settled === null
      ? w.trial && w.outcome !== 'failed'
        ? ', TRIAL VALUE STILL SET'
        : ''
      : 'kept' in w.settled
        ? `, stays: ${w.settled.kept}`
        : ', restored';
  return `${w.number} ${w.name}: ${w.shownFrom} to ${w.shownTo}, ${w.reason}, ${w.by.name}, ${outcomeWords[w.outcome]}${settled}`;
};

/** What was bridged in the plant and written to the drive. */
export const changesMade = ({ registers }: Pick<JobState, 'registers'>): string[] => [
  ...registers.jumpers.map(jumperLine),
  ...registers.writes.map(writeLine),
  ...registers.loops.map(({ payload }) => `Loop of ${payload.input}: ${payload.why}`),
];
