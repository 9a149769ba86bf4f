'use client';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { OwnExercise } from '../../core/shapes/own';
import { lookOf } from '../drawing/patterns';
import { Button, ButtonLink } from '../touch/button';
import { useOneAtATime } from '../touch/useOneAtATime';
import { BackLink } from '../touch/backLink';

type Errors = readonly { readonly path: string; readonly message: string }[];

interface Props {
  readonly all: readonly OwnExercise[];
  readonly putAside: (id: string, aside: boolean) => Promise<{ readonly kind: string }>;
  readonly takeIn: (
    file: object,
  ) => Promise<
    | { readonly kind: 'taken'; readonly added: number; readonly changed: number; readonly known: number }
    | { readonly kind: 'invalid'; readonly errors: Errors }
  >;
}

/** The movements of the hall's own: written, changed, put aside, taken elsewhere and taken in. */
export function OwnList({ all, putAside, takeIn }: Props) {
  const router = useRouter();
  const file = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<{ readonly words: string; readonly faults: Errors }>({ words: '', faults: [] });
  const read = useOneAtATime(async (chosen: File) => {
    const json = await chosen.text().then(readJson);
    const answer = json === null ? null : await takeIn(json).catch(() => undefined);
    if (answer === null) setSaid({ words: `${chosen.name} is no JSON file. Nothing was taken in.`, faults: [] });
    else if (answer === undefined) setSaid({ words: 'The server did not answer. Choose the file again.', faults: [] });
    else if (answer.kind === 'invalid') setSaid({ words: 'Nothing was taken in:', faults: answer.errors });
    else
      setSaid({
        words: `Taken in: ${answer.added} new, ${answer.changed} changed, ${answer.known} as they were.`,
        faults: [],
      });
    router.refresh();
    return true;
  });
  const put = useOneAtATime(async ({ id, aside }: { id: string; aside: boolean }) => {
    const answer = await putAside(id, aside).catch(() => null);
    setSaid({ words: answer?.kind === 'saved' ? '' : 'That was not kept. Press again.', faults: [] });
    router.refresh();
    return true;
  });
  return (
    <div className="pt-3">
      <p>
        <BackLink href="/library">Library</BackLink>
      </p>
      <h1 className="text-2xl font-extrabold">Exercises of our own</h1>
      <p className="mt-1">
        In the set or beside a rung; judged by the same rules, and never closed less strictly than what they are asks.
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <ButtonLink href="/library/exercises/new">Write a new one</ButtonLink>
        <Button look="line" onClick={() => file.current?.click()}>
          Take in a file
        </Button>
        {all.length > 0 && (
          <a
            href="/api/v1/exercises"
            download="own-exercises.json"
            className="inline-flex min-h-12 items-center rounded-md border-2 border-ink bg-board px-5 font-bold"
          >
            Give them out as a file
          </a>
        )}
        <input
          ref={file}
          type="file"
          accept="application/json,.json"
          aria-label="A file of exercises"
          className="sr-only"
          tabIndex={-1}
          onChange={(e) => {
            const [chosen] = e.target.files ?? [];
            e.target.value = '';
            if (chosen) read(chosen);
          }}
        />
      </div>
      <div role="status" data-testid="taken-in" className="mt-2 font-semibold">
        {said.words}
        {said.faults.length > 0 && (
          <ul className="list-disc pl-5 font-normal text-stop">
            {said.faults.map((f) => (
              <li key={f.path + f.message}>
                <span className="num">{f.path}</span>: {f.message}
              </li>
            ))}
          </ul>
        )}
      </div>
      {all.length === 0 && <p className="mt-4 text-lg">None yet.</p>}
      <ul className="mt-3 divide-y divide-rule">
        {all.map((own) => (
          <li key={own.id} className="flex flex-wrap items-center gap-x-5 gap-y-2 py-2.5">
            <span className={`num w-12 text-2xl font-extrabold ${lookOf(own.pattern).words}`}>
              {own.pattern}
              {own.beside ?? ''}
            </span>
            <span className="min-w-0 flex-1 basis-60">
              <b className="text-lg">{own.name}</b>
              {own.aside && ' (put aside)'}
              <span className="block">{own.does}</span>
            </span>
            <ButtonLink look="line" href={`/library/exercises/${own.id}`}>
              Change<span className="sr-only"> {own.name}</span>
            </ButtonLink>
            <Button look="line" onClick={() => put({ id: own.id, aside: !own.aside })}>
              {own.aside ? 'Take up again' : 'Put aside'}
              <span className="sr-only"> {own.name}</span>
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}

function readJson(words: string): object | null {
  try {
    const json: unknown = JSON.parse(words);
    return typeof json === 'object' ? json : null;
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}
