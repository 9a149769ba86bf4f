import type { Metadata } from 'next';
import { ReportScreen } from '../../../../../screens/scores/reportPage';
import { readPrinted, readReport } from '../../../../../use-cases/printedPages';
import { keepPrintedPage } from '../../actions';
import { thePerson, type PersonParams } from '../person';
import { theDesk } from '../../../../../use-cases/desk';

interface Params extends PersonParams {
  readonly searchParams: Promise<{ for?: string; percent?: string }>;
}

export const metadata: Metadata = { title: 'Results to hand out' };

export default async function ReportPage(context: Params) {
  const { for: reader, percent } = await context.searchParams;
  const asked =
    reader === 'clinician'
      ? ({ reader, percent: false } as const)
      : ({ reader: 'person', percent: percent === '1' } as const);
  const view = await thePerson(context);
  const desk = await theDesk();
  const { id } = view.person;
  return (
    <ReportScreen
      personId={id}
      {...await readReport(desk, view, asked)}
      printed={await readPrinted(desk, id)}
      keep={keepPrintedPage}
    />
  );
}
