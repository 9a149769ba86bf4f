'use client';
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ComponentProps } from 'react';

/** The places that are built, in the order of the work; the hall itself last. */
const places = [
  ['Today', '/'],
  ['People', '/people'],
  ['Test', '/test'],
  ['Scores', '/scores'],
  ['Levels', '/levels'],
  ['Class', '/class'],
  ['Retest', '/retest'],
  ['Library', '/library'],
  ['Hall', '/hall'],
] as const;

/** A page of one person lies in the place of its step. */
function placeOf(path: string): string {
  const step = /^\/people\/[^/]+\/(scores|levels|retest|report)(?:\/|$)/.exec(path)?.[1];
  const first = `/${(step === 'report' ? 'scores' : step) ?? path.split('/')[1] ?? ''}`;
  return places.some(([, href]) => href === first) ? first : '';
}

type Props = ComponentProps<'a'> & { readonly href: string; readonly here: boolean };

/** The station page lives on without a server once it is open, so it is entered with a whole page. */
function Way({ href, here, children, ...rest }: Props) {
  const current = here ? 'page' : undefined;
  return href === '/test' ? (
    <a {...rest} href={href} aria-current={current}>
      {children}
    </a>
  ) : (
    <Link {...rest} href={href} aria-current={current}>
      {children}
    </Link>
  );
}

/** All places in one line, where there is room for it. */
export function Places() {
  const active = placeOf(usePathname());
  return (
    <nav aria-label="Places" className="order-3 flex flex-wrap items-end max-lg:w-full max-md:hidden lg:order-2">
      {places.map(([name, href]) => {
        const here = href === active;
        return (
          <Way
            key={href}
            href={href}
            here={here}
            className={`relative flex min-h-11 items-center px-2 pb-1 ${here ? 'font-extrabold' : 'font-medium'}`}
          >
            {name}
            {here && (
              <span
                aria-hidden
                className="absolute -bottom-1 left-1/2 h-3 w-11 -translate-x-1/2 rounded-t-full border-4 border-b-0 border-ink bg-floor"
              />
            )}
          </Way>
        );
      })}
    </nav>
  );
}

/** The places as a list that unfolds: on a phone, and at twice the size. */
export function PlacesMenu() {
  const active = placeOf(usePathname());
  const name = places.find(([, href]) => href === active)?.[0] ?? 'Places';
  return (
    <Menu>
      <MenuButton className="flex min-h-11 min-w-0 cursor-pointer items-center gap-1 rounded-md px-2 text-lg font-extrabold md:hidden">
        {name} <ChevronDown aria-hidden className="size-5 shrink-0" />
      </MenuButton>
      <MenuItems
        data-fixed
        className="absolute inset-x-0 top-full z-20 border-4 border-t-0 border-ink bg-board md:hidden"
      >
        {places.map(([words, href]) => (
          <MenuItem key={href}>
            <Way
              href={href}
              here={href === active}
              className={`flex min-h-12 items-center border-b border-rule px-5 data-focus:bg-wood-pale ${href === active ? 'font-extrabold' : 'font-semibold'}`}
            >
              {words}
            </Way>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
