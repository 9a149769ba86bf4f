'use client';
import { protocols, coreTests } from '../../catalogue/protocols';
import type { Protocol } from '../../core/shapes/protocol';
import { useState } from 'react';

const core = protocols.filter((p) => coreTests.includes(p.id));
const further = protocols.filter((p) => !coreTests.includes(p.id));

const staffWords: Readonly<Record<Protocol['station']['staff'], string>> = {
  counts: 'by anybody shown how to count it',
  spots: 'only by somebody who may spot',
  instructor: 'by the instructor',
};

/** Which test, and where it is run: the core five as keys, the others behind one more. */
export function ChooseTest({ protocol, choose }: { protocol: Protocol; choose: (protocol: Protocol) => void }) {
  const [open, setOpen] = useState(!core.includes(protocol));
  const { station } = protocol;
  return (
    <div role="group" aria-label="Which test">
      <div className="flex flex-wrap gap-2">
        {core.map((p) => (
          <TestKey key={p.id} protocol={p} on={p === protocol} choose={choose} />
        ))}
        <button
          type="button"
          aria-expanded={open}
          className="min-h-14 cursor-pointer rounded-md border-2 border-dashed border-ink px-4 font-semibold"
          onClick={() => setOpen(!open)}
        >
          {open ? 'Only the core five' : 'Other tests'}
        </button>
      </div>
      {open && (
        <div className="mt-2 flex flex-wrap gap-2">
          {further.map((p) => (
            <TestKey key={p.id} protocol={p} on={p === protocol} choose={choose} />
          ))}
        </div>
      )}
      <p className="mt-1.5">
        <b>{protocol.title}</b>: {staffWords[station.staff]}, {station.spotter};{' '}
        {station.lanes > 1 ? 'two at once, four with a second pair of eyes' : 'one at a time'}.
      </p>
    </div>
  );
}

function TestKey({ protocol, on, choose }: { protocol: Protocol; on: boolean; choose: (protocol: Protocol) => void }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      data-test={protocol.id}
      className="min-h-14 cursor-pointer rounded-md border-2 border-ink bg-board px-4 font-bold aria-pressed:bg-ink aria-pressed:text-board"
      onClick={() => choose(protocol)}
    >
      {protocol.short}
    </button>
  );
}
