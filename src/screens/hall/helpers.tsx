'use client';
import { useState } from 'react';
import { helperTasks, type Helper, type HelperTask } from '../../core/shapes/helper';
import type { FieldError } from '../../schemas/parse';
import type { HelperDeed } from '../../schemas/helper';
import { Button } from '../touch/button';
import { TextField, TickBox } from '../touch/field';
import { useOneAtATime } from '../touch/useOneAtATime';
import { dayWords } from '../words';

export type AddHelper = (
  form: object,
) => Promise<
  | { readonly kind: 'saved'; readonly helpers: readonly Helper[] }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
>;
export type TellHelper = (deed: HelperDeed) => Promise<readonly Helper[]>;

interface Props {
  readonly helpers: readonly Helper[];
  readonly add: AddHelper;
  readonly tell: TellHelper;
}

const taskWords: Readonly<Record<HelperTask, string>> = { count: 'may count', spot: 'may spot' };

/** Who helps in the hall, and what each may do: a tick with its day, on the word of whoever made it. */
export function Helpers({ helpers, add, tell }: Props) {
  // What this page did last; a page made anew brings the list along.
  const [changed, change] = useState<{ readonly from: readonly Helper[]; readonly to: readonly Helper[] } | null>(null);
  const shown = changed?.from === helpers ? changed.to : helpers;
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string | undefined>();
  const put = (to: readonly Helper[]) => change({ from: helpers, to });
  const say = useOneAtATime(async (deed: HelperDeed) => {
    put(await tell(deed));
    return true;
  });
  const addOne = useOneAtATime(async () => {
    const said = await add({ name });
    setFault(said.kind === 'rejected' ? said.errors[0]?.message : undefined);
    if (said.kind === 'saved') {
      put(said.helpers);
      setName('');
    }
    return true;
  });
  return (
    <section aria-labelledby="helpers">
      <h2 id="helpers" className="border-b-2 border-ink pb-1 text-lg font-bold">
        Helpers
      </h2>
      <p className="mt-2">
        Spotting is for who can hold somebody: a balance test has as many lanes as people who may. Counting is shown in
        a minute.
      </p>
      <ul>
        {shown.map(({ id, name: who, may }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1">
            <b className="min-w-28 flex-1">{who}</b>
            {helperTasks.map((task) => (
              <label key={task} className="flex min-h-11 cursor-pointer items-center gap-2">
                <TickBox
                  aria-label={`${who} ${taskWords[task]}`}
                  checked={may[task] !== null}
                  onChange={(event) => say({ id, task, may: event.target.checked })}
                />
                <span>
                  {taskWords[task]}
                  {may[task] && (
                    <span className="block text-sm text-ink-soft">
                      since {dayWords(may[task].day)}, {may[task].by}
                    </span>
                  )}
                </span>
              </label>
            ))}
            <Button look="plain" aria-label={`${who} helps no more`} onClick={() => say({ id, gone: true })}>
              Take off
            </Button>
          </li>
        ))}
      </ul>
      <form
        noValidate
        aria-label="A new helper"
        className="mt-3 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          addOne();
        }}
      >
        <TextField
          label="Name of a helper"
          name="helper"
          className="w-64 max-w-full"
          maxLength={80}
          value={name}
          fault={fault}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" look="line">
          Add
        </Button>
      </form>
    </section>
  );
}
