import { notFound } from 'next/navigation';
import { normsVersion, protocolById } from '../../../../../catalogue/protocols';
import { NormPage } from '../../../../../screens/library/normPage';
import { calculate } from '../../../../../use-cases/calculate';
import { today } from '../../../../../use-cases/today';

interface Params {
  readonly params: Promise<{ test: string }>;
  readonly searchParams: Promise<Readonly<Record<string, string | undefined>>>;
}

export async function generateMetadata({ params }: Params) {
  return { title: `Norms: ${protocolById((await params).test)?.title ?? 'unknown test'}` };
}

export default async function NormsPage({ params, searchParams }: Params) {
  const protocol = protocolById((await params).test);
  if (!protocol) notFound();
  return (
    <NormPage
      protocol={protocol}
      {...calculate(protocol, await searchParams, today())}
      normsVersion={normsVersion}
      today={today()}
    />
  );
}
