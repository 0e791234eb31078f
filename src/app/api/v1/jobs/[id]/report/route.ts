import { documentRoute } from '@/server/documents/document-route';
import { illustrated, loadReport } from '@/server/documents/report';

/** The job report as PDF, JSON, or its record as CSV. */
export const GET = documentRoute('report', {
  load: loadReport,
  heads: ['part', 'text'],
  rows: (report) =>
    report.record.flatMap((part) => [
      ...part.lines.map((text) => ({ part: part.title, text })),
      ...(part.table?.rows ?? []).map((row) => ({ part: part.title, text: row.join(' | ') })),
    ]),
  content: illustrated,
});
