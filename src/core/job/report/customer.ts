import { countOf, type JobState } from '../../logbook';
import { choiceNames } from '../../replacement/replacement';
import type { Swap } from '../swap';
import { unticked } from '../../replacement/wires';
import type { Report } from './report';
import { quoted, remark } from '../../terms';

const sentence = (text: string): string => {
  const tidy = text.trim().replace(/\s+/g, ' ');
  return tidy === ''
    ? ''
    : `${tidy.charAt(0).toUpperCase()}${tidy.slice(1)}${/[.!?]”?$/.test(tidy) ? '' : '.'}`;
};

const unitWords = (u: { maker: string; type: string; serial?: string | undefined }): string =>
  `${u.maker} ${u.type}${u.serial === undefined || u.serial === '' ? '' : ` (no. ${u.serial})`}`;

function foundWords({ asFound, causes, signed, look }: JobState): string[] {
  const alarm =
    asFound !== null && 'captured' in asFound && asFound.captured.active
      ? [
          `The drive showed “${asFound.captured.active}”${asFound.captured.slots.length > 1 ? `, and its fault log had ${asFound.captured.slots.length} entries` : ''}.`,
        ]
      : [];
  const seen = Object.values(look).flatMap((f) =>
    f.state === 'found' ? [sentence(f.note === undefined ? f.item : quoted(f.note))] : [],
  );
  return [
    ...alarm,
    ...seen,
    ...causes.map((c) => sentence(`Cause found: ${c.payload.name}`)),
    ...(signed === null ? [] : [sentence(`The power stage was tested: ${signed.payload.headline}`)]),
  ];
}

function doneWords(state: JobState, swap: Swap | null): string[] {
  const { swap: s, startUp, setRuns, registers } = state;
  const out: string[] = [];
  if (s.decision !== null)
    out.push(
      sentence(
        `We decided to ${choiceNames[s.decision.payload.choice].toLowerCase()}: ${quoted(s.decision.payload.reason)}`,
      ),
    );
  if (s.outAt !== null && swap !== null)
    out.push(
      `The ${unitWords(swap.units.old)} was removed${swap.units.next === null ? '' : ` and replaced with a ${unitWords(swap.units.next)}`}.`,
    );
  const fates = swap?.map?.fates ?? [];
  const wired = fates.filter((f) => f.to !== null).length;
  const unseen = unticked(s.wires, fates).length;
  if (s.outAt !== null && wired > 0)
    out.push(
      `${wired} wires were transferred, ${unseen === 0 ? 'each checked at both ends' : `${wired - unseen} of them checked at both ends`}.`,
    );
  if (s.stop.begunAt !== null && s.stop.overAt !== null) {
    const stood = Math.round((s.stop.overAt - s.stop.begunAt) / 60_000);
    const allowed = s.planned?.allowed_min;
    out.push(
      `The machine was stopped for ${countOf(stood, 'minute')}${allowed === null || allowed === undefined ? '' : stood <= allowed ? `, within the ${allowed} allowed` : `, ${stood - allowed} longer than the ${allowed} allowed`}.`,
    );
  }
  const run = setRuns.at(-1);
  if (run !== undefined && run.end !== null)
    out.push(`Its parameters were transferred: ${run.end.taken} values written and read back.`);
  if (startUp.signed !== null) out.push('The drive was set up for its motor and commissioned step by step.');
  const lasting = registers.writes.filter((w) => w.outcome === 'done' && !w.trial).length;
  if (lasting > 0)
    out.push(`${lasting} ${lasting === 1 ? 'value was' : 'values were'} changed on the drive.`);
  return out;
}

function knowWords(state: JobState, swap: Swap | null): string[] {
  const { swap: s } = state;
  const open = s.signedOff?.payload.open ?? [];
  const shared = s.wires.flatMap((w) => (w.shared === null ? [] : [w.shared.machine]));
  const capped = s.wires.filter((w) => w.accepted !== null);
  return [
    ...[...new Set(shared)].map((machine) => {
      const seen = s.handOver.partners[machine]?.payload;
      return seen === undefined
        ? `${machine} shares a signal with this machine; it was not checked yet.`
        : `${machine} shares a signal with this machine. ${seen.right ? 'It was checked and runs as before.' : 'Does not run as before.'}`;
    }),
    ...capped.map((w) => `One wire (no. ${w.number}) is unknown; it was capped and tagged.`),
    ...(swap?.map?.jumpersStay.length !== undefined && swap.map.jumpersStay.length > 0 && s.outAt !== null
      ? ['The new drive has STO (safe torque off), but it is not wired: ask a qualified person.']
      : []),
    ...open.map((o) => sentence(`Left open: ${o.text}`)),
  ];
}

/** One page in plain words. */
export function customerPage(state: JobState, swap: Swap | null): Report['customer'] {
  const { opened, call, swap: s } = state;
  const look = s.handOver.inspection?.payload;
  const parts: Report['customer'] = [
    {
      heading: 'What was wrong',
      sentences: [
        ...(opened === null ? [] : [sentence(`You reported: ${quoted(opened.payload.complaint)}`)]),
        ...(call?.doing ? [sentence(`Fault occurred while: ${quoted(call.doing)}`)] : []),
      ],
    },
    { heading: 'What we found', sentences: foundWords(state) },
    { heading: 'What we did', sentences: doneWords(state, swap) },
    { heading: 'What you should know', sentences: knowWords(state, swap) },
    {
      heading: 'Next',
      sentences: look === undefined ? [] : [sentence(`Next inspection on ${look.date}${remark(look.what)}`)],
    },
  ];
  return parts.filter((p) => p.sentences.length > 0);
}
