import type { Together } from '../retest/together';
import type { PersonView } from './personView';
import { percentileWords } from '../score/rank';
import type { Composites } from '../score/composites';
import { scoreResult, type Score } from '../score/scoreResult';
import type { IsoDate, Limiter, Side } from '../shapes/facts';
import type { Person, PersonId, Place, UnitSystem } from '../shapes/person';
import type { ReportAsked } from '../shapes/printed';
import type { Protocol } from '../shapes/protocol';
import type { TestView } from './testView';

/** All that a page of results is printed from, so that it can be shown again as it was handed out. */
export interface Report extends ReportAsked {
  readonly printedOn: IsoDate;
  readonly hall: string;
  readonly units: UnitSystem;
  readonly person: Pick<Person, 'name' | 'birthDate' | 'normTable'>;
  readonly ageYears: number;
  readonly heightCm: number | null;
  readonly massKg: number | null;
  readonly limiters: readonly Limiter[];
  readonly falls: readonly { readonly fellOn: IsoDate; readonly hurt: boolean }[];
  /** In the order of the stations, each with its newest result and the one before. */
  readonly tests: readonly TestView[];
  readonly composites: Composites;
  /** What several tests say together; pages from before it was reckoned have none. */
  readonly together?: Together['verdict'] | null;
  readonly normsVersion: string;
  readonly rulesVersion: string;
}

export function reportOf(view: PersonView, place: Place, asked: ReportAsked, today: IsoDate): Report {
  const { known, person } = view;
  return {
    ...asked,
    printedOn: today,
    hall: [place.name, place.town].filter((w) => w !== '').join(', '),
    units: view.units,
    person: { name: person.name, birthDate: person.birthDate, normTable: person.normTable },
    ageYears: view.ageYears,
    heightCm: known.intake.heightCm,
    massKg: known.intake.massKg,
    limiters: known.limiters,
    falls: known.falls.map(({ content }) => ({ fellOn: content.fellOn, hurt: content.hurt })),
    tests: view.tests.map((t) => ({
      ...t,
      series: t.series.map((s) => ({ ...s, results: s.results.slice(0, 2) })),
    })),
    composites: view.composites,
    together: view.together?.verdict ?? null,
    normsVersion: view.normsVersion,
    rulesVersion: view.levels.rulesVersion,
  };
}

/** A result that reads otherwise by the figures in force now than on a page that was handed out. */
export interface MovedScore {
  readonly test: string;
  readonly side: Side | null;
  readonly was: Score;
  readonly is: Score;
}

/** A page that was handed out, with all that it was printed from. */
export interface PrintedPage {
  readonly id: string;
  readonly personId: PersonId;
  readonly report: Report;
}

/** The same, with what reads otherwise by the figures in force now. */
export interface PageThen extends PrintedPage {
  readonly moved: readonly MovedScore[];
}

/**
 * Scores the results of a printed page again, at the ages they were scored at.
 * @param protocols with the figures in force now, in the units of the page
 * @returns the results whose standing or watch lines read otherwise; empty where the page still holds
 */
export function movedSince(report: Report, protocols: readonly Protocol[]): MovedScore[] {
  return report.tests.flatMap(({ test, series }) => {
    const protocol = protocols.find((p) => p.id === test);
    return series.flatMap(({ side, results }) => {
      const newest = results[0];
      if (!protocol || !newest) return [];
      const { ageYears, result, score: was } = newest;
      const is = scoreResult(protocol, result, { ageYears, sex: report.person.normTable });
      return readsOf(was) === readsOf(is) ? [] : [{ test, side, was, is }];
    });
  });
}

/** What a page tells of a score: the place in a hundred, the side of a limit or mean, and the lines it is past. */
function readsOf({ rank, scored, cutoffs }: Score): string {
  const past = cutoffs.filter((c) => c.past).map((c) => c.id);
  const standing =
    rank.kind === 'ranked'
      ? percentileWords(rank.percentile)
      : rank.kind === 'limit'
        ? rank.worse
        : rank.kind === 'mean'
          ? [rank.row.mean, (scored ?? 0) < rank.row.mean]
          : rank.why;
  return JSON.stringify([rank.kind, standing, past]);
}
