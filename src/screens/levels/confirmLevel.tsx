'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';

/** Says yes to the level; what it was decided by is kept with it. */
export function ConfirmLevelButton({ code, confirm }: { code: string; confirm: () => Promise<{ kind: string }> }) {
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const press = useOneAtATime(async () => {
    setBusy(true);
    const answer = await confirm().catch(() => null);
    setBusy(false);
    if (answer?.kind === 'confirmed') {
      toast(`Level ${code} confirmed`);
      router.refresh();
    } else toast('The server did not take it. Nothing was changed; press again.');
    return true;
  });
  return (
    <Button hotkey="C" disabled={busy} onClick={press} className="min-w-56">
      Confirm this level
    </Button>
  );
}
