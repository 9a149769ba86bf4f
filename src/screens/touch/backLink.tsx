import Link from 'next/link';
import type { ReactNode } from 'react';

/** The way back to what a page belongs to, above its heading. */
export function BackLink({ href, children }: { href: string; children: ReactNode }) {
  return (
    <Link href={href} className="inline-flex min-h-11 items-center text-squat underline underline-offset-4">
      {children}
    </Link>
  );
}

/** Pages that say the same otherwise, the one shown in bold. */
export function Ways({ ways }: { ways: readonly (readonly [words: string, href: string, on: boolean])[] }) {
  return ways.map(([words, href, on]) => (
    <Link
      key={href}
      href={href}
      aria-current={on ? 'page' : undefined}
      className={`flex min-h-11 items-center ${on ? 'font-bold' : 'text-squat underline underline-offset-4'}`}
    >
      {words}
    </Link>
  ));
}
