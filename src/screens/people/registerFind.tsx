'use client';
import type { Group } from '../../core/shapes/person';
import type { RegisterFilter } from '../../core/shapes/register';
import type { RegisterAnswer, RegisterQuestion } from '../../core/view/registerLine';
import { Choice, TextBox } from '../touch/field';

const filterWords: Readonly<Record<RegisterFilter, string>> = {
  all: 'everybody',
  due: 'due',
  held: 'held back',
  'not-tested': 'not tested',
  'to-complete': 'to complete',
  archived: 'put aside',
};

interface Props {
  readonly question: RegisterQuestion;
  readonly ask: (more: Partial<RegisterQuestion>) => void;
  readonly groups: readonly Group[];
  readonly answer: RegisterAnswer;
}

/** Whom to list: by name or level code as one types, by how they stand, by group. */
export function RegisterFind({ question, ask, groups, answer }: Props) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      <label className="flex items-center gap-3 font-semibold">
        Find
        <TextBox
          size="line"
          className="w-60"
          value={question.search}
          placeholder="name or level code"
          onChange={(event) => ask({ search: event.target.value })}
          onKeyDown={(event) => {
            if (event.key !== 'ArrowDown') return;
            event.preventDefault();
            document.querySelector<HTMLAnchorElement>('a[data-row]')?.focus();
          }}
        />
      </label>
      <div role="group" aria-label="Show" className="flex flex-wrap">
        {(Object.keys(filterWords) as RegisterFilter[]).map((filter) => (
          <button
            key={filter}
            type="button"
            aria-pressed={question.filter === filter}
            onClick={() => ask({ filter })}
            className={`min-h-11 cursor-pointer border-b-4 px-3 ${question.filter === filter ? 'border-ink font-bold' : 'border-rule'}`}
          >
            {filterWords[filter]}
          </button>
        ))}
      </div>
      {groups.length > 0 && (
        <label className="flex items-center gap-2">
          group
          <Choice
            size="line"
            value={question.groupId ?? ''}
            onChange={(event) => ask({ groupId: event.target.value || null })}
          >
            <option value="">any</option>
            {groups.map((g) => (
              <option key={g.id} value={g.id}>
                {g.name}
              </option>
            ))}
          </Choice>
        </label>
      )}
      <span role="status" className="num ml-auto" data-testid="how-many">
        {answer.total === answer.everybody ? answer.total : `${answer.total} of ${answer.everybody}`}
      </span>
    </div>
  );
}
