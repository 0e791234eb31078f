import { documentRoute } from '@/server/documents/document-route';
import { loadKeyDocument } from '@/server/documents/parameter-sets';

/** The keys for a set as PDF, JSON or CSV: `?set=` an entry, `&from=` factory-50Hz, factory-60Hz or another set. */
export const GET = documentRoute('keys', {
  load: loadKeyDocument,
  heads: ['place', 'number', 'name', 'value', 'keys', 'display'],
  rows: (sheet) => sheet.rows,
  content: (sheet) => sheet,
});
