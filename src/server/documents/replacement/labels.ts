import type { RecordedWire } from '../../../core/replacement/wires';

/** Label sheets as they are sold, by their grid; sizes in mm. */
export const labelSheets = {
  'a4-3x8': { paper: 'A4', columns: 3, rows: 8, width: 70, height: 37, left: 0, top: 0.5, gap: 0 },
  'a4-5x13': {
    paper: 'A4',
    columns: 5,
    rows: 13,
    width: 38.1,
    height: 21.2,
    left: 4.75,
    top: 10.7,
    gap: 2.5,
  },
  'letter-3x10': {
    paper: 'LETTER',
    columns: 3,
    rows: 10,
    width: 66.7,
    height: 25.4,
    left: 4.8,
    top: 12.7,
    gap: 3.1,
  },
} as const;
export type LabelSheet = keyof typeof labelSheets;

/** What stands on a label. */
export interface WireLabel {
  wire: RecordedWire;
  /** Terminal, or what becomes of it. */
  to: string;
  end: 'drive' | 'far';
}

/** Two labels a wire, in the order of their numbers. */
export const labelsOf = (wires: readonly RecordedWire[], toOf: (wire: RecordedWire) => string): WireLabel[] =>
  [...wires]
    .sort((a, b) => a.number - b.number)
    .flatMap((wire) => (['drive', 'far'] as const).map((end) => ({ wire, to: toOf(wire), end })));

/** Labels of a job's wires on sheets of labels. */
export interface LabelsDocument {
  jobId: string;
  labels: readonly WireLabel[];
  sheet: LabelSheet;
  /** Used already on the first sheet. */
  skip: number;
}
