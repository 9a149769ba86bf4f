'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Pattern } from '../../core/shapes/facts';
import { Button } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { useKeeping } from './keeping';

interface Props {
  /**
   * @param seen the codes that stand on the screen: nothing else is confirmed
   * @param keep ladders on which the old level stays
   */
  readonly confirm: (seen: readonly string[], keep: readonly Pattern[]) => Promise<ConfirmAnswer>;
  readonly seen: readonly string[];
}

export type ConfirmAnswer =
  | { kind: 'confirmed'; codes: readonly string[] }
  | { kind: 'already'; at: string; codes: readonly string[] }
  | { kind: 'changed'; codes: readonly string[] }
  | { kind: 'not-found' };

/** Says yes to the levels that wait; what they were decided by is kept with them. A fault is said where it happened. */
export function ConfirmLevelsButton({ confirm, seen }: Props) {
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState('');
  const router = useRouter();
  const { kept } = useKeeping();
  const press = useOneAtATime(async () => {
    setBusy(true);
    setFault('');
    const answer = await confirm(seen, [...kept]).catch(() => null);
    setBusy(false);
    if (answer !== null && answer.kind !== 'not-found') router.refresh();
    setFault(wordsOf(answer));
    return true;
  });
  return (
    <>
      <Button hotkey="C" disabled={busy} onClick={press} className="min-w-52">
        {seen.length === 1 ? 'Confirm this level' : `Confirm ${seen.length} levels`}
      </Button>
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </>
  );
}

function wordsOf(answer: ConfirmAnswer | null): string {
  switch (answer?.kind) {
    case 'confirmed':
      return '';
    case 'already':
      return `Confirmed already at ${new Date(answer.at).toTimeString().slice(0, 5)}.`;
    case 'changed':
      return answer.codes.length === 0
        ? 'Something new was noted since: nothing waits for a yes now. Nothing was confirmed.'
        : 'Something new was noted since, and the levels changed: look at them again. Nothing was confirmed.';
    case 'not-found':
      return 'This person is no longer in the register.';
    case undefined:
      return 'The server did not answer. Press again; nothing is confirmed twice.';
  }
}
