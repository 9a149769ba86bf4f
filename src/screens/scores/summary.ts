import { protocolById } from '../../catalogue/protocols';
import type { Together } from '../../core/retest/together';
import { attentionOf, type TestView } from '../../core/view/testView';
import { dayWords } from '../words';

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

/** What several tests say together of the newest two days, where it is clear; "about", as their errors are not quite independent. */
export function togetherWords({ tests, verdict, better, of, from }: Together): string {
  if (verdict === 'about-the-same') return '';
  const names = listed(tests.map((t) => (protocolById(t)?.short ?? t).toLowerCase()));
  const words = { 'clearly-better': 'clearly better', 'clearly-less': 'clearly less' };
  return `Taken together (${names}), about: ${words[verdict]} since ${dayWords(from)}; ${better} of ${of} better.`;
}
