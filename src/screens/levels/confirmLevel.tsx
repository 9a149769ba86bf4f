'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';

interface Props {
  readonly confirm: () => Promise<{ kind: string }>;
  readonly many: number;
}

/** Says yes to the levels that wait; what they were decided by is kept with them. A fault is said where it happened. */
export function ConfirmLevelsButton({ confirm, many }: Props) {
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
        {many === 1 ? 'Confirm this level' : `Confirm ${many} levels`}
      </Button>
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </>
  );
}
