import type { Metadata } from 'next';
import { loadReport } from '@/server/documents/report';
import { ReportPage } from '@/ui/documents/report/report-page';
import { documentOfAddress } from '../document';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Job report' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { document, around } = await documentOfAddress(params, loadReport);
  return <ReportPage report={document} {...around} />;
}
