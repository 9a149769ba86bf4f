'use client';
import { useRouter } from 'next/navigation';
import { Choice } from '../touch/field';

export interface GroupChoice {
  readonly id: string;
  readonly name: string;
}

/** Whom a paper is printed for: a group, or those who sit today. */
export function ForGroup({
  path,
  groups,
  groupId,
  none,
  more = {},
}: {
  path: string;
  groups: readonly GroupChoice[];
  groupId: string | null;
  /** What it is without anybody chosen; left out where that is not possible. */
  none?: string;
  /** What else stands in the address. */
  more?: Readonly<Record<string, string>>;
}) {
  const router = useRouter();
  return (
    <label className="flex items-center gap-3 font-semibold print:hidden">
      For
      <Choice
        value={groupId ?? ''}
        onChange={(event) => {
          const { value } = event.target;
          const query = new URLSearchParams([...Object.entries(more), ...(value === '' ? [] : [['group', value]])]);
          router.replace(`${path}?${query.toString()}`);
        }}
      >
        {none !== undefined && <option value="">{none}</option>}
        <option value="today">today’s sitting</option>
        {groups.map((g) => (
          <option key={g.id} value={g.id}>
            {g.name}
          </option>
        ))}
      </Choice>
    </label>
  );
}
