import type { Clash } from '../../core/math/mergeChanges';
import { Button } from './button';

interface Props {
  readonly clashes: readonly Clash[];
  /** What it is about, such as “Height”. */
  readonly title: (path: readonly string[]) => string;
  readonly words: (value: unknown, path: readonly string[]) => string;
  readonly settle: (clash: Clash, value: unknown) => void;
}

/** What two devices changed in different ways: both are shown, neither is preset, a tap says which is right. */
export function Clashes({ clashes, title, words, settle }: Props) {
  if (clashes.length === 0) return null;
  return (
    <section role="alert" className="mt-3 border-l-8 border-watch bg-board p-3" data-testid="clashes">
      <p>
        <b>Changed on another device since this form was opened.</b> Nothing is lost; say which is right, then save
        again.
      </p>
      <ul>
        {clashes.map((clash) => (
          <li key={clash.path.join('/')} className="flex flex-wrap items-center gap-3 border-t border-rule py-2">
            <b className="min-w-40 first-letter:uppercase">{title(clash.path)}</b>
            <Button look="line" onClick={() => settle(clash, clash.mine)}>
              here: {words(clash.mine, clash.path)}
            </Button>
            <Button look="line" onClick={() => settle(clash, clash.theirs)}>
              there: {words(clash.theirs, clash.path)}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
