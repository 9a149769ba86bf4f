'use client';
import { useRouter } from 'next/navigation';
import { Button } from '../touch/button';

/** The group that comes today, put into the sitting with one press. */
export function SeatGroup({
  group,
  seat,
}: {
  group: { readonly id: string; readonly name: string; readonly people: number };
  seat: (groupId: string) => Promise<void>;
}) {
  const router = useRouter();
  return (
    <Button look="line" onClick={() => void seat(group.id).then(() => router.refresh())}>
      Seat {group.name}, {group.people}
    </Button>
  );
}
