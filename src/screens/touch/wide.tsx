import type { ReactNode } from 'react';

/** A table that is wider than a narrow screen: it is moved inside its own frame, by touch or by the arrow keys. */
export function Wide({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div role="region" aria-label={label} tabIndex={0} className="overflow-x-auto print:overflow-visible">
      {children}
    </div>
  );
}
