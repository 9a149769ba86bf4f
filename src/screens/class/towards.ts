import type { KeyboardCoordinateGetter } from '@dnd-kit/core';

interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const ways: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ...{ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] },
};

const middle = ({ left, top, width, height }: Box): readonly [number, number] => [left + width / 2, top + height / 2];

/**
 * The next place in the way of an arrow key: of all that lie more that way than aside the nearest, else the nearest that lies that way
 * at all. `null` where none does.
 */
export function towards<T extends Box>(from: Box, key: string, boxes: readonly T[]): T | null {
  const way = ways[key];
  if (!way) return null;
  const [x, y] = middle(from);
  const ahead = boxes
    .map((box) => {
      const [dx, dy] = [middle(box)[0] - x, middle(box)[1] - y];
      const [along, aside] = [dx * way[0] + dy * way[1], Math.abs(dx * way[1]) + Math.abs(dy * way[0])];
      return { box, along, aside };
    })
    .filter(({ along }) => along > 1)
    .sort(
      (a, b) =>
        Number(a.aside > a.along) - Number(b.aside > b.along) || a.along + 2 * a.aside - (b.along + 2 * b.aside),
    );
  return ahead[0]?.box ?? null;
}

/** Arrow keys carry what is picked up from place to place. */
export const placeByPlace: KeyboardCoordinateGetter = (event, { context }) => {
  const { collisionRect, droppableRects } = context;
  if (!(event.code in ways) || !collisionRect) return undefined;
  event.preventDefault();
  const next = towards(collisionRect, event.code, [...droppableRects.values()]);
  if (!next) return undefined;
  return {
    x: next.left + (next.width - collisionRect.width) / 2,
    y: next.top + (next.height - collisionRect.height) / 2,
  };
};
