import { documentRoute } from '@/server/documents/document-route';
import { wireHeads, wireList } from '@/server/documents/replacement';

/** The wire list with where each goes, as PDF, JSON or CSV. */
export const GET = documentRoute('wires', {
  load: wireList,
  heads: wireHeads,
  rows: (list) => list.rows,
  content: (list) => list,
});
