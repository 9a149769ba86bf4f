import type { PersonView } from '../../core/view/personView';
import { StillReadPage } from './stillRead';
import { ButtonLink } from '../touch/button';

export interface HallPage<V = PersonView> {
  /** Those on this page, in their order. */
  readonly people: readonly V[];
  readonly pages: PagesProps;
}

interface PagesProps {
  readonly path: string;
  /** From 1. */
  readonly page: number;
  readonly of: number;
  /** Whose line is still from before: the order may change once it is worked out. */
  readonly behind?: number;
}

/** Ways to the pages of a long list; nothing where there is one. */
export function Pages({ path, page, of, behind = 0 }: PagesProps) {
  const note = behind > 0 ? <StillReadPage behind={behind} /> : null;
  if (of <= 1) return note;
  const to = (n: number) => `${path}${path.includes('?') ? '&' : '?'}page=${n}`;
  return (
    <>
      {note}
      <nav aria-label="Pages" className="mt-5 flex items-center gap-4">
        {page > 1 && (
          <ButtonLink look="line" href={to(page - 1)}>
            Earlier
          </ButtonLink>
        )}
        <span className="num">
          {page} of {of}
        </span>
        {page < of && (
          <ButtonLink look="line" href={to(page + 1)}>
            Further
          </ButtonLink>
        )}
      </nav>
    </>
  );
}
