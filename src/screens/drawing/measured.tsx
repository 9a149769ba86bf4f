'use client';
import { useCallback, useState, type ReactNode } from 'react';

interface Props {
  /** Width it is drawn at until the screen has told how much there is, in CSS pixels. */
  readonly start: number;
  readonly className?: string;
  readonly children: (width: number) => ReactNode;
}

/**
 * A drawing laid out for the width it has, never scaled: its words stay as large as they are said to be, and where
 * there is less room it says less or takes another row.
 */
export function Measured({ start, className, children }: Props) {
  const [width, setWidth] = useState(start);
  const measure = useCallback((box: HTMLDivElement | null) => {
    if (!box) return undefined;
    // Of what is not shown nothing can be measured: it stays as it was.
    const put = () => setWidth((before) => Math.floor(box.clientWidth) || before);
    const watch = new ResizeObserver(put);
    watch.observe(box);
    put();
    return () => watch.disconnect();
  }, []);
  return (
    <div ref={measure} className={className}>
      {children(width)}
    </div>
  );
}
