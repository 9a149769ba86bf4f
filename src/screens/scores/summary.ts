import { protocolById } from '../../catalogue/protocols';
import { attentionOf, type TestView } from '../../core/view/testView';

/** One line for the person, in plain words: what goes well, and what to work on next. */
export function summaryWords(tests: readonly TestView[]): string {
  const short = (t: TestView) => (protocolById(t.test)?.short ?? t.test).toLowerCase();
  const next = tests.filter((t) => attentionOf(t) > 0).map(short);
  const strong = tests.filter((t) => {
    const rank = t.series[0]?.results[0]?.score.rank;
    return attentionOf(t) === 0 && rank?.kind === 'ranked' && rank.band === 'above';
  });
  const first =
    next.length === 0
      ? 'Nothing is past a watch line or below the middle half.'
      : `Next to work on: ${listed(next.slice(0, 3))}.`;
  return strong.length === 0 ? first : `${first} Above the middle half: ${listed(strong.slice(0, 3).map(short))}.`;
}

function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
}
