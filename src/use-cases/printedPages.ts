import { movedSince, reportOf, type PageThen, type PrintedPage, type Report } from '../core/view/report';
import { bookIn } from '../core/score/shownUnits';
import type { PersonId } from '../core/shapes/person';
import type { ReportAsked } from '../core/shapes/printed';
import type { PersonView } from '../core/view/personView';
import { addPrintedPage, listPagesOfOtherNorms, listPrintedPages } from '../database/printedPages';
import { parse } from '../schemas/parse';
import { printedForm } from '../schemas/printed';
import { hashOf } from './hash';
import { readBook } from './norms';
import { readPlace } from './places';
import { readPerson } from './readPeople';
import { type Desk } from './desk';

/** A page as it would be printed now, and a mark that changes with anything on it. */
export interface ReportNow {
  readonly report: Report;
  readonly fingerprint: string;
}

export async function readReport(desk: Desk, view: PersonView, asked: ReportAsked): Promise<ReportNow> {
  const today = desk.today();
  const report = reportOf(view, await readPlace(desk), asked, today);
  return { report, fingerprint: hashOf(JSON.stringify(report)) };
}

export type KeepPrinted = { readonly kind: 'kept' | 'changed' | 'rejected' | 'not-found' };

/**
 * Keeps a page that goes to the printer with all it was printed from; the same page again is kept once.
 * @returns `changed` where something new is known since the page was shown: it is not what would be kept
 */
export async function keepPrinted(desk: Desk, personId: PersonId, input: unknown): Promise<KeepPrinted> {
  const at = desk.now();
  const parsed = parse(printedForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected' };
  const view = await readPerson(desk, personId);
  if (!view) return { kind: 'not-found' };
  const { fingerprint, ...asked } = parsed.value;
  const now = await readReport(desk, view, asked);
  if (now.fingerprint !== fingerprint) return { kind: 'changed' };
  await addPrintedPage(desk.db, { id: crypto.randomUUID(), personId, report: now.report }, fingerprint, at);
  return { kind: 'kept' };
}

/** Pages handed out of one person, newest first. */
export async function readPrinted(desk: Desk, personId: PersonId): Promise<PageThen[]> {
  return withMoved(desk, await listPrintedPages(desk.db, personId));
}

/** Pages of other figures that are looked through, newest first: each is read in full. */
const lookedThrough = 100;

/** What was handed out and reads otherwise by the figures in force now. */
export interface MovedPages {
  readonly pages: readonly PageThen[];
  /** Older pages of other figures, which were not looked through. */
  readonly older: number;
}

/** Everybody’s newest pages on which this test read otherwise than it does by the figures in force now. */
export async function pagesMoved(desk: Desk, test: string): Promise<MovedPages> {
  const { version } = await readBook(desk);
  const { newest, older } = await listPagesOfOtherNorms(desk.db, version, lookedThrough);
  const pages = (await withMoved(desk, newest))
    .map((page) => ({ ...page, moved: page.moved.filter((m) => m.test === test) }))
    .filter((page) => page.moved.length > 0);
  return { pages, older };
}

async function withMoved(desk: Desk, pages: readonly PrintedPage[]): Promise<PageThen[]> {
  const book = await readBook(desk);
  return pages.map((page) => ({ ...page, moved: movedSince(page.report, bookIn(page.report.units, book).protocols) }));
}
