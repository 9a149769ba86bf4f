'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Group } from '../../core/shapes/person';
import { putAt, type Clash } from '../../core/math/mergeChanges';
import type { FieldError } from '../../schemas/parse';
import { newClientKey } from '../test/bench/store';
import { Button, ButtonLink } from '../touch/button';
import { Clashes } from '../touch/clashes';
import { groupTimeWords, weekdays } from '../words';
import { Choice, TextBox } from '../touch/field';

interface Props {
  readonly groups: readonly (Group & { readonly people: number })[];
  /** @param opened the group as its line showed it; `null` for a new one */
  readonly save: (id: string, form: object, opened: object | null) => Promise<SaveGroupAnswer>;
  readonly end: (id: string) => Promise<object>;
}

interface GroupForm {
  readonly name: string;
  readonly weekday: number;
  readonly time: string;
}
type SaveGroupAnswer =
  | { kind: 'saved' }
  | { kind: 'rejected'; errors: readonly FieldError[] }
  | { kind: 'changed'; theirs: GroupForm; merged: GroupForm; clashes: readonly Clash[] };

/** Who comes together, and when. */
export function GroupsScreen({ groups, save, end }: Props) {
  return (
    <div className="pt-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-extrabold">Groups</h1>
        <ButtonLink look="plain" href="/people">
          Back to people
        </ButtonLink>
      </div>
      <p className="mt-1 text-ink-soft">Choose people in the register to put them into a group.</p>
      <ul className="mt-4 border-t-2 border-ink">
        {groups.map((g) => (
          <li key={g.id} className="border-b border-rule py-2">
            <GroupLine group={g} people={g.people} save={save} end={end} />
          </li>
        ))}
        <li className="py-3">
          <h2 className="font-bold">A new group</h2>
          <GroupLine key={groups.length} group={null} people={0} save={save} end={end} />
        </li>
      </ul>
    </div>
  );
}

function GroupLine({
  group,
  people,
  save,
  end,
}: { group: Group | null; people: number } & Pick<Props, 'save' | 'end'>) {
  const router = useRouter();
  const [id] = useState(() => group?.id ?? newClientKey());
  const [name, setName] = useState(group?.name ?? '');
  const [weekday, setWeekday] = useState(group?.weekday ?? 2);
  const [time, setTime] = useState(group?.time ?? '10:00');
  const [fault, setFault] = useState('');
  const [ending, setEnding] = useState(false);
  const [opened, setOpened] = useState<GroupForm | null>(
    group && { name: group.name, weekday: group.weekday, time: group.time },
  );
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  const changed = group === null || name !== group.name || weekday !== group.weekday || time !== group.time;
  const show = (form: GroupForm) => {
    setName(form.name);
    setWeekday(form.weekday);
    setTime(form.time);
  };
  const submit = async () => {
    const typed = name.trim() === '' ? groupTimeWords(weekday, time) : name;
    const answer = await save(id, { name: typed, weekday, time }, opened).catch(() => null);
    switch (answer?.kind) {
      case 'saved':
        setFault('');
        router.refresh();
        return;
      case 'rejected':
        setFault(answer.errors.map((e) => e.message).join(' '));
        return;
      case 'changed':
        show(answer.merged);
        setOpened(answer.theirs);
        setClashes(answer.clashes);
        setFault('Not saved yet.');
        return;
      case undefined:
        setFault('The server did not answer. Save again.');
    }
  };
  const settle = (clash: Clash, value: unknown) => {
    show(putAt<GroupForm>({ name, weekday, time }, clash.path, value, () => null));
    setClashes((left) => left.filter((c) => c !== clash));
  };
  const what = group?.name ?? 'the new group';
  return (
    <form
      className="flex flex-wrap items-center gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <TextBox
        size="line"
        className="w-60"
        aria-label={`Name of ${what}`}
        placeholder={groupTimeWords(weekday, time)}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Choice
        size="line"
        aria-label={`Day of ${what}`}
        value={weekday}
        onChange={(e) => setWeekday(Number(e.target.value))}
      >
        <option value={0}>day not said</option>
        {weekdays.map((day, i) => (
          <option key={day} value={i + 1}>
            {day}
          </option>
        ))}
      </Choice>
      <TextBox
        size="line"
        num
        aria-label={`Time of ${what}`}
        type="time"
        value={time}
        onChange={(e) => setTime(e.target.value)}
      />
      {group && (
        <ButtonLink look="plain" href={`/people?group=${group.id}`} className="min-w-28">
          {people === 1 ? '1 person' : `${people} people`}
        </ButtonLink>
      )}
      {group && people > 0 && (
        <ButtonLink look="plain" href={`/people/groups/${group.id}/class`}>
          Class today
        </ButtonLink>
      )}
      {group && people > 0 && (
        <ButtonLink look="plain" href={`/people/sheet?group=${group.id}`}>
          Sheet from paper
        </ButtonLink>
      )}
      {changed && clashes.length === 0 && (
        <Button type="submit" look={group ? 'main' : 'line'}>
          {group ? 'Save' : 'Add the group'}
        </Button>
      )}
      {group &&
        (ending ? (
          <>
            <Button
              look="line"
              onClick={() =>
                void end(group.id).then(
                  () => router.refresh(),
                  () => setFault('The server did not answer; the group is still there.'),
                )
              }
            >
              End it; its people stay
            </Button>
            <Button look="plain" onClick={() => setEnding(false)}>
              Keep it
            </Button>
          </>
        ) : (
          <Button look="plain" onClick={() => setEnding(true)} aria-label={`End ${group.name}`}>
            End
          </Button>
        ))}
      <p role="alert" className="text-sm font-semibold text-stop">
        {fault}
      </p>
      <Clashes
        clashes={clashes}
        title={([path = '']) => path}
        words={(value, [path]) =>
          path === 'weekday' ? (weekdays[Number(value) - 1] ?? 'not said') : typeof value === 'string' ? value : ''
        }
        settle={settle}
      />
    </form>
  );
}
