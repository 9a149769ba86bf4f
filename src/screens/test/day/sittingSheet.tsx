'use client';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import { conditionsFor } from '../../../core/measure/day/dayState';
import type { Sat } from '../../../core/measure/day/sitting';
import { useUnits } from '../../frame/units';
import { Button, ButtonLink } from '../../touch/button';
import { TextBox } from '../../touch/field';
import { MeasureField } from '../../touch/measureField';
import type { StationPerson } from '../station';
import { satLine, testWord } from './dayWords';
import type { TestingDay } from './useTestingDay';

interface Props {
  readonly day: TestingDay;
  readonly person: StationPerson;
  readonly people: readonly StationPerson[];
  readonly sitting: readonly Sat[];
  readonly name: (id: string) => string;
  readonly test: (test: string, people: readonly StationPerson[]) => void;
  readonly decline: (person: StationPerson, test: string, why: string) => void;
  readonly close: () => void;
}

const reasons = ['would rather not', 'tired', 'sore', 'afraid of it'] as const;
const leaves = ['tired', 'has to go', 'unwell', 'toilet, comes back'] as const;

/** Everything of somebody’s sitting today: what is done, left, declined or stopped and why; and what can be said of it. */
export function SittingSheet({ day, person, people, sitting, name, test, decline, close }: Props) {
  const units = useUnits();
  const { state, note } = day;
  const { id } = person;
  const left = state.left.get(id);
  const friends = state.friends.get(id) ?? [];
  const [declining, setDeclining] = useState<string | null>(null);
  const [leaving, setLeaving] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const also = (deed: () => void) => () => {
    deed();
    close();
  };
  return (
    <Dialog open onClose={close} className="relative z-30">
      <div className="fixed inset-0 flex items-center justify-center bg-ink/40 p-3 sm:p-6" data-seven>
        <DialogPanel className="max-h-full w-full max-w-4xl overflow-auto border-4 border-ink bg-board p-4 sm:p-6">
          <div className="flex flex-wrap items-baseline gap-4">
            <DialogTitle className="text-2xl font-extrabold">{person.name}</DialogTitle>
            {left !== undefined && <p>left{left === '' ? '' : `: ${left}`}</p>}
            <ButtonLink look="plain" className="ml-auto" href={`/people/${id}`} hard>
              Their page
            </ButtonLink>
          </div>
          <ul className="mt-2 border-t-2 border-ink" data-testid="sitting">
            {sitting.map((sat) => (
              <li
                key={sat.test}
                className="flex min-h-14 flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-1"
              >
                <b className="min-w-40">{testWord(sat.test)}</b>
                <span className="min-w-28 flex-1">{satLine(sat, units)}</span>
                {sat.state === 'open' && (
                  <span className="flex flex-wrap gap-2">
                    <Button look="line" onClick={also(() => test(sat.test, [person]))}>
                      Test
                    </Button>
                    <Button look="line" onClick={() => setDeclining(declining === sat.test ? null : sat.test)}>
                      Not tried
                    </Button>
                    <Button look="line" onClick={() => note({ kind: 'paper', personId: id, tests: [sat.test] })}>
                      On paper
                    </Button>
                    <Button look="line" onClick={() => note({ kind: 'later', personId: id, tests: [sat.test] })}>
                      Next day
                    </Button>
                  </span>
                )}
                {declining === sat.test && (
                  <Why
                    label={`Why not the ${testWord(sat.test)}?`}
                    of={reasons}
                    say={(why) => {
                      decline(person, sat.test, why);
                      setDeclining(null);
                    }}
                  />
                )}
              </li>
            ))}
          </ul>
          <Conditions day={day} id={id} />
          <div className="mt-4 flex flex-wrap gap-3">
            {left === undefined ? (
              <>
                <Button look="line" onClick={also(() => note({ kind: 'not-now', personId: id }))}>
                  Not now: two places back
                </Button>
                <Button look="line" onClick={() => setLeaving(!leaving)}>
                  Leaves
                </Button>
                <Button look="line" onClick={() => setChoosing(!choosing)}>
                  Keep beside a friend
                </Button>
              </>
            ) : (
              <Button look="line" onClick={also(() => note({ kind: 'back', personId: id }))}>
                Is back
              </Button>
            )}
            <Button className="ml-auto" onClick={close}>
              Close
            </Button>
          </div>
          {leaving && (
            <Why label="Why?" of={leaves} say={(why) => also(() => note({ kind: 'left', personId: id, why }))()} />
          )}
          {friends.length > 0 && (
            <p className="mt-3 flex flex-wrap items-center gap-3">
              Called one after the other with <b>{friends.map(name).join(', ')}</b>.
              <Button look="plain" onClick={() => note({ kind: 'apart', people: [id, ...friends] })}>
                No longer
              </Button>
            </p>
          )}
          {choosing && (
            <div role="group" aria-label="With whom?" className="mt-3 flex flex-wrap gap-2">
              {people
                .filter((p) => p.id !== id && !friends.includes(p.id))
                .map((p) => (
                  <Button
                    key={p.id}
                    look="line"
                    onClick={() => {
                      note({ kind: 'together', people: [id, p.id] });
                      setChoosing(false);
                    }}
                  >
                    {name(p.id)}
                  </Button>
                ))}
            </div>
          )}
        </DialogPanel>
      </div>
    </Dialog>
  );
}

/** A reason by one tap, or in a few words of one’s own. */
function Why({ label, of, say }: { label: string; of: readonly string[]; say: (why: string) => void }) {
  const [own, setOwn] = useState('');
  return (
    <form
      aria-label={label}
      className="mt-2 flex w-full flex-wrap items-center gap-2 border-l-8 border-ink pl-3"
      onSubmit={(event) => {
        event.preventDefault();
        say(own.trim());
      }}
    >
      <b>{label}</b>
      {of.map((why) => (
        <Button key={why} look="line" onClick={() => say(why)}>
          {why}
        </Button>
      ))}
      <TextBox
        aria-label={`${label} In words`}
        className="w-44"
        maxLength={120}
        value={own}
        onChange={(event) => setOwn(event.target.value)}
      />
      <Button type="submit" look="line">
        Say so
      </Button>
    </form>
  );
}

/** Their own chair and shoes, where they differ from the hall’s. */
function Conditions({ day, id }: { day: TestingDay; id: string }) {
  const { seatCm = null, shoes } = conditionsFor(day.state, id);
  const [seat, setSeat] = useState<number | string | null>(seatCm);
  const valid = typeof seat === 'number' && seat >= 30 && seat <= 60;
  const put = (more: object) => day.note({ kind: 'conditions', personId: id, put: more });
  return (
    <details className="mt-3">
      <summary className="flex min-h-11 w-fit cursor-pointer items-center font-semibold underline underline-offset-4">
        Their own chair and shoes
      </summary>
      <div className="flex flex-wrap items-end gap-x-5">
        <MeasureField
          label="Seat"
          name={`own-seat-${id}`}
          measure="length"
          value={typeof seat === 'number' ? seat : null}
          set={(value) => {
            setSeat(value);
            if (typeof value === 'number' && value >= 30 && value <= 60) put({ seatCm: value });
          }}
          fault={seat === null || valid ? undefined : 'Write the height of the seat: 30 to 60 cm.'}
        />
        <label className="pb-6 font-semibold">
          Shoes
          <select
            className="mt-1 block h-12 rounded-md border-2 border-ink bg-board px-3"
            value={shoes ?? 'flat'}
            onChange={(event) => put({ shoes: event.target.value })}
          >
            {(['flat', 'cushioned', 'barefoot'] as const).map((s) => (
              <option key={s}>{s}</option>
            ))}
          </select>
        </label>
      </div>
    </details>
  );
}
