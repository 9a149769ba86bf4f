'use client';
import { useCallback, useMemo, useRef, useState } from 'react';
import type { KeptPlace, PlaceId, PlaceMove } from '../../core/shapes/hallPlace';
import type { PersonId } from '../../core/shapes/person';
import { layFloor, movedTo, placeFaults } from '../../core/train/seats/floor';
import type { SetUp } from '../../core/train/seats/setUp';

export type Keep = (moves: {
  readonly moves: readonly PlaceMove[];
}) => Promise<{ kind: 'kept' } | { kind: 'rejected'; message: string }>;

type Said = Awaited<ReturnType<Keep>>;

/** Why something is not kept: nobody answered, or what was asked cannot be kept any more, and the page is out of date. */
export interface PlaceKeepFault {
  readonly words: string;
  readonly isRefused: boolean;
}

const faultOf = (said: Said | null): PlaceKeepFault | null => {
  if (said === null) return { words: 'Not kept yet: the server did not answer.', isRefused: false };
  return said.kind === 'rejected' ? { words: `Not kept: ${said.message}`, isRefused: true } : null;
};

/** What changed from one list of kept places to another. */
export function movesBetween(before: readonly KeptPlace[], after: readonly KeptPlace[]): PlaceMove[] {
  const at = (all: readonly KeptPlace[], id: PersonId) => all.find((k) => k.personId === id)?.at ?? null;
  const everybody = [...new Set([...before, ...after].map((k) => k.personId))];
  return everybody.flatMap((personId) =>
    at(before, personId) === at(after, personId) ? [] : [{ personId, at: at(after, personId) }],
  );
}

/**
 * The floor as it is moved about: each move shows at once and is kept behind it, one after the other. What could not be kept
 * stays on the screen and is sent with the next, or again.
 */
export function usePlaces(
  { toPlace, floorStock, spotted }: Pick<SetUp, 'toPlace' | 'floorStock' | 'spotted'>,
  opened: readonly KeptPlace[],
  keep: Keep,
) {
  const [kept, setKept] = useState(opened);
  const [fault, setFault] = useState<PlaceKeepFault | null>(null);
  const [isKept, setIsKept] = useState(false);
  const waiting = useRef(new Map<PersonId, PlaceId | null>());
  const sending = useRef(false);
  const floor = useMemo(() => layFloor(toPlace, floorStock, kept), [toPlace, floorStock, kept]);
  const faults = useMemo(() => placeFaults(floor, toPlace, spotted), [floor, toPlace, spotted]);
  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    while (waiting.current.size > 0) {
      const sent = [...waiting.current];
      const said = await keep({ moves: sent.map(([personId, at]) => ({ personId, at })) }).catch(() => null);
      setFault(faultOf(said));
      if (said?.kind !== 'kept') break;
      // Whoever was moved on in the meantime is sent again.
      for (const [id, at] of sent) if (waiting.current.get(id) === at) waiting.current.delete(id);
    }
    sending.current = false;
    setIsKept(waiting.current.size === 0);
  }, [keep]);
  const change = (after: readonly KeptPlace[]) => {
    for (const { personId, at } of movesBetween(kept, after)) waiting.current.set(personId, at);
    setKept(after);
    setIsKept(false);
    void send();
  };
  return {
    ...{ floor, faults, kept, fault, isKept, again: send },
    move: (personId: PersonId, to: PlaceId) => change(movedTo(floor, kept, personId, to)),
    letGo: (ids: readonly PersonId[]) => change(kept.filter((k) => !ids.includes(k.personId))),
  };
}
