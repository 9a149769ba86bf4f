export interface Label {
  readonly x: number;
  readonly width: number;
}

export interface Placed {
  readonly left: number;
  readonly row: number;
}

/**
 * Puts labels beside each other by rule, never by luck: each is centred on its mark, pushed inside the drawing, and
 * takes the first row in which it touches nothing placed before it.
 * @returns left edge and row for each, in the order given
 */
export function packLabels(labels: readonly Label[], width: number, gap = 8): Placed[] {
  const rows: { readonly from: number; readonly to: number }[][] = [];
  return labels.map((label) => {
    const left = Math.max(0, Math.min(width - label.width, label.x - label.width / 2));
    const free = (row: number) =>
      (rows[row] ?? []).every((taken) => left + label.width + gap <= taken.from || left >= taken.to + gap);
    let row = 0;
    while (!free(row)) row++;
    (rows[row] ??= []).push({ from: left, to: left + label.width });
    return { left, row };
  });
}

/** Width of words in Atkinson Hyperlegible Next, a little generous, so that no measuring in the browser is needed. */
export const wordsWidth = (text: string, fontPx: number): number => text.length * fontPx * 0.56;

/**
 * Those of several labels on one line that touch none told before them.
 * @param first places in the list, those that matter most first
 */
export function apart<L extends Label>(labels: readonly L[], first: readonly number[], gap = 6): L[] {
  const kept: L[] = [];
  for (const label of first.flatMap((i) => labels[i] ?? []))
    if (kept.every((k) => Math.abs(k.x - label.x) >= (k.width + label.width) / 2 + gap)) kept.push(label);
  return kept.sort((a, b) => a.x - b.x);
}
