'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';

/** The group that comes today, put into the sitting with one press. */
export function SeatGroup({
  group,
  seat,
}: {
  group: { readonly id: string; readonly name: string; readonly people: number };
  seat: (groupId: string) => Promise<void>;
}) {
  const router = useRouter();
  const [fault, setFault] = useState('');
  const press = useOneAtATime(async () => {
    const done = await seat(group.id).then(
      () => true,
      () => false,
    );
    setFault(done ? '' : 'The server did not answer; nobody was seated. Press again.');
    if (done) router.refresh();
    return true;
  });
  return (
    <>
      <Button look="line" onClick={press}>
        Seat {group.name}, {group.people}
      </Button>
      <span role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </span>
    </>
  );
}
