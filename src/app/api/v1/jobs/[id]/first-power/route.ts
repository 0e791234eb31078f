import { documentRoute } from '@/server/documents/document-route';
import { loadFirstPowerPlan } from '@/server/documents/first-power';

/** The first-power plan of a job, as PDF, JSON or CSV (its bus curve). */
export const GET = documentRoute('first-power', {
  load: loadFirstPowerPlan,
  heads: ['at_s', 'volts', 'line_A'],
  rows: (paper) => paper.expected,
  content: (plan) => plan,
});
