'use client';
import type { Group } from '../../core/shapes/person';
import type { PeopleDeed } from '../../core/shapes/register';
import { Button } from '../touch/button';
import { FootBar } from '../touch/footBar';

interface Props {
  /** Ids with names. */
  readonly chosen: ReadonlyMap<string, string>;
  readonly none: () => void;
  readonly done: Done | null;
  readonly close: () => void;
  readonly groups: readonly Group[];
  readonly archived: boolean;
  readonly run: (deed: PeopleDeed, words: string) => void;
}

/** What was done with several people, and how it is taken back. */
export interface Done {
  readonly words: string;
  readonly undo: (() => void) | null;
}

/** What may be done with those who are chosen; afterwards what was done, with its opposite. */
export function RegisterBar({ chosen, none, done, close, groups, archived, run }: Props) {
  const count = chosen.size === 1 ? ([...chosen.values()][0] ?? '') : `${chosen.size} people`;
  return (
    <div role="status">
      {(chosen.size > 0 || done) && (
        <FootBar>
          {chosen.size > 0 ? (
            <>
              <b className="mr-2" data-testid="chosen">
                {count} chosen
              </b>
              {archived ? (
                <Button onClick={() => run({ kind: 'restore' }, `${count} back in the register.`)}>
                  Back to the register
                </Button>
              ) : (
                <>
                  <Button onClick={() => run({ kind: 'sit-today' }, `${count} in today’s sitting.`)}>Sit today</Button>
                  {groups.map((g) => (
                    <Button
                      key={g.id}
                      look="line"
                      onClick={() => run({ kind: 'join', groupId: g.id }, `${count} in ${g.name}.`)}
                    >
                      {g.name}
                    </Button>
                  ))}
                  <Button look="line" onClick={() => run({ kind: 'archive' }, `${count} put aside; nothing is lost.`)}>
                    Put aside
                  </Button>
                </>
              )}
              <Button look="plain" onClick={() => none()}>
                None
              </Button>
            </>
          ) : (
            <>
              <span>{done?.words}</span>
              {done?.undo && (
                <Button look="line" onClick={done.undo}>
                  Undo
                </Button>
              )}
              <Button look="plain" onClick={() => close()}>
                Close
              </Button>
            </>
          )}
        </FootBar>
      )}
    </div>
  );
}
