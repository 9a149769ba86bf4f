import { notFound } from 'next/navigation';
import { protocolById } from '../../../../../catalogue/protocols';
import { protocolIn } from '../../../../../core/score/shownUnits';
import { normUnits } from '../../../../../core/score/normBook';
import { printNorms } from '../../../../../formats/normsCsv';
import { NormPage } from '../../../../../screens/library/normPage';
import { calculate } from '../../../../../use-cases/calculate';
import { normChanges, readBook } from '../../../../../use-cases/norms';
import { readPlace } from '../../../../../use-cases/places';
import { pagesMoved } from '../../../../../use-cases/printedPages';
import { today } from '../../../../../use-cases/today';
import { saveNorms } from '../../actions';
import { theDesk } from '../../../../../use-cases/desk';

interface Params {
  readonly params: Promise<{ test: string }>;
  readonly searchParams: Promise<Readonly<Record<string, string | undefined>>>;
}

export async function generateMetadata({ params }: Params) {
  return { title: `Norms: ${protocolById((await params).test)?.title ?? 'unknown test'}` };
}

export default async function NormsPage({ params, searchParams }: Params) {
  const desk = await theDesk();
  const book = await readBook(desk);
  const { test } = await params;
  const protocol = book.protocols.find((p) => p.id === test);
  if (!protocol) notFound();
  const { norms } = protocol;
  const shown = protocolIn((await readPlace(desk)).units, protocol);
  return (
    <NormPage
      protocol={shown}
      {...calculate(shown, await searchParams, today())}
      normsVersion={book.version}
      today={today()}
      editor={{
        test,
        table: norms?.kind === 'middle-half' ? printNorms(norms.rows, norms.unit) : printNorms([], protocol.unit),
        units: normUnits(protocol),
        changes: await normChanges(desk, test),
        printed: await pagesMoved(desk, test),
        save: saveNorms,
      }}
    />
  );
}
