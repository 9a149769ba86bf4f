import { eyesFor, type EyeReason } from '../../core/train/eyes';
import type { Variant } from '../../core/train/variant';
import type { ClassPlan } from '../../core/train/plan';
import type { ClassLogContent, WrittenLine } from '../../core/shapes/classLog';
import { standing } from '../../core/train/log';

const eyeWords: Readonly<Record<EyeReason, string>> = {
  second: 'second clean one due',
  new: 'new on it',
  long: 'not looked at for three classes',
};

/** Four people worth a look in this block; one tap says they were seen clean. */
export function Eyes({
  plan,
  pattern,
  there,
  lines,
  note,
}: {
  plan: ClassPlan;
  pattern: Variant['pattern'];
  there: ReadonlySet<string>;
  lines: readonly WrittenLine[];
  note: (content: ClassLogContent, personId: string) => void;
}) {
  const seen = new Set(
    standing(lines).flatMap((l) =>
      l.content.kind === 'seen' && l.content.pattern === pattern && l.personId ? [l.personId] : [],
    ),
  );
  const eyes = eyesFor(
    plan.eyes.filter((e) => there.has(e.personId)),
    pattern,
    seen,
  );
  if (eyes.length === 0) return null;
  return (
    <section aria-labelledby="eyes" className="mt-3">
      <h2 id="eyes" className="text-lg font-bold">
        Look at these, and tap who was clean
      </h2>
      <ul className="mt-1 grid grid-cols-2 gap-2 lg:grid-cols-4" data-testid="eyes">
        {eyes.map((e) => (
          <li key={e.personId}>
            <button
              type="button"
              className="min-h-20 w-full cursor-pointer rounded-md border-2 border-ink bg-board px-3 text-left text-xl leading-tight font-bold"
              onClick={() => note({ kind: 'seen', pattern }, e.personId)}
            >
              {plan.who.find((w) => w.id === e.personId)?.short}
              <span className="block text-sm font-medium">{eyeWords[e.why]}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
