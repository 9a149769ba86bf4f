import Link from 'next/link';
import type { PageThen, Report } from '../../core/view/report';
import type { ReportAsked } from '../../core/shapes/printed';
import { Ways } from '../touch/backLink';
import { ButtonLink } from '../touch/button';
import { PrintButton } from '../touch/printButton';
import { dayWords } from '../words';
import { PrintAndKeep, type KeepPage } from './printAndKeep';
import { ReportSheet } from './reportSheet';
import { movedWords, readerWords } from './testWords';

interface Props {
  readonly personId: string;
  readonly report: Report;
  readonly fingerprint: string;
  /** Pages handed out before, newest first. */
  readonly printed: readonly PageThen[];
  readonly keep: KeepPage<ReportAsked & { readonly fingerprint: string }>;
}

/** One page of results on paper: plain and large for the person, raw and sourced for the clinician. */
export function ReportScreen({ personId, report, fingerprint, printed, keep }: Props) {
  const base = `/people/${personId}`;
  const { reader, percent } = report;
  const ways: readonly (readonly [string, string, boolean])[] = [
    ['For the person', `${base}/report`, reader === 'person' && !percent],
    ['with places in a hundred', `${base}/report?percent=1`, reader === 'person' && percent],
    ['For the clinician', `${base}/report?for=clinician`, reader === 'clinician'],
  ];
  const asked: ReportAsked = { reader, percent };
  return (
    <div className="mx-auto max-w-3xl pt-5 print:max-w-none print:pt-0">
      <div className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
        <PrintAndKeep keep={keep} personId={personId} page={{ ...asked, fingerprint }} />
        <Ways ways={ways} />
        <ButtonLink look="plain" href={`${base}/scores`} className="ml-auto">
          Back
        </ButtonLink>
      </div>
      <ReportSheet report={report} />
      {printed.length > 0 && (
        <section aria-labelledby="before" className="mt-6 print:hidden">
          <h2 id="before" className="border-b-2 border-ink pb-1 text-lg font-bold">
            Handed out before
          </h2>
          <ul>
            {printed.map((page) => (
              <li key={page.id} className="border-b border-rule">
                <Link href={`${base}/report/${page.id}`} className="flex min-h-11 flex-wrap items-center gap-x-4">
                  <span className="num w-32">{dayWords(page.report.printedOn)}</span>
                  <span className="underline decoration-rule underline-offset-4">{readerWords(page.report)}</span>
                  {page.moved.length > 0 && <b>reads otherwise now</b>}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

/** A page as it was handed out, and what reads otherwise by the figures in force now. */
export function PrintedScreen({ personId, page }: { personId: string; page: PageThen }) {
  const { report, moved } = page;
  return (
    <div className="mx-auto max-w-3xl pt-5 print:max-w-none print:pt-0">
      <div className="mb-4 print:hidden">
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <PrintButton look="line">Print again</PrintButton>
          <p className="text-xl font-extrabold">As handed out on {dayWords(report.printedOn)}</p>
          <ButtonLink look="plain" href={`/people/${personId}/report`} className="ml-auto">
            The page of today
          </ButtonLink>
        </div>
        <p>
          Norms {report.normsVersion}, rules {report.rulesVersion}.{' '}
          {moved.length === 0 ? 'By the figures in force now it reads the same.' : 'By the figures in force now:'}
        </p>
        <ul className="font-semibold">
          {moved.map((m) => (
            <li key={`${m.test}${m.side ?? ''}`}>{movedWords(m)}</li>
          ))}
        </ul>
      </div>
      <ReportSheet report={report} />
    </div>
  );
}
