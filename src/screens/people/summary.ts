import type { Mark } from '../drawing/stateMark';
import type { PersonView } from '../../core/personView';
import { dayWords, readinessWords, standsWords, tableWords } from '../words';
import type { RegisterRow } from './register';

/** How somebody stands today, as one mark with its words. */
export function stateOf(view: PersonView, today: string): { readonly mark: Mark; readonly words: string } {
  const { intake, due, sittings } = view;
  if (intake.readiness === 'not-today') return { mark: 'stop', words: 'not today' };
  if (intake.readiness === 'ask-first') return { mark: 'watch', words: 'ask first' };
  if (!due || sittings.length === 0) return { mark: 'unknown', words: 'not tested yet' };
  if (due.on <= today) return { mark: 'watch', words: due.on === today ? 'due today' : 'due' };
  if (view.levelWaiting) return { mark: 'unknown', words: 'level to confirm' };
  return { mark: 'ready', words: readinessWords[intake.readiness] };
}

/** One line of the register. */
export function registerRow(view: PersonView, today: string): RegisterRow {
  const { person, ageYears, sittings, due } = view;
  const { mark, words } = stateOf(view, today);
  const latest = sittings[0];
  return {
    id: person.id,
    name: person.name,
    about: `${ageYears} · ${tableWords(person.normTable)}`,
    mark,
    state: words,
    stands: latest ? standsWords(latest.attempt.trial) : '–',
    tested: latest ? dayWords(latest.attempt.sittingDate) : '–',
    code: view.confirmed.at(-1)?.level.code ?? (view.levelWaiting ? `(${view.levelWaiting.code})` : '–'),
    due: due ? dayWords(due.on) : '–',
  };
}
