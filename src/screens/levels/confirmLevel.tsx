'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';

/** Says yes to the level; what it was decided by is kept with it. A fault is said here, where it happened. */
export function ConfirmLevelButton({ confirm }: { confirm: () => Promise<{ kind: string }> }) {
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState('');
  const router = useRouter();
  const press = useOneAtATime(async () => {
    setBusy(true);
    setFault('');
    const answer = await confirm().catch(() => null);
    setBusy(false);
    if (answer?.kind === 'confirmed') router.refresh();
    else setFault('The server did not take it. Nothing was changed; press again.');
    return true;
  });
  return (
    <>
      <Button hotkey="C" disabled={busy} onClick={press} className="min-w-56">
        Confirm this level
      </Button>
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </>
  );
}
