import { documentRoute } from '@/server/documents/document-route';
import { loadSetDocument } from '@/server/documents/parameter-sets';

/** A set as PDF, JSON or CSV: `?set=` an entry, `&region=` of the factory values beside it. */
export const GET = documentRoute('parameter-set', {
  load: loadSetDocument,
  heads: ['number', 'name', 'value', 'factory', 'differs'],
  rows: (sheet) => sheet.rows,
  content: (sheet) => sheet,
});
