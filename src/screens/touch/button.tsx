import Link from 'next/link';
import type { ButtonHTMLAttributes, ReactNode } from 'react';

type Look = 'main' | 'line' | 'plain';

const looks: Readonly<Record<Look, string>> = {
  main: 'bg-ink text-board border-2 border-ink',
  line: 'bg-board text-ink border-2 border-ink',
  plain: 'text-squat underline underline-offset-4 px-2!',
};
const shape =
  'inline-flex min-h-12 max-w-full cursor-pointer items-center justify-center gap-3 rounded-md px-5 font-bold sm:whitespace-nowrap disabled:cursor-not-allowed disabled:opacity-60';

/** A key as it stands on the keyboard, beside what it does; drawn only where there are keys. */
export function Key({ children, always = false }: { children: ReactNode; always?: boolean }) {
  return (
    <kbd
      className={`num rounded border-[1.5px] border-current px-1.5 text-sm font-semibold ${always ? '' : 'hidden keys:inline-block'}`}
    >
      {children}
    </kbd>
  );
}

interface Common {
  readonly look?: Look;
  readonly hotkey?: string;
  readonly children: ReactNode;
}

export function Button({
  look = 'main',
  hotkey,
  children,
  className = '',
  ...rest
}: Common & ButtonHTMLAttributes<HTMLButtonElement>) {
  return (
    <button type="button" data-hotkey={hotkey} {...rest} className={`${shape} ${looks[look]} ${className}`}>
      {children}
      {hotkey && <Key>{hotkey}</Key>}
    </button>
  );
}

/** A way to another screen that looks like a button. `hard` leaves the page for good instead of swapping its inside. */
export function ButtonLink({
  look = 'main',
  hotkey,
  children,
  href,
  hard = false,
  className = '',
}: Common & { href: string; hard?: boolean; className?: string }) {
  const inside = (
    <>
      {children}
      {hotkey && <Key>{hotkey}</Key>}
    </>
  );
  const classes = `${shape} ${looks[look]} ${className}`;
  return hard ? (
    <a href={href} className={classes} data-hotkey={hotkey}>
      {inside}
    </a>
  ) : (
    <Link href={href} className={classes} data-hotkey={hotkey}>
      {inside}
    </Link>
  );
}
