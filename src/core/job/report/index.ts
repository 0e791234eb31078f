// The report of a job, built from its logbook.
import { ratingWords } from '../../equipment/catalogue';
import { handOverItems } from '../hand-over';
import { timeOf, type JobState, logHeadWords } from '../../logbook';
import type { Swap } from '../swap';
import { customerPage } from './customer';
import { recordPartsOf, type Beside } from './record';
import { powerCurves } from './power';
import { minuteOf, part, type Report, type ReportCurve, type ReportPhoto } from './report';
import { quoted, remark } from '../../terms';

export type { Report, ReportCurve, ReportPart, ReportPhoto } from './report';
export type { Beside } from './record';

const roles = { technician: 'technician', lead: 'shop lead', apprentice: 'apprentice' } as const;

/** Photographs in the order they were taken, each once, with what they show. */
function photosOf({ log }: JobState): ReportPhoto[] {
  const seen = new Set<string>();
  return log.flatMap(({ entry, void: reason }) => {
    const { payload } = entry;
    if (reason !== null || !('photos' in payload)) return [];
    const caption =
      entry.kind === 'wire.noted'
        ? `Wire ${entry.payload.number}, ${entry.payload.from ?? 'loose'}`
        : entry.kind === 'swap.terminal'
          ? `Terminal ${entry.payload.mark}${remark(entry.payload.note)}`
          : entry.kind === 'look.finding'
            ? `Inspection: ${entry.payload.item}`
            : entry.kind === 'note.added'
              ? quoted(entry.payload.text.slice(0, 80))
              : entry.kind === 'identify.drive'
                ? `Nameplate: ${entry.payload.maker} ${entry.payload.type}`
                : entry.kind === 'identify.motor'
                  ? 'Motor nameplate'
                  : 'As found';
    return payload.photos.flatMap((sha256) => {
      if (seen.has(sha256)) return [];
      seen.add(sha256);
      return [{ sha256, caption: `${caption}, ${minuteOf(timeOf(entry))}` }];
    });
  });
}

function curvesOf({ swap, startUp }: JobState): ReportCurve[] {
  const followed = swap.handOver.followed?.payload;
  const tests = startUp.insulations.filter((i) => i.payload.readings.length > 1);
  const sorted = [...(followed?.points ?? [])].sort((a, b) => a.asked - b.asked);
  return [
    ...(followed === undefined
      ? []
      : [
          {
            title: 'Follows its reference',
            x: { label: 'asked', unit: followed.unit },
            y: { label: 'ran at', unit: followed.unit },
            series: [
              { name: 'measured', points: sorted.map((p): [number, number] => [p.asked, p.got]) },
              { name: 'as asked', points: sorted.map((p): [number, number] => [p.asked, p.asked]) },
            ],
          },
        ]),
    ...tests.map((t) => ({
      title: `Insulation, ${t.payload.of.replaceAll('-', ' ')}`,
      x: { label: 'time', unit: 's' },
      y: { label: 'insulation', unit: 'MΩ' },
      series: [
        { name: 'measured', points: t.payload.readings.map((r): [number, number] => [r.at_s, r.megohm]) },
      ],
    })),
  ];
}

function signedOf({ swap: { signedOff } }: JobState): Report['signed'] {
  if (signedOff === null) return null;
  const { second, secondIs, open } = signedOff.payload;
  return {
    at: minuteOf(timeOf(signedOff)),
    names: [
      { name: signedOff.by.name, is: roles[signedOff.by.role] },
      { name: second, is: secondIs },
    ],
    open: open.map((o) => (o.reason === undefined ? o.text : `${o.text} Reason: ${o.reason}.`)),
  };
}

/** Head of every page. */
function identityOf(state: JobState): Report['identity'] {
  const { opened, drive, motor } = state;
  const plate = motor?.plate;
  const head = logHeadWords(state);
  const line = (label: string, value: string): Report['identity'][number] => [label, value];
  return [
    ...(opened === null ? [] : [line('Machine', `${opened.payload.machine}, ${opened.payload.site}`)]),
    ...(opened?.payload.workOrder === undefined ? [] : [line('Work order', opened.payload.workOrder)]),
    ...(drive === null
      ? []
      : [
          line('Drive', `${drive.maker} ${drive.type}${drive.serial ? `, no. ${drive.serial}` : ''}`),
          line('Rating', ratingWords(drive)),
        ]),
    ...(plate === undefined
      ? []
      : [
          line(
            'Motor',
            `${plate.power.value} ${plate.power.unit}, ${plate.volts} V, ${plate.amps} A, ${plate.rpm} rpm`,
          ),
        ]),
    ...(head === null ? [] : [line('Log', head)]),
  ];
}

/**
 * The report as the job stands: one page for the customer, then the record.
 * @param beside papers that are made elsewhere and go into the record
 */
export function reportOf(state: JobState, swap: Swap | null, beside: Beside): Report {
  const items = handOverItems(state, swap, beside.release);
  const begun =
    state.swap.handOver.told !== null ||
    state.swap.handOver.followed !== null ||
    state.swap.signedOff !== null;
  return {
    title: 'Job report',
    identity: identityOf(state),
    customer: customerPage(state, swap),
    record: [
      ...recordPartsOf(state, swap, beside),
      ...(begun
        ? part('hand-over', 'Hand-over', [], {
            heads: ['What', 'State', ''],
            rows: items.map((i) => [
              i.title,
              i.state === 'done' ? 'passed' : i.state === 'failed' ? 'failed' : 'open',
              i.text,
            ]),
          })
        : []),
    ],
    curves: [...curvesOf(state), ...powerCurves(state)],
    photos: photosOf(state),
    signed: signedOf(state),
  };
}
