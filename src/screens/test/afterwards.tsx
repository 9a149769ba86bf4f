'use client';
import { useState } from 'react';
import type { Fresh } from '../../core/shapes/attempt';
import type { CaptureKind, Protocol } from '../../core/shapes/protocol';
import { TextBox } from '../touch/field';
import type { RunNow } from './bench/useLanes';
import type { StationPerson } from './station';

/** What is asked once it is over, all left open: effort where the test asks for it, pain of sore joints, what was seen. */
export function Afterwards({
  run,
  protocol,
  person,
}: {
  run: RunNow;
  protocol: Protocol;
  person: StationPerson | undefined;
}) {
  const { trial } = run.lane;
  const [painAsked, askPain] = useState(false);
  const [note, setNote] = useState('');
  if (trial.state === 'to-repeat' || trial.fromPaper) return null;
  const mark = (fresh: Fresh) => run.press({ do: 'mark', mark: fresh }, 'touch');
  const sore = person?.record.entries.some((e) => e.content.kind === 'pain' && e.content.level > 0) === true;
  const said = run.lane.events.flatMap((e) => (e.kind === 'note' && e.by !== 'page' ? [e.text] : []));
  return (
    <div className="mt-4 border-t-2 border-rule pt-3" data-testid="afterwards">
      {protocol.asksEffort && (
        <Scale
          words="How hard was it, 0 to 10?"
          value={trial.marks.effort}
          choose={(value) => mark({ kind: 'effort', value })}
        />
      )}
      {sore || painAsked || trial.marks.pain !== null ? (
        <Scale
          words="Pain in it, 0 to 10?"
          value={trial.marks.pain}
          choose={(value) => mark({ kind: 'pain', value })}
        />
      ) : null}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {seenAfter[trial.kind].map((kind) => (
          <Seen
            key={kind}
            words={kind === 'caught' ? 'Caught' : 'Rested'}
            times={kind === 'caught' ? trial.marks.caught : trial.marks.rests}
            press={() => mark({ kind })}
          />
        ))}
        {!sore && !painAsked && trial.marks.pain === null && (
          <button
            type="button"
            className="min-h-12 cursor-pointer rounded-md border-2 border-dashed border-ink px-4 font-semibold"
            onClick={() => askPain(true)}
          >
            It hurt
          </button>
        )}
        <form
          className="flex min-w-0 flex-1 basis-64 items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (note.trim() === '') return;
            mark({ kind: 'note', text: note.trim() });
            setNote('');
          }}
        >
          <TextBox
            className="w-full min-w-0 flex-1"
            aria-label="Note"
            placeholder="Note"
            maxLength={300}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
          <button type="submit" className="min-h-12 cursor-pointer rounded-md border-2 border-ink px-4 font-bold">
            Keep
          </button>
        </form>
      </div>
      {said.length > 0 && <p className="mt-1">Noted: {said.join(' · ')}</p>}
    </div>
  );
}

/** What may be said to have been seen; of a reach being caught decides whether it counts, and is said on the way. */
const seenAfter: Readonly<Record<CaptureKind, readonly ('caught' | 'rest')[]>> = {
  count: ['caught', 'rest'],
  timed: ['caught', 'rest'],
  hold: ['caught'],
  staged: ['caught'],
  distance: [],
};

/** Eleven keys; another press puts another figure beside the first, and the newest stands. */
function Scale({ words, value, choose }: { words: string; value: number | null; choose: (value: number) => void }) {
  return (
    <div role="group" aria-label={words} className="mt-1">
      <p className="font-semibold">{words}</p>
      <div className="mt-1 grid max-w-2xl grid-cols-11 gap-1 max-sm:grid-cols-6">
        {Array.from({ length: 11 }, (_, n) => (
          <button
            key={n}
            type="button"
            aria-pressed={value === n}
            className="num min-h-12 min-w-11 cursor-pointer rounded-md border-2 border-ink bg-board text-lg font-bold aria-pressed:bg-ink aria-pressed:text-board"
            onClick={() => choose(n)}
          >
            {n}
          </button>
        ))}
      </div>
    </div>
  );
}

function Seen({ words, times, press }: { words: string; times: number; press: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={times > 0}
      className="min-h-12 cursor-pointer rounded-md border-2 border-ink bg-board px-4 font-semibold aria-pressed:border-4"
      onClick={press}
    >
      {words}
      {times > 1 && <span className="num"> {times}</span>}
    </button>
  );
}
