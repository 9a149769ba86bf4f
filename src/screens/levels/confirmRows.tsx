'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';

export type ConfirmOf = (
  personId: string,
  seen: readonly string[],
  keep: readonly never[],
) => Promise<{ readonly kind: string }>;

interface Row {
  readonly id: string;
  readonly name: string;
  /** The codes that stand on the screen: nothing else is confirmed. */
  readonly seen: readonly string[];
}

/** Says yes to what waits of one person or of all listed; whoever changed meanwhile is named, and left. */
export function ConfirmRows({
  rows,
  confirm,
  words,
  of,
}: {
  rows: readonly Row[];
  confirm: ConfirmOf;
  words: string;
  /** Whose, for who cannot see the row. */
  of?: string;
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState('');
  const press = useOneAtATime(async () => {
    setBusy(true);
    const left: string[] = [];
    for (const { id, name, seen } of rows) {
      const answer = await confirm(id, seen, []).catch(() => null);
      if (answer?.kind !== 'confirmed' && answer?.kind !== 'already') left.push(name);
    }
    setBusy(false);
    setFault(left.length === 0 ? '' : `Not confirmed, look again: ${left.join(', ')}.`);
    router.refresh();
    return true;
  });
  return (
    <>
      <Button {...(of === undefined ? {} : { look: 'line' as const })} disabled={busy} onClick={press}>
        {words}
        {of !== undefined && <span className="sr-only"> of {of}</span>}
      </Button>
      <span role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </span>
    </>
  );
}
