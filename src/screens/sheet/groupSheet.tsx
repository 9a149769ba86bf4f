import Link from 'next/link';
import { protocols } from '../../catalogue/protocols';
import type { Protocol } from '../../core/shapes/protocol';
import { ButtonLink } from '../touch/button';
import { Sheet } from './sheet';
import { rowsOf } from './sheetRows';

interface Props {
  readonly groupId: string | null;
  readonly groupName: string;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly protocol: Protocol;
  readonly today: string;
  readonly save: Parameters<typeof Sheet>[0]['save'];
}

/** One test down a whole group, as it lies on a station’s sheet of paper. */
export function GroupSheet({ groupId, groupName, people, protocol, today, save }: Props) {
  const to = (test: string) => `/people/sheet?${groupId === null ? '' : `group=${groupId}&`}test=${test}`;
  return (
    <div className="pt-4">
      <h1 className="text-2xl font-extrabold">From paper: {groupName}</h1>
      <nav aria-label="Test of the sheet" className="mt-2 flex flex-wrap gap-x-1 border-b-2 border-ink">
        {protocols.map((p) => (
          <Link
            key={p.id}
            href={to(p.id)}
            prefetch={false}
            aria-current={p.id === protocol.id ? 'page' : undefined}
            className={`flex min-h-11 items-center rounded-t-md px-3 ${p.id === protocol.id ? 'bg-ink font-bold text-board' : 'text-squat underline underline-offset-4'}`}
          >
            {p.short}
          </Link>
        ))}
      </nav>
      {people.length === 0 ? (
        <div className="py-6 text-lg">
          <p>Nobody is in this group yet. Choose people in the register and let them join it, or seat them today.</p>
          <ButtonLink href="/people" className="mt-4">
            To the people
          </ButtonLink>
        </div>
      ) : (
        <Sheet
          // Another test is another sheet: nothing written on one may slip into the next.
          key={protocol.id}
          today={today}
          rows={rowsOf(people, [protocol])}
          seatHeightCm={null}
          then="/scores"
          back="/people/groups"
          save={save}
        />
      )}
    </div>
  );
}
