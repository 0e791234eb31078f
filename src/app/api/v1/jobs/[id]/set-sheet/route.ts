import { paperRoute } from '@/server/paper-route';
import { setPaper, setPdf } from '@/server/set-papers';

/** A set as PDF, JSON or CSV: `?set=` an entry, `&region=` of the factory values beside it. */
export const GET = paperRoute('parameter-set', {
  gather: setPaper,
  rows: (sheet) => sheet.rows,
  pdf: setPdf,
});
