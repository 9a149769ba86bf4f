import { isJudged } from '../../core/retest/change';
import { attentionOf, type ScoredResult, type TestView } from '../../core/view/testView';
import type { Protocol } from '../../core/shapes/protocol';
import { amount } from '../../core/math/amount';
import { monthYear } from '../words';

/** Where somebody stands, said to them: no ranks, nothing that fails, what many keep as a goal. */
export function plainStanding(protocol: Protocol, test: TestView, next: boolean): string {
  const score = test.series[0]?.results[0]?.score;
  if (!score) return '';
  const { rank, standard } = score;
  const goal =
    standard && !standard.met
      ? protocol.better === 'higher'
        ? ` Many keep ${amount(standard.limit, protocol.unit)} when they manage on their own.`
        : ` Many need ${amount(standard.limit, protocol.unit)} or less when they manage on their own.`
      : standard
        ? ' That is what many keep when they manage on their own.'
        : '';
  const bring = weakSide(test);
  const first = next ? 'Next to work on.' : attentionOf(test) > 0 ? '' : ofPeers(protocol, rank);
  const side = bring === null ? '' : ` The ${bring} side is the one to bring along.`;
  return `${first}${goal}${side}`.trim();
}

function ofPeers({ better }: Protocol, rank: ScoredResult['score']['rank']): string {
  if (rank.kind === 'limit') return 'As quick as most people my age.';
  if (rank.kind !== 'ranked') return '';
  if (rank.band !== 'above') return 'Like most people my age.';
  return better === 'higher' ? 'More than most people my age.' : 'Faster than most people my age.';
}

/** Of two sides the one past a line, where the other is not. */
function weakSide({ series }: TestView): 'left' | 'right' | null {
  const past = series.filter((s) => s.results[0]?.score.cutoffs.some((c) => c.past && c.setsDate));
  const [one] = past;
  return series.length === 2 && past.length === 1 && one?.side ? (one.side === 'L' ? 'left' : 'right') : null;
}

/** `As good as or better than about 50 of 100 men my age.` */
export function plainPlace({ rank }: ScoredResult['score']): string {
  if (rank.kind !== 'ranked') return '';
  const of = Math.min(95, Math.max(5, Math.round(rank.percentile)));
  const people = { female: 'women', male: 'men', both: 'people' }[rank.row.sex];
  return ` As good as or better than about ${of} of 100 ${people} my age.`;
}

/** How well it went, best first, so that the page begins with it: better than before, then where others stand. */
function wellness(test: TestView): number {
  const newest = test.series[0]?.results[0];
  if (!newest) return 0;
  const { change, score } = newest;
  const better = {
    ...{ 'clearly-better': 6, 'longer-by-a-step': 5, 'probably-better': 4, 'about-the-same': 1 },
    ...{ 'probably-less': -1, 'shorter-by-a-step': -4, 'clearly-less': -6 },
  };
  const gained = change.kind === 'hands' && change.words === 'now without hands' ? 6 : 0;
  const told = change.kind === 'told' && change.better ? 2 : 0;
  const judged = isJudged(change) ? better[change.kind] : 0;
  const stands = score.rank.kind === 'ranked' ? { above: 3, middle: 2, below: 0 }[score.rank.band] : 0;
  return judged + gained + told + stands - 2 * attentionOf(test);
}

/** For the person: what went well first, the one thing that is next to work on last; the sitting before what is older. */
export function inPlainOrder(tests: readonly TestView[]): {
  readonly tests: readonly TestView[];
  readonly next: string | null;
} {
  const dayOf = (t: TestView) => t.series[0]?.results[0]?.on ?? '';
  const sitting = tests.reduce((day, t) => (dayOf(t) > day ? dayOf(t) : day), '');
  const asItShould = (t: TestView) => t.series[0]?.results[0]?.conditions.despite === undefined;
  // What was done although it was closed is neither praised nor worked on.
  const sorted = [...tests].sort((a, b) => Number(asItShould(b)) - Number(asItShould(a)) || wellness(b) - wellness(a));
  const asked = sorted.filter(asItShould).sort((a, b) => attentionOf(b) - attentionOf(a))[0];
  const next = asked && attentionOf(asked) > 0 ? asked.test : null;
  const today = sorted.filter((t) => dayOf(t) === sitting);
  const older = sorted.filter((t) => dayOf(t) !== sitting);
  const last = (list: readonly TestView[]) => [
    ...list.filter((t) => t.test !== next),
    ...list.filter((t) => t.test === next),
  ];
  return { tests: [...last(today), ...last(older)], next };
}

/** What changed, said to them; a change inside the error of the test is none. */
export function plainChange({ change }: ScoredResult, before: string | undefined): string {
  const since = before === undefined ? '' : ` since ${monthYear(before)}`;
  switch (change.kind) {
    case 'first-time':
      return 'My first time.';
    case 'hands':
      return change.words === 'now without hands' ? 'Now without hands.' : 'With hands this time.';
    case 'at-top':
      return 'The most this test can show.';
    case 'clearly-better':
      return `Clearly better${since}.`;
    case 'longer-by-a-step':
      return `Longer${since}, by a step.`;
    case 'probably-better':
      return `Probably better${since}.`;
    case 'about-the-same':
      return `About the same${since}.`;
    case 'probably-less':
      return `Perhaps a little less${since}.`;
    case 'shorter-by-a-step':
    case 'clearly-less':
      return `Less than before${since}; we look at it together.`;
    case 'told':
      return change.by === 0
        ? `The same${since}.`
        : `${change.firstClean > 0 ? `${change.firstClean} of them without hands: my first. ` : ''}${change.better ? 'Better' : 'Less'}${since}.`;
    case 'as-then':
      return change.was === 'no-clear-change'
        ? `About the same${since}.`
        : change.was === 'clearly-better'
          ? `Clearly better${since}.`
          : `Less than before${since}; we look at it together.`;
    case 'not-comparable':
      return '';
  }
}
