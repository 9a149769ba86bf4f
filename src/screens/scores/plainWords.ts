import { attentionOf, type ScoredResult, type TestView } from '../../core/view/testView';
import type { Protocol } from '../../core/shapes/protocol';
import { amount } from '../../core/math/amount';
import { monthYear } from '../words';

/** Where somebody stands, said to them: no ranks, nothing that fails, what many keep as a goal. */
export function plainStanding(protocol: Protocol, test: TestView): string {
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
  if (rank.kind === 'ranked') {
    const band = {
      below: 'Next to work on.',
      middle: 'Like most people my age.',
      above: 'More than most people my age.',
    }[rank.band];
    return `${attentionOf(test) > 0 ? 'Next to work on.' : band}${goal}`;
  }
  if (attentionOf(test) > 0) return 'Next to work on.';
  return rank.kind === 'limit' ? 'As quick as most people my age.' : '';
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
    case 'not-comparable':
      return '';
  }
}
