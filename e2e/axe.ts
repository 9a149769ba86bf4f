import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';

const axe = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');

interface Finding {
  readonly id: string;
  readonly nodes: { readonly target: unknown; readonly failureSummary?: string }[];
}

/** What axe finds under WCAG 2.2 AA; the script goes in through the debugger, as the page's own policy would refuse it. */
export async function findings(page: Page): Promise<{ violations: string[]; incomplete: string[] }> {
  await page.evaluate(axe);
  const found = await page.evaluate(() => {
    const run = (
      window as unknown as {
        axe: { run: (options: object) => Promise<{ violations: Finding[]; incomplete: Finding[] }> };
      }
    ).axe.run;
    return run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] });
  });
  const lines = (list: Finding[]) =>
    list.flatMap((f) => f.nodes.map((n) => `${f.id}: ${JSON.stringify(n.target)} ${n.failureSummary ?? ''}`));
  return { violations: lines(found.violations), incomplete: found.incomplete.map((f) => f.id) };
}
