import { clashesIn } from '../../core/train/clash';
import { lineWords } from './lineWords';
import type { ClassPlan } from '../../core/train/plan';
import type { ClassLogContent, WrittenLine } from '../../core/shapes/classLog';
import { standing } from '../../core/train/log';
import { Button } from '../touch/button';

/** On the tablet of one who helps: whose people these are. */
export function Given({ name, none }: { name: string; none: boolean }) {
  return (
    <p className="mt-3 text-xl font-bold" data-testid="given">
      {none ? `Nobody was given to ${name} yet: who leads taps a name and “With ${name}”.` : `With ${name}`}
    </p>
  );
}

/** What two tablets say of one person that does not go together: asked of who leads, and never decided by itself. */
export function Clashes({
  plan,
  lines,
  note,
}: {
  plan: ClassPlan;
  lines: readonly WrittenLine[];
  note: (content: ClassLogContent, personId?: string | null) => void;
}) {
  const [first] = clashesIn(lines);
  if (!first) return null;
  const [a, b] = first.lines;
  const strike = (l: WrittenLine) =>
    note({ kind: 'strike', writer: l.writer, ofSeq: l.seq, reason: 'the other tablet was right' });
  return (
    <section aria-label="Two tablets differ" className="mt-3 border-4 border-lunge bg-board p-3" data-testid="clash">
      <p className="text-lg">
        <b>{plan.who.find((w) => w.id === first.personId)?.short}</b>: one tablet says <b>{lineWords(a)}</b>, another{' '}
        <b>{lineWords(b)}</b>.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button look="line" onClick={() => strike(b)}>
          Only: {lineWords(a)}
        </Button>
        <Button look="line" onClick={() => strike(a)}>
          Only: {lineWords(b)}
        </Button>
        <Button
          look="line"
          onClick={() =>
            note({ kind: 'both', writer: a.writer, ofSeq: a.seq, other: b.writer, otherSeq: b.seq }, first.personId)
          }
        >
          Both are right
        </Button>
      </div>
    </section>
  );
}

/** What this page noted last, and the way back from it. */
export function Last({
  lines,
  writer,
  plan,
  note,
}: {
  lines: readonly WrittenLine[];
  writer: string;
  plan: ClassPlan;
  note: (content: ClassLogContent) => void;
}) {
  const last = standing(lines)
    .filter((l) => l.writer === writer && lineWords(l) !== null)
    .at(-1);
  if (!last) return null;
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3 text-lg" data-testid="last-line">
      <span>
        <b>{plan.who.find((w) => w.id === last.personId)?.short}</b>: {lineWords(last)}
      </span>
      <Button
        look="line"
        onClick={() => note({ kind: 'strike', writer, ofSeq: last.seq, reason: 'tapped by mistake' })}
      >
        Take back
      </Button>
    </p>
  );
}
