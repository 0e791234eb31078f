import { paperRoute } from '@/server/documents/document-route';
import { setPaper, setPdf } from '@/server/documents/parameter-sets';

/** A set as PDF, JSON or CSV: `?set=` an entry, `&region=` of the factory values beside it. */
export const GET = paperRoute('parameter-set', {
  gather: setPaper,
  rows: (sheet) => sheet.rows,
  pdf: setPdf,
});
