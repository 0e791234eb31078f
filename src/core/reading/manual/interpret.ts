import type { AlarmFamily, ConceptId } from '../../equipment/concepts';
import {
  familiesOf,
  isKnownWord,
  meaningsOf,
  type Learnt,
  type Likely,
  type NamedParameter,
} from '../meaning';
import type { Found, ManualAlarm, ManualEntry, Unread } from './entry';

/** A parameter of a manual with what it most likely means. */
export interface InterpretedEntry extends Omit<ManualEntry, 'choices'> {
  choices: { value: number; name: string; means?: string }[];
  /** Null: more likely nothing that every drive has. */
  concept: Likely<ConceptId> | null;
  alternatives: Likely<ConceptId>[];
  /** Words of its name that spoke for the concept. */
  spoke: string[];
}

/** A fault of a manual with the family it most likely is of. */
export interface InterpretedAlarm extends ManualAlarm {
  /** Null: no word of its name is known. */
  family: Likely<AlarmFamily> | null;
}

/** Something that a person should know of the reading. */
export interface ReadingFinding {
  code: 'nothing-found' | 'no-text' | 'scanned' | 'other-language' | 'doubtful-table';
  text: string;
}

/** What a manual says, and what it means. */
export interface ManualReading {
  entries: InterpretedEntry[];
  alarms: InterpretedAlarm[];
  unread: Unread[];
  findings: ReadingFinding[];
}

const asNamed = ({
  number,
  name,
  unit,
  min,
  max,
  default: given,
  choices,
  group,
}: ManualEntry): NamedParameter => ({
  ...{ number, name, unit, min, max, choices },
  default: typeof given === 'object' ? (given?.['50Hz'] ?? null) : given,
  group: group ?? undefined,
});

/** Page numbers in words: "3–9, 12". */
const rangesOf = (pages: readonly number[]): string =>
  pages
    .reduce<[number, number][]>((ranges, page) => {
      const last = ranges.at(-1);
      if (last !== undefined && last[1] === page - 1) last[1] = page;
      else ranges.push([page, page]);
      return ranges;
    }, [])
    .map(([from, to]) => (from === to ? String(from) : `${from}–${to}`))
    .join(', ');

/** Names of which fewer words than this are known are hardly English. */
const leastKnownShare = 0.3;

function knownShare(entries: readonly ManualEntry[]): number {
  const words = entries.flatMap(({ name }) => name.split(/[^A-Za-z]+/).filter((word) => word.length >= 4));
  return words.length === 0 ? 1 : words.filter(isKnownWord).length / words.length;
}

function findingsOf(
  { entries, alarms, unread }: Found,
  textless: readonly number[],
  scanned: readonly number[],
): ReadingFinding[] {
  const findings: ReadingFinding[] = [];
  if (textless.length > 0)
    findings.push({
      code: 'no-text',
      text: `Pages without text: ${rangesOf(textless)}. They are pictures or empty; nothing of them was read.`,
    });
  if (scanned.length > 0)
    findings.push({
      code: 'scanned',
      text: `Read from scans: ${scanned.length === 1 ? 'page' : 'pages'} ${rangesOf(scanned)}. Letters and figures may be misread: compare each row with the page.`,
    });
  if (entries.length === 0 && alarms.length === 0)
    findings.push({
      code: 'nothing-found',
      text: 'No table of parameters or faults was found. Choose the pages that have them, or enter the parameters by hand.',
    });
  if (entries.length >= 8 && knownShare(entries) < leastKnownShare)
    findings.push({
      code: 'other-language',
      text: 'Hardly a word of the names is known: the manual may be in another language. Numbers, units and ranges were read; meanings have to be chosen by hand.',
    });
  if (unread.length > entries.length && unread.length >= 5)
    findings.push({
      code: 'doubtful-table',
      text: `${unread.length} rows could not be read: compare the pages with the list.`,
    });
  return findings;
}

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));
const roundedBox = (box: ManualEntry['box']): ManualEntry['box'] =>
  box === null
    ? null
    : { x0: rounded(box.x0, 1), y0: rounded(box.y0, 1), x1: rounded(box.x1, 1), y1: rounded(box.y1, 1) };

/**
 * What was found in a manual, with its meaning.
 * @param learnt names whose meaning the workshop confirmed before
 * @param textless pages that have no text
 * @param scanned pages whose text was read from a picture
 */
export function interpreted(
  found: Found,
  {
    learnt = [],
    textless = [],
    scanned = [],
  }: { learnt?: readonly Learnt[]; textless?: readonly number[]; scanned?: readonly number[] } = {},
): ManualReading {
  const meanings = meaningsOf(found.entries.map(asNamed), learnt);
  return {
    entries: found.entries.map((entry, i) => {
      const { concept = null, alternatives = [], spoke = [], means = [] } = meanings[i] ?? {};
      return {
        ...entry,
        box: roundedBox(entry.box),
        ...{ concept, alternatives, spoke },
        choices: entry.choices.map((choice, c) => {
          const meant = means[c];
          return meant === undefined ? choice : { ...choice, means: meant };
        }),
      };
    }),
    alarms: found.alarms.map((alarm) => {
      const [family] = familiesOf(alarm.name, alarm.cause);
      return {
        ...alarm,
        box: roundedBox(alarm.box),
        family: family ?? null,
      };
    }),
    unread: found.unread,
    findings: findingsOf(found, textless, scanned),
  };
}
