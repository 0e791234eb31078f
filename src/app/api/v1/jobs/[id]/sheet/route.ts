import { sheetRows } from '@/core/job/static-sheet';
import { paperRoute } from '@/server/documents/document-route';
import { sheetOfJob, sheetPdf } from '@/server/documents/static-sheet';

/** The static-test sheet as PDF, JSON or CSV. */
export const GET = paperRoute('static-test', { gather: sheetOfJob, rows: sheetRows, pdf: sheetPdf });
