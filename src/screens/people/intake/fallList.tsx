'use client';
import type { EntryOf } from '../../../core/shapes/intake';
import type { PersonForm } from '../../../schemas/person';
import { Button } from '../../touch/button';
import { dayWords } from '../../words';
import { Tick } from './fields';
import { Choice, TextBox } from '../../touch/field';
import { addDays } from '../../../core/math/days';

type Fall = PersonForm['falls'][number];

interface Props {
  readonly noted: readonly EntryOf<'fall'>[];
  readonly withdrawn: readonly string[];
  readonly takeBack: (withdrawn: string[]) => void;
  readonly falls: readonly Fall[];
  readonly change: (falls: Fall[]) => void;
  readonly faultAt: (i: number) => string | undefined;
  readonly today: string;
}

/** About when, for who does not know the day; days back from today. */
const agos = [
  [1, 'yesterday'],
  [7, 'a week ago'],
  [30, 'a month ago'],
  [91, 'three months ago'],
  [182, 'half a year ago'],
  [335, 'nearly a year ago'],
] as const;

const said = (f: { hurt: boolean; lookedAt: boolean; headStruck: boolean; unexplained: boolean }): string =>
  [
    f.hurt ? (f.lookedAt ? 'hurt, looked at' : 'hurt, not looked at') : 'not hurt',
    ...(f.headStruck ? ['head struck'] : []),
    ...(f.unexplained ? ['nobody knows why'] : []),
  ].join(', ');

/** Falls of the last twelve months, each with its day. */
export function FallList({ noted, withdrawn, takeBack, falls, change, faultAt, today }: Props) {
  return (
    <div>
      <ul>
        {noted.map(({ id, content }) => {
          const gone = withdrawn.includes(id);
          return (
            <li key={id} className="flex min-h-12 flex-wrap items-center gap-x-4 border-b border-rule">
              <b className={gone ? 'line-through' : ''}>{dayWords(content.fellOn)}</b>
              <span className={gone ? 'line-through' : ''}>{said(content)}</span>
              <Button
                look="plain"
                onClick={() => takeBack(gone ? withdrawn.filter((w) => w !== id) : [...withdrawn, id])}
              >
                {gone ? 'keep it' : 'noted by mistake'}
              </Button>
            </li>
          );
        })}
        {falls.map((fall, i) => {
          const put = (next: Partial<Fall>) => change(falls.map((f, n) => (n === i ? { ...f, ...next } : f)));
          return (
            <li key={i} className="border-b border-rule py-2">
              <div className="flex flex-wrap items-center gap-x-5">
                <label className="flex items-center gap-2 font-semibold">
                  Day
                  <TextBox
                    size="line"
                    num
                    type="date"
                    max={today}
                    aria-invalid={faultAt(i) !== undefined}
                    value={fall.fellOn}
                    onChange={(event) => put({ fellOn: event.target.value })}
                  />
                </label>
                <label className="flex items-center gap-2">
                  or about when
                  <Choice
                    size="line"
                    value={agos.find(([days]) => addDays(today, -days) === fall.fellOn)?.[0] ?? ''}
                    onChange={(event) => {
                      const { value } = event.target;
                      put({ fellOn: value === '' ? '' : addDays(today, -Number(value)) });
                    }}
                  >
                    <option value="">choose</option>
                    {agos.map(([days, words]) => (
                      <option key={days} value={days}>
                        {words}
                      </option>
                    ))}
                  </Choice>
                </label>
                <Tick checked={fall.hurt} set={(hurt) => put({ hurt })}>
                  hurt
                </Tick>
                <Tick checked={fall.lookedAt} set={(lookedAt) => put({ lookedAt })}>
                  looked at
                </Tick>
                <Tick checked={fall.headStruck} set={(headStruck) => put({ headStruck })}>
                  head struck
                </Tick>
                <Tick checked={fall.unexplained} set={(unexplained) => put({ unexplained })}>
                  nobody knows why
                </Tick>
                <Button look="plain" onClick={() => change(falls.filter((_, n) => n !== i))}>
                  leave out
                </Button>
              </div>
              <p className="text-sm font-semibold text-stop">{faultAt(i)}</p>
            </li>
          );
        })}
      </ul>
      <Button
        look="line"
        className="mt-2"
        onClick={() =>
          change([...falls, { fellOn: '', hurt: false, lookedAt: false, headStruck: false, unexplained: false }])
        }
      >
        Add a fall
      </Button>
      {noted.length + falls.length === 0 && <span className="ml-4 text-ink-soft">No fall in twelve months.</span>}
    </div>
  );
}
