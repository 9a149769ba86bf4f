import type { ReactNode } from 'react';

/** The head of a part of a page, which the part is named by. */
export function Heading({ id, children }: { id: string; children: ReactNode }) {
  return (
    <h2 id={id} className="border-b-2 border-ink pb-1 text-lg font-bold">
      {children}
    </h2>
  );
}
