import type { ReactNode } from 'react';

export const cited = (source: { cite: string; fromMemory: boolean }): string =>
  `${source.cite}${source.fromMemory ? ', from memory' : ''}`;

/** A figure, what it says, and where it comes from. */
export function Says({
  term,
  value,
  source,
  children,
}: {
  term: string;
  value: string;
  source: string;
  children: ReactNode;
}) {
  return (
    <div className="border-t-2 border-ink pt-1.5">
      <dt className="flex items-baseline justify-between gap-3 font-semibold">
        <span className="first-letter:uppercase">{term}</span>
        <span className="num text-lg font-bold whitespace-nowrap">{value}</span>
      </dt>
      <dd>{children}</dd>
      <dd className="text-sm text-ink-soft">{source}</dd>
    </div>
  );
}
