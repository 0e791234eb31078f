import type { DriveType } from '@/core/equipment/catalogue';
import type { JobState } from '@/core/logbook';
import type { Range, Situation } from '@/core/replacement/replacement';

const blank: Record<'price' | 'work_h' | 'lead_h' | 'stop_h' | 'holds_percent', Range> = {
  price: null,
  work_h: null,
  lead_h: null,
  stop_h: null,
  holds_percent: null,
};

/**
 * What the job tells of the choice before anybody typed a figure: the chance that a setting was all comes from the confirmed cause
 * and from the bench; a discontinued type has no exchange. Common practice, no source.
 */
export function firstFigures(state: JobState, catalogue: readonly DriveType[]): Situation {
  const { drive, causes, signed, opened } = state;
  const type = catalogue.find((t) => t.id === drive?.typeId);
  const discontinued = type?.discontinued ?? false;
  const faulty = signed?.payload.verdict === 'faulty';
  const settingFound = causes.length > 0 && signed === null;
  const runs = opened?.payload.stoppedAt === null || opened?.payload.bypass === 'yes';
  const settings: Range = faulty ? [0, 2] : settingFound ? [70, 95] : [5, 30];
  return {
    common: { stopPerHour: null, workPerHour: null, bankAge_years: null },
    choices: {
      repair: { ...blank, holds_percent: faulty ? [70, 90] : null },
      exchange: { ...blank, holds_percent: [92, 98] },
      newer: { ...blank, holds_percent: [92, 98] },
      settings: { ...blank, price: [0, 0], lead_h: [0, 0], holds_percent: settings },
    },
    out: discontinued ? { exchange: 'no longer made' } : {},
    standsMeanwhile: !runs,
    discontinued,
  };
}
