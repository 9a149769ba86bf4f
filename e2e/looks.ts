import type { Page } from 'puppeteer-core';

/** The screens every view is looked at on: a desk, a tablet upright, a phone, 200 % of a desk, the narrowest there is. */
export const sizes = [
  [1280, 800],
  [820, 1180],
  [640, 400],
  [390, 844],
  [320, 640],
] as const;

/** Another size of the same page; two frames on it is drawn for it. */
export async function resize(page: Page, width: number, height: number): Promise<void> {
  await page.setViewport({ width, height });
  await page.evaluate(
    () => new Promise<void>((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => drawn()))),
  );
}

/**
 * What axe cannot see and a look would: words under 13 px, words over words, words too pale inside a drawing, what
 * runs past the edge or has to be pushed sideways, targets under 44 px, and fields that a fixed bar covers when they
 * are gone to.
 * @param ratio least contrast of words inside a drawing: 4.5, and 7 in Test
 * @returns a line a fault, the fault first, then the words it was found at
 */
export const looksWrong = (page: Page, ratio = 4.5): Promise<string[]> =>
  page.evaluate((least) => {
    const faults: string[] = [];
    const root = document.documentElement;
    const sheet = document.querySelector('[role=dialog]');
    const within = sheet ?? document.body;

    // Words, each with its box as it is seen and the size it is seen at.
    interface Words {
      readonly text: string;
      readonly element: Element;
      readonly boxes: readonly DOMRect[];
      readonly px: number;
    }
    const hidden = (element: Element): boolean =>
      element.closest('script, style, noscript, option') !== null ||
      !element.checkVisibility({ checkVisibilityCSS: true, checkOpacity: true }) ||
      clipped(element);
    // Told to a screen reader only: cut down to nothing, itself or something around it.
    const clipped = (element: Element | null): boolean => {
      if (element === null || element === document.body) return false;
      return (
        ['inset(50%)', 'inset(100%)'].includes(getComputedStyle(element).clipPath) || clipped(element.parentElement)
      );
    };
    // Of a list that is scrolled in itself only what shows: the rest lies where nobody sees it.
    const scrolledIn = (element: Element | null): { top: number; bottom: number } => {
      if (element === null || element === document.body) return { top: -Infinity, bottom: Infinity };
      const around = scrolledIn(element.parentElement);
      if (!/auto|scroll|hidden/.test(getComputedStyle(element).overflowY)) return around;
      const { top, bottom } = element.getBoundingClientRect();
      return { top: Math.max(top, around.top), bottom: Math.min(bottom, around.bottom) };
    };
    const found: Words[] = [];
    const walk = document.createTreeWalker(within, NodeFilter.SHOW_TEXT);
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const element = node.parentElement;
      const text = (node.textContent ?? '').trim();
      if (!element || text === '' || hidden(element)) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const shows = scrolledIn(element);
      const boxes = [...range.getClientRects()].filter(
        (box) => box.width > 0.5 && box.height > 0.5 && shows.top < box.bottom && box.top < shows.bottom,
      );
      if (boxes.length === 0) continue;
      const svg = element.closest('svg');
      const scale = svg instanceof SVGSVGElement ? (svg.getScreenCTM()?.a ?? 1) : 1;
      found.push({ text, element, boxes, px: parseFloat(getComputedStyle(element).fontSize) * scale });
    }
    for (const { text, px } of found) if (px < 12.95) faults.push(`small: ${px.toFixed(1)} px “${text}”`);

    // Words over words: the boxes of the letters, not of the lines, so that close lines may touch.
    const letters = found.flatMap((words) =>
      words.boxes.map((box) => {
        const slack = Math.max(0, box.height - words.px * 0.8) / 2;
        return { words, left: box.left + 1, right: box.right - 1, top: box.top + slack, bottom: box.bottom - slack };
      }),
    );
    letters.sort((a, b) => a.top - b.top);
    letters.forEach((a, i) => {
      for (const b of letters.slice(i + 1)) {
        if (b.top >= a.bottom) break;
        if (a.words === b.words || a.left >= b.right || b.left >= a.right) continue;
        const fixed = [a, b].map(({ words }) => words.element.closest('[data-fixed]'));
        if (fixed[0] !== fixed[1]) continue;
        faults.push(`over each other: “${a.words.text}” and “${b.words.text}”`);
      }
    });

    // Sideways.
    if (root.scrollWidth > root.clientWidth)
      faults.push(`sideways: the page by ${root.scrollWidth - root.clientWidth}`);
    for (const { text, boxes } of found) {
      const right = Math.max(...boxes.map((box) => box.right));
      if (right > root.clientWidth + 1) faults.push(`past the edge: “${text}”`);
    }
    for (const element of within.querySelectorAll<HTMLElement>('*')) {
      const { overflowX } = getComputedStyle(element);
      if ((overflowX === 'auto' || overflowX === 'scroll') && element.scrollWidth > element.clientWidth + 1)
        faults.push(`sideways: ${element.getAttribute('aria-label') ?? element.tagName} inside itself`);
    }

    // Contrast of words in drawings, against what is painted under them.
    type Colour = readonly [r: number, g: number, b: number, a: number];
    const colourOf = (css: string): Colour | null => {
      const parts = /^rgba?\(([^)]+)\)$/
        .exec(css)?.[1]
        ?.split(/[,/\s]+/)
        .filter((p) => p !== '')
        .map(Number);
      return parts && parts.length >= 3 ? [parts[0] ?? 0, parts[1] ?? 0, parts[2] ?? 0, parts[3] ?? 1] : null;
    };
    const luminance = ([r, g, b]: Colour): number => {
      const [x = 0, y = 0, z = 0] = [r, g, b].map((part) => {
        const c = part / 255;
        return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
      });
      return 0.2126 * x + 0.7152 * y + 0.0722 * z;
    };
    const contrast = (a: Colour, b: Colour): number => {
      const [dark = 0, light = 0] = [luminance(a), luminance(b)].sort((x, y) => x - y);
      return (light + 0.05) / (dark + 0.05);
    };
    const groundOf = (element: Element | null): Colour => {
      const own = element && colourOf(getComputedStyle(element).backgroundColor);
      if (own && own[3] > 0.5) return own;
      return element === null ? [255, 255, 255, 1] : groundOf(element.parentElement);
    };
    for (const { text, element, boxes, px } of found) {
      const svg = element.closest('svg');
      const box = boxes[0];
      if (!box) continue;
      if (!svg) {
        // Axe asks 4.5 to 1 of words on the page; where more is asked it is looked at here.
        if (least <= 4.5 || element.closest('[inert], [aria-disabled=true], :disabled')) continue;
        const own = colourOf(getComputedStyle(element).color);
        const reached = own && contrast(own, groundOf(element));
        if (reached !== null && reached < least) faults.push(`pale: ${reached.toFixed(1)} to 1 “${text}”`);
        continue;
      }
      const middle = [box.left + box.width / 2, box.top + box.height / 2] as const;
      const fill = colourOf(getComputedStyle(element).fill);
      if (!fill) continue;
      const halo = getComputedStyle(element);
      // Behind a bar it is not seen now; it is scrolled up to be.
      const bar = document.elementsFromPoint(...middle)[0]?.closest('[data-fixed]');
      if (bar && !bar.contains(element)) continue;
      const under = [
        ...(halo.paintOrder.startsWith('stroke') && halo.stroke !== 'none' ? [colourOf(halo.stroke)] : []),
        ...document.elementsFromPoint(...middle).flatMap((behind) => {
          if (behind.closest('text') !== null) return [];
          const style = getComputedStyle(behind);
          if (!(behind instanceof SVGElement)) return [colourOf(style.backgroundColor)];
          if (behind instanceof SVGSVGElement) return [];
          return [style.fill === 'none' ? null : colourOf(style.fill)];
        }),
      ].find((colour) => colour !== null && colour[3] > 0.5);
      const large = px >= 24 || (px >= 18.66 && Number(getComputedStyle(element).fontWeight) >= 700);
      const reached = contrast(fill, under ?? colourOf(getComputedStyle(root).backgroundColor) ?? [255, 255, 255, 1]);
      const asked = large && least < 7 ? 3 : least;
      if (reached < asked) faults.push(`pale: ${reached.toFixed(1)} to 1 “${text}”`);
    }

    // Targets that stand on their own.
    for (const target of within.querySelectorAll(
      'button, a, select, summary, input:not([type=checkbox]):not([type=radio])',
    )) {
      if (hidden(target) || target.closest('p, nextjs-portal, svg')) continue;
      const { height, width } = target.getBoundingClientRect();
      if (height > 0 && (height < 43.5 || width < 23.5))
        faults.push(`small target: ${width.toFixed(0)} by ${height.toFixed(0)} “${target.textContent}”`);
    }

    // Gone to by Tab, a field or button must show.
    const before = document.activeElement;
    const at = window.scrollY;
    for (const target of within.querySelectorAll<HTMLElement>(
      'a[href], button:not([disabled]), input, select, textarea, summary, [tabindex="0"]',
    )) {
      if (hidden(target) || target.closest('nextjs-portal')) continue;
      target.focus();
      if (document.activeElement !== target) continue;
      const { left, right, top, bottom } = target.getBoundingClientRect();
      const x = Math.min(Math.max((left + right) / 2, 1), window.innerWidth - 2);
      const y = Math.min(Math.max((top + bottom) / 2, 1), window.innerHeight - 2);
      const seen = document.elementFromPoint(x, y);
      const shows =
        seen !== null && (target.contains(seen) || seen.contains(target) || seen.closest('label')?.contains(target));
      if (!shows || bottom <= 0 || top >= window.innerHeight)
        faults.push(
          `covered when gone to: ${target.tagName} “${target.textContent || (target.getAttribute('aria-label') ?? target.id)}” by ${seen?.className ?? 'nothing'}`,
        );
    }
    if (before instanceof HTMLElement) before.focus({ preventScroll: true });
    window.scrollTo(0, at);
    return [...new Set(faults)];
  }, ratio);
