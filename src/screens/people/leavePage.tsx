'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, ButtonLink } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { TextField } from '../touch/field';

interface Props {
  readonly personId: string;
  readonly name: string;
  readonly archived: boolean;
  readonly setAside: (aside: boolean) => Promise<object>;
  readonly erase: (typedName: string) => Promise<{ kind: string }>;
}

/** Putting somebody aside, which loses nothing; or erasing them, which leaves nothing. */
export function LeaveScreen({ personId, name, archived, setAside, erase }: Props) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState('');
  const [asideFault, setAsideFault] = useState('');
  const [soon, setSoon] = useState(false);
  const aside = useOneAtATime(async () => {
    const done = await setAside(!archived).then(
      () => true,
      () => false,
    );
    if (done) router.push(archived ? `/people/${personId}` : '/people');
    else setAsideFault('The server did not answer; nothing was changed. Try again.');
    return !done;
  });
  const gone = useOneAtATime(async () => {
    const answer = await erase(typed).catch(() => null);
    if (answer?.kind === 'erased') {
      window.location.assign('/people');
      return false;
    }
    if (answer?.kind === 'erased-soon') {
      setSoon(true);
      return false;
    }
    setFault(
      answer?.kind === 'name-differs'
        ? `This is not the name: write “${name}”. Nothing was erased.`
        : 'The server did not answer. Nothing was erased; try again.',
    );
    return true;
  });
  if (soon)
    return (
      <div role="status" className="mt-5 max-w-2xl border-l-8 border-watch bg-board p-4">
        <p className="text-lg font-bold">{name} is out of the register.</p>
        <p className="mt-2">
          Another program still reads the register file, so the last bytes are overwritten as soon as it lets go, at the
          latest when Ready Stool is stopped or started. Nothing more is to be done.
        </p>
        <ButtonLink href="/people" hard className="mt-3">
          To the register
        </ButtonLink>
      </div>
    );
  return (
    <div className="mt-5 grid gap-10 *:min-w-0 lg:grid-cols-2">
      <section aria-labelledby="aside">
        <h2 id="aside" className="border-b-2 border-ink pb-1 text-lg font-bold">
          {archived ? 'Back to the register' : 'Put aside'}
        </h2>
        <p className="mt-2">
          {archived
            ? `${name} is put aside: in no list, in no search. Everything noted is still there.`
            : 'For somebody who comes no more. They leave all lists; everything noted stays, and they can come back.'}
        </p>
        <Button className="mt-3 min-w-52" onClick={() => aside()}>
          {archived ? 'Back to the register' : 'Put aside'}
        </Button>
        <p role="alert" className="min-h-6 text-sm font-semibold text-stop">
          {asideFault}
        </p>
      </section>
      <section aria-labelledby="erase" className="border-l-8 border-stop bg-board p-4">
        <h2 id="erase" className="text-lg font-bold">
          Erase for good
        </h2>
        <p className="mt-2">
          When {name} asks for it. Intake, answers, tests, levels and notes are taken out of the register file and
          overwritten. It cannot be undone. The daily copies beside the register hold them for five weeks more at most;
          copies made by hand and printed pages are yours to destroy.
        </p>
        <TextField
          className="w-72 max-w-full"
          fieldClass="mt-3 min-h-[92px]"
          label="Write the name, to be sure"
          name="typed-name"
          fault={fault === '' ? undefined : fault}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button look="line" disabled={typed.trim() === ''} onClick={() => gone()}>
          Erase {name}
        </Button>
      </section>
      <ButtonLink look="plain" href={`/people/${personId}`} className="justify-self-start">
        Leave everything as it is
      </ButtonLink>
    </div>
  );
}
