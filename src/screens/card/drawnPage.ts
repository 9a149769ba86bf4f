/** Writes a thing as XML text. */
const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

/**
 * One side of paper as it stands on the screen, as one SVG file: its drawings, its rules and its words, line by line, each
 * where the browser put it.
 * @param sheet drawn on the page @returns an SVG file that needs nothing else
 */
export function drawnPage(sheet: HTMLElement): string {
  const page = sheet.getBoundingClientRect();
  const at = (x: number, y: number) => `x="${(x - page.left).toFixed(1)}" y="${(y - page.top).toFixed(1)}"`;
  const parts: string[] = [];
  const walk = document.createTreeWalker(sheet, NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode()) {
    const parent = node.parentElement;
    if (!parent || parent.closest('svg') || parent.closest('.sr-only')) continue;
    const { fontSize, fontWeight, fontFamily, color } = getComputedStyle(parent);
    for (const { words, box } of linesOf(node))
      parts.push(
        `<text ${at(box.left, box.bottom - 0.24 * box.height)} font-size="${fontSize}" font-weight="${fontWeight}" ` +
          `font-family="${escaped(fontFamily)}" fill="${color}">${escaped(words)}</text>`,
      );
  }
  for (const drawing of sheet.querySelectorAll('svg')) {
    const box = drawing.getBoundingClientRect();
    const inside = new XMLSerializer()
      .serializeToString(drawing)
      .replace(/^<svg[^>]*>/, '')
      .replace(/<\/svg>$/, '');
    parts.push(
      `<svg ${at(box.left, box.top)} width="${box.width}" height="${box.height}" viewBox="${drawing.getAttribute('viewBox') ?? ''}">${inside}</svg>`,
    );
  }
  const root = getComputedStyle(document.documentElement);
  const used = [...new Set(parts.join('').match(/--color-[a-z-]+/g) ?? [])];
  const colours = used.map((name) => `${name}:${root.getPropertyValue(name)}`).join(';');
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${page.width}" height="${page.height}" ` +
    `viewBox="0 0 ${page.width} ${page.height}" style="${escaped(colours)}"><rect width="100%" height="100%" fill="white"/>${parts.join('')}</svg>`
  );
}

/** The words of a text, line by line as they were broken, each with its box. */
function linesOf(node: Node): { words: string; box: DOMRect }[] {
  const text = node.textContent ?? '';
  const lines: { words: string; box: DOMRect }[] = [];
  const range = document.createRange();
  for (const match of text.matchAll(/\S+\s*/g)) {
    range.setStart(node, match.index);
    range.setEnd(node, match.index + match[0].trimEnd().length);
    const box = range.getBoundingClientRect();
    const last = lines.at(-1);
    if (last && Math.abs(last.box.top - box.top) < 2) last.words += match[0];
    else lines.push({ words: match[0], box });
  }
  return lines.map(({ words, box }) => ({ words: words.trimEnd(), box }));
}
