import { movedSince, reportOf, type PageThen, type PrintedPage, type Report } from '../core/report';
import { bookIn } from '../core/score/shownUnits';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import type { ReportAsked } from '../core/shapes/printed';
import type { PersonView } from '../core/personView';
import type { Register } from '../database/connection';
import { addPrintedPage, listPagesOfOtherNorms, listPrintedPages } from '../database/printedPages';
import { parse } from '../schemas/parse';
import { printedForm } from '../schemas/printed';
import { hashOf } from './hash';
import { readBook } from './norms';
import { readPlace } from './places';
import { readPerson } from './readPeople';

/** A page as it would be printed now, and a mark that changes with anything on it. */
export interface ReportNow {
  readonly report: Report;
  readonly fingerprint: string;
}

export async function readReport(
  db: Register,
  view: PersonView,
  asked: ReportAsked,
  today: IsoDate,
): Promise<ReportNow> {
  const report = reportOf(view, await readPlace(db), asked, today);
  return { report, fingerprint: hashOf(JSON.stringify(report)) };
}

export type KeepPrinted = { readonly kind: 'kept' | 'changed' | 'rejected' | 'not-found' };

/**
 * Keeps a page that goes to the printer with all it was printed from; the same page again is kept once.
 * @returns `changed` where something new is known since the page was shown: it is not what would be kept
 */
export async function keepPrinted(
  db: Register,
  personId: PersonId,
  input: unknown,
  today: IsoDate,
  at: Date,
): Promise<KeepPrinted> {
  const parsed = parse(printedForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected' };
  const view = await readPerson(db, personId, today);
  if (!view) return { kind: 'not-found' };
  const { fingerprint, ...asked } = parsed.value;
  const now = await readReport(db, view, asked, today);
  if (now.fingerprint !== fingerprint) return { kind: 'changed' };
  await addPrintedPage(db, { id: crypto.randomUUID(), personId, report: now.report }, fingerprint, at);
  return { kind: 'kept' };
}

/** Pages handed out of one person, newest first. */
export async function readPrinted(db: Register, personId: PersonId): Promise<PageThen[]> {
  return withMoved(db, await listPrintedPages(db, personId));
}

/** Everybody’s pages on which this test read otherwise than it does by the figures in force now. */
export async function pagesMoved(db: Register, test: string): Promise<PageThen[]> {
  const { version } = await readBook(db);
  const pages = await withMoved(db, await listPagesOfOtherNorms(db, version));
  return pages
    .map((page) => ({ ...page, moved: page.moved.filter((m) => m.test === test) }))
    .filter((page) => page.moved.length > 0);
}

async function withMoved(db: Register, pages: readonly PrintedPage[]): Promise<PageThen[]> {
  const book = await readBook(db);
  return pages.map((page) => ({ ...page, moved: movedSince(page.report, bookIn(page.report.units, book).protocols) }));
}
