import type { Metadata } from 'next';
import { loadStaticSheet } from '@/server/documents/static-sheet';
import { SheetPage } from '@/ui/documents/sheet/sheet-page';
import { documentOfAddress } from '../document';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Static-test sheet' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { document, around } = await documentOfAddress(params, loadStaticSheet);
  return <SheetPage sheet={document} {...around} />;
}
