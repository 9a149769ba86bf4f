'use client';
import { useRouter } from 'next/navigation';
import type { Pattern } from '../../core/shapes/facts';
import type { GroupChoice } from '../people/forGroup';
import { Choice } from '../touch/field';

interface Props {
  readonly groups: readonly GroupChoice[];
  readonly groupId: string | null;
  readonly pattern: Pattern | null;
  readonly ladders: readonly { readonly pattern: Pattern; readonly title: string }[];
}

/** Of whom, and which ladder. */
export function HallFilter({ groups, groupId, pattern, ladders }: Props) {
  const router = useRouter();
  const go = (more: { group?: string; pattern?: string }) => {
    const all = { group: groupId ?? '', pattern: pattern ?? '', ...more };
    const query = new URLSearchParams(Object.entries(all).filter(([, value]) => value !== ''));
    router.replace(`/levels?${query.toString()}`);
  };
  return (
    <div className="flex flex-wrap gap-3 print:hidden">
      <Choice aria-label="Of whom" value={groupId ?? ''} onChange={(e) => go({ group: e.target.value })}>
        <option value="">everybody</option>
        {groups.map((g) => (
          <option key={g.id} value={g.id}>
            {g.name}
          </option>
        ))}
      </Choice>
      <Choice aria-label="Which ladder" value={pattern ?? ''} onChange={(e) => go({ pattern: e.target.value })}>
        <option value="">all four</option>
        {ladders.map((l) => (
          <option key={l.pattern} value={l.pattern}>
            {l.title}
          </option>
        ))}
      </Choice>
    </div>
  );
}
