import type { ClassPlan } from '../../core/train/plan';
import { isVariant } from '../../core/train/variant';
import { Button } from '../touch/button';

/** All movements of the class, the easiest way of each first, before it starts. */
export function Preview({ plan, close }: { plan: ClassPlan; close: () => void }) {
  const blocks = plan.laid.filter((b) => b.parts);
  return (
    <div
      className="fixed inset-0 z-30 overflow-y-auto bg-floor p-5"
      role="dialog"
      aria-modal
      aria-label="All movements"
    >
      <Button autoFocus onClick={close}>
        Back to the class
      </Button>
      <ol className="mt-4 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {blocks.map((b) => (
          <li key={b.id} className="border-t-4 border-ink pt-2">
            <h2 className="text-2xl font-extrabold">{b.title}</h2>
            <ul className="text-xl">
              {[...new Set(variantNames(plan, b.id))].map((name) => (
                <li key={name}>{name}</li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </div>
  );
}

const variantNames = (plan: ClassPlan, block: string): string[] =>
  (plan.doing.find((d) => d.block === block)?.parts ?? []).flatMap((part) =>
    part
      .filter(isVariant)
      .sort((a, b) => a.shelf.localeCompare(b.shelf) || a.rung - b.rung)
      .map((v) => v.name),
  );
