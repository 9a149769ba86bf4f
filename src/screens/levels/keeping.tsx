'use client';
import { createContext, useContext, useState, type ReactNode } from 'react';
import type { Pattern } from '../../core/shapes/facts';
import { lookOf } from '../drawing/patterns';
import { TickBox } from '../touch/field';

/** A level that waits for a yes, beside the one before it. */
export interface Line {
  readonly pattern: Pattern;
  readonly title: string;
  /** The code in force; `null` where there is none. */
  readonly was: string | null;
  readonly becomes: string;
  /** Why the old one may not be trained on any more; empty where it may. */
  readonly over: readonly string[];
}

interface Keeping {
  readonly kept: ReadonlySet<Pattern>;
  readonly keep: (pattern: Pattern, yes: boolean) => void;
}
const KeepingContext = createContext<Keeping>({ kept: new Set(), keep: () => undefined });

const none: ReadonlySet<Pattern> = new Set();

/**
 * Which old levels stay when the others are confirmed, for the lines and the yes alike.
 * @param waiting the codes that wait: where they are others, nothing was chosen yet
 */
export function KeepingLevels({ waiting, children }: { waiting: string; children: ReactNode }) {
  const [chosen, setChosen] = useState({ waiting, kept: none });
  const kept = chosen.waiting === waiting ? chosen.kept : none;
  const keep = (pattern: Pattern, yes: boolean) =>
    setChosen({ waiting, kept: new Set([...[...kept].filter((p) => p !== pattern), ...(yes ? [pattern] : [])]) });
  return <KeepingContext value={{ kept, keep }}>{children}</KeepingContext>;
}

export const useKeeping = (): Keeping => useContext(KeepingContext);

/**
 * What the yes signs, a ladder under its bay: the level before, the one it becomes, and whether the old one is kept.
 * @param ladders in the order of the bays, as only those that wait have a line
 */
export function Lines({ lines }: { lines: readonly Line[] }) {
  const { kept, keep } = useKeeping();
  if (lines.length === 0) return null;
  return (
    <ul aria-label="What the yes confirms" className="divide-y divide-rule">
      {lines.map(({ pattern, title, was, becomes, over }) => {
        const stays = kept.has(pattern);
        return (
          <li key={pattern} className="flex flex-wrap items-center gap-x-4 px-1" data-testid="becomes">
            <b className={`w-16 ${lookOf(pattern).words}`}>{title}</b>
            <span className="num text-sm leading-8">
              {was !== null && was !== becomes && (
                <>
                  <span className="sr-only">was </span>
                  <span className={stays ? 'font-bold' : ''}>{was}</span>
                  <span aria-hidden> → </span>
                  <span className="sr-only">, becomes </span>
                </>
              )}
              <span className={stays ? 'text-ink-soft line-through' : 'font-bold'}>{becomes}</span>
            </span>
            {was !== null && was !== becomes && over.length === 0 && (
              <label className="flex min-h-11 cursor-pointer items-center gap-2">
                <TickBox checked={stays} onChange={(e) => keep(pattern, e.target.checked)} />
                Keep the old one<span className="sr-only"> on {title}</span>
              </label>
            )}
            {over.length > 0 && <span className="text-sm leading-5">The old one asks too much: {over.join('; ')}</span>}
          </li>
        );
      })}
    </ul>
  );
}
