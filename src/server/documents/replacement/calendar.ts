import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { stopPlan } from '../../../core/replacement/stop-plan';
import { HttpError } from '../../http/guard';
import type { LoadedJob } from '../../logbook/folded';
import { foldLines } from './fold-lines';
import { swapOfJob } from './load';

const utc = (at: Date): DateArray => [
  at.getUTCFullYear(),
  at.getUTCMonth() + 1,
  at.getUTCDate(),
  at.getUTCHours(),
  at.getUTCMinutes(),
];

/**
 * The kept plan of a stop as a calendar (RFC 5545): the stop, and every task with its minutes.
 * @param from when the machine is to stand
 * @throws Refused where nothing is planned
 */
export async function stopCalendar(job: LoadedJob, from: Date): Promise<string> {
  const made = await swapOfJob(job);
  const { planned } = made.state.swap;
  const opened = made.state.opened?.payload;
  if (planned === null || planned.tasks.length === 0)
    throw new HttpError(422, 'No outage planned yet: save a plan under Preparation first.');
  const plan = stopPlan(planned.tasks, planned.people);
  const begin = from.getTime() - plan.stopsAt_min * 60_000;
  const at = (minute: number): Date => new Date(begin + minute * 60_000);
  const where = opened === undefined ? '' : `${opened.machine}, ${opened.site}`;
  const event = (
    uid: string,
    title: string,
    start: number,
    end: number,
    description: string,
  ): EventAttributes => ({
    uid: `${job.jobId}-${uid}@grim-spanner`,
    title,
    start: utc(at(start)),
    startInputType: 'utc',
    end: utc(at(end)),
    endInputType: 'utc',
    location: where,
    description,
    productId: 'grim-spanner',
  });
  const events = [
    event(
      'stop',
      `${where}: outage`,
      plan.stopsAt_min,
      plan.stopsAt_min + plan.stop_min,
      `${Math.round(plan.stop_min)} minutes${planned.allowed_min === null ? '' : `, ${planned.allowed_min} allowed`}.`,
    ),
    ...plan.schedule
      // A moment is no event: a calendar wants a beginning and an end.
      .filter((s) => s.end_min > s.start_min)
      .map((s) => {
        const task = planned.tasks.find((t) => t.id === s.id);
        const needs =
          task?.needs.includes('isolated') === true
            ? 'Isolated and proven dead. '
            : task?.needs.includes('stop') === true
              ? 'Machine stopped. '
              : '';
        return event(
          s.id,
          task?.name ?? s.id,
          s.start_min,
          s.end_min,
          `${needs}Person ${s.people.join(' and ')}.`,
        );
      }),
  ];
  const { error, value } = createEvents(events);
  if (typeof value !== 'string') throw new Error(`calendar: ${String(error)}`);
  return foldLines(value);
}
