'use client';
import { useState } from 'react';
import { putAt, type Clash } from '../../core/math/mergeChanges';
import type { FieldError } from '../../schemas/parse';
import { cupboardItem } from '../../schemas/place';
import { useOneAtATime } from '../touch/useOneAtATime';

/** What became of a form that may have been changed elsewhere meanwhile. */
export type Saved<T> =
  | { readonly kind: 'saved' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] }
  | { readonly kind: 'changed'; readonly theirs: T; readonly merged: T; readonly clashes: readonly Clash[] };

export type Said = 'nothing' | 'saved' | 'marked' | 'changed' | 'clashes-left' | 'no-answer';

const messages: Readonly<Record<Said, string>> = {
  nothing: '',
  saved: '',
  marked: 'Nothing was saved yet: the marked fields need another look.',
  changed: 'Not saved yet: say which is right.',
  'clashes-left': 'Say which is right, then save again.',
  'no-answer': 'The server did not answer. What you wrote is still here; save again.',
};

/** What is wrong, in a sentence; nothing where all is well. */
export const mergeMessage = (said: Said): string => messages[said];

/** A form that is saved against what it showed, so that what was changed on another device meanwhile stays. */
export function useMergedForm<T extends object>(
  start: T,
  save: (form: object, opened: object) => Promise<Saved<T>>,
  saved: () => void,
) {
  const [shown, setShown] = useState(start);
  const [opened, setOpened] = useState(start);
  const [faults, setFaults] = useState<readonly FieldError[]>([]);
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  const [said, setSaid] = useState<Said>('nothing');
  const [version, setVersion] = useState(0);
  const replace = (next: T) => {
    setShown(next);
    setVersion((v) => v + 1);
  };
  const submit = useOneAtATime(async () => {
    if (clashes.length > 0) {
      setSaid('clashes-left');
      return true;
    }
    const answer = await save(shown, opened).catch(() => null);
    setFaults(answer?.kind === 'rejected' ? answer.errors : []);
    switch (answer?.kind) {
      case 'saved':
        setOpened(shown);
        setSaid('saved');
        saved();
        return true;
      case 'rejected':
        setSaid('marked');
        return true;
      case 'changed':
        replace(answer.merged);
        setOpened(answer.theirs);
        setClashes(answer.clashes);
        setSaid('changed');
        return true;
      case undefined:
        setSaid('no-answer');
        return true;
    }
  });
  return {
    shown,
    /** Of boxes that keep what is typed to themselves: made anew when something else is put into the form. */
    version,
    replace,
    put: (more: object) => {
      setSaid('nothing');
      setShown((now) => ({ ...now, ...more }));
    },
    faultAt: (path: string) => faults.find((f) => f.path === path)?.message,
    said,
    clashes,
    settle: (clash: Clash, value: unknown) => {
      replace(putAt<T>(shown, clash.path, value, cupboardItem));
      setClashes((left) => left.filter((c) => c !== clash));
    },
    submit,
  };
}
