import { protocolById } from '../../catalogue/protocols';
import type { MovedScore } from '../../core/view/report';
import { percentileWords } from '../../core/score/rank';
import type { CutoffAnswer, Score } from '../../core/score/scoreResult';
import type { Side } from '../../core/shapes/facts';
import type { ReportAsked } from '../../core/shapes/printed';
import type { Protocol } from '../../core/shapes/protocol';
import type { ScoredResult } from '../../core/view/testView';
import { rowWords, valueWords } from '../words';

/** A result’s result as it is said: with its unit, with hands, or why there is none. */
export function resultWords(protocol: Protocol, { result }: Pick<ScoredResult, 'result'>): string {
  const { value, outcome, help, handsUsed } = result;
  if (outcome !== 'done') return outcome.replace('-', ' ');
  const helped = help === 'person' ? 'with a person’s help' : help === 'furniture' ? 'holding on to furniture' : '';
  if (value === null) return helped === '' ? 'done' : helped;
  if (handsUsed) return `${value} with hands`;
  return helped === '' ? valueWords(protocol, value) : `${valueWords(protocol, value)}, ${helped}`;
}

/** Where a result stands, in a few words. */
export function standingWords({ rank, scored, cutoffs }: Score): string {
  switch (rank.kind) {
    case 'ranked':
      return percentileWords(rank.percentile);
    case 'limit':
      return rank.worse ? 'slower than average' : 'not slower than average';
    case 'mean':
      return `${(scored ?? 0) < rank.row.mean ? 'under' : 'at or over'} the mean of ${rank.row.mean}`;
    case 'no-norm':
      if (rank.why !== 'no-set' || cutoffs.length === 0) return notRanked[rank.why];
      return cutoffs.some((c) => c.past) ? 'past the watch line' : 'not past the watch line';
  }
}

const notRanked: Readonly<Record<Extract<Score['rank'], { kind: 'no-norm' }>['why'], string>> = {
  'no-set': 'no norms',
  'age-not-covered': 'age not covered',
  'zero-not-ranked': 'not ranked',
  'hands-used': 'not ranked',
  'aid-used': 'not ranked: with an aid',
  'no-result': 'nothing to rank',
};

/** Of whom: the row, where one is read. */
export function amongWords({ rank }: Score): string {
  return rank.kind === 'no-norm' ? '' : rowWords(rank.row);
}

const sense: Readonly<Record<CutoffAnswer['pastIf'], string>> = {
  '<': 'under',
  '<=': 'up to',
  '>=': 'from',
  '>': 'over',
};

/** `under 10`, `from 8.5` */
export const cutoffWords = ({ pastIf, limit }: Pick<CutoffAnswer, 'pastIf' | 'limit'>): string =>
  `${sense[pastIf]} ${Number(limit.toFixed(2))}`;

export const sideLetter = (side: Side | null): string => (side === null ? '' : `${side} `);

export const sideName = (side: Side | null): string => (side === 'L' ? 'left' : side === 'R' ? 'right' : '');

export const readerWords = ({ reader, percent }: ReportAsked): string =>
  reader === 'clinician'
    ? 'for the clinician'
    : percent
      ? 'for the person, with places in a hundred'
      : 'for the person';

/** `chair stands about 25 in 100, on the page about 17 in 100 and past under 10` */
export function movedWords({ test, side, was, is }: MovedScore): string {
  const said = (score: Score) =>
    [standingWords(score), ...score.cutoffs.filter((c) => c.past).map((c) => `past ${cutoffWords(c)}`)].join(', ');
  const name = (protocolById(test)?.short ?? test).toLowerCase();
  return `${name}${side ? ` ${sideName(side)}` : ''}: ${said(is)}; on the page ${said(was)}`;
}
