import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PrintedScreen } from '../../../../../../screens/scores/reportPage';
import { readPrinted } from '../../../../../../use-cases/printedPages';
import { theDesk } from '../../../../../../use-cases/desk';

interface Params {
  readonly params: Promise<{ id: string; page: string }>;
}

async function thePage({ params }: Params) {
  const { id, page } = await params;
  return (await readPrinted(await theDesk(), id)).find((p) => p.id === page) ?? notFound();
}

export const metadata: Metadata = { title: 'A page handed out' };

export default async function PrintedPage(context: Params) {
  const page = await thePage(context);
  return <PrintedScreen personId={page.personId} page={page} />;
}
