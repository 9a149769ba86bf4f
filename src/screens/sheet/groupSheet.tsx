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
          tests={protocols.map((p) => ({ id: p.id, name: p.short, href: to(p.id) }))}
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
