import * as z from 'zod';
import type { JobSummary } from '../core/logbook';
import { stageIds } from '../core/logbook';

/** A job on the board. */
export type BoardLine = JobSummary & { jobId: string };

/** What a person looks for on the board, as it stands in the address; what cannot be read falls back to what is usual. */
export const boardQuerySchema = z.object({
  search: z.string().trim().max(200).catch('').default(''),
  state: z.enum(['open', 'closed', 'all', 'loose']).catch('open').default('open'),
  stage: z.enum(stageIds).nullable().catch(null).default(null),
  sort: z.enum(['clock', 'newest', 'machine']).catch('clock').default('clock'),
  page: z.coerce.number().int().min(1).max(100_000).catch(1).default(1),
});
/** The same, read. */
export type BoardQuery = z.output<typeof boardQuerySchema>;

/** One page of the board. */
export interface BoardAnswer {
  jobs: BoardLine[];
  /** Jobs that were found, on all pages. */
  total: number;
  page: number;
  pages: number;
}
