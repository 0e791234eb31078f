import { paperRoute } from '@/server/paper-route';
import { wireList, wireListPdf } from '@/server/swap-papers';

/** The ledger of wires with where each goes, as PDF, JSON or CSV. */
export const GET = paperRoute('wires', { gather: wireList, rows: (list) => list.rows, pdf: wireListPdf });
