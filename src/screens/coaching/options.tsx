import type { ReactNode } from 'react';
import type { StyleCost, StyleEffort } from '../../core/load/styleCost';
import type { StyleOption } from '../../core/shapes/style';

/** One way to coach, as a key that is chosen. */
export function OptionKey({
  option,
  chosen,
  mark,
  cost,
  press,
}: {
  option: StyleOption;
  chosen: boolean;
  /** That it is proposed, or whose choice it is. */
  mark: string | null;
  /** What it costs this body. */
  cost: string | null;
  press: () => void;
}): ReactNode {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={press}
      className="flex w-full cursor-pointer flex-col items-start gap-1 rounded-md border-2 border-rule bg-board p-3 text-left aria-pressed:border-4 aria-pressed:border-ink"
    >
      <span className="flex w-full flex-wrap items-baseline gap-x-3">
        <b className="text-lg">{option.name}</b>
        {mark !== null && <span className="ml-auto text-sm font-semibold">{mark}</span>}
      </span>
      <span>{option.says}</span>
      <span className="text-sm">“{option.cue}”</span>
      {cost !== null && <span className="text-sm font-semibold">{cost}</span>}
    </button>
  );
}

const effortWords: Readonly<Record<StyleEffort, string>> = {
  less: 'less',
  'about-the-same': 'about the same',
  more: 'more',
};

/**
 * In one line what a style costs beside another: `Beside hips back: knee more, hip less, …`.
 * @param beside `null` of the one that the others stand beside: only whether the body has it is said
 */
export function costWords(cost: StyleCost | null, beside: string | null): string | null {
  if (!cost) return 'This body has no such posture at that height, nor one near it.';
  const parts = (['knee', 'hip', 'back'] as const).flatMap((joint) => {
    const effort = cost[joint];
    return effort === null ? [] : [`${joint} ${effortWords[effort]}`];
  });
  const nearest = cost.nearest === null ? '' : `Not as taught for this body; the nearest: ${cost.nearest}. `;
  if (beside === null) return nearest === '' ? null : nearest.trim();
  return `${nearest}Beside ${beside}: ${parts.join(', ')}, room at the ankle ${effortWords[cost.room]}.`;
}
