import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, test } from 'vitest';

/** Where words that a screen or a page of paper says are written. */
const speaking = ['screens', 'catalogue', 'core', 'use-cases', 'formats', 'schemas', 'app'];

interface Said {
  readonly at: string;
  readonly words: string;
}

/** All that is written between quotation marks and between tags, but for what names a file, a class or a field. */
function saidIn(file: string, text: string): Said[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: Said[] = [];
  const put = (node: ts.Node, words: string) => {
    const { line } = source.getLineAndCharacterOfPosition(node.getStart());
    if (/[A-Za-z]{2}.*\s.*[A-Za-z]|^[A-Z][a-z]+\.?$/s.test(words))
      found.push({ at: `${file}:${line + 1}`, words: words.replace(/\s+/g, ' ').trim() });
  };
  const silent = new Set(['className', 'd', 'href', 'id', 'name', 'data-testid', 'transform', 'viewBox']);
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && silent.has(node.name.getText())) return;
    if (ts.isJsxText(node) || ts.isStringLiteralLike(node)) put(node, node.text);
    else if (ts.isTemplateHead(node) || ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) put(node, node.text);
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

const root = new URL('.', import.meta.url).pathname;
const files = speaking.flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file))
    .map((file) => join(folder, file)),
);
const all = files.flatMap((file) => saidIn(file, readFileSync(join(root, file), 'utf8')));

/**
 * Words an old person reads over a shoulder, and words of the trade that a newcomer knows; each of these has a better
 * one (common practice, no published source).
 */
const unkind: readonly (readonly [word: RegExp, better: string])[] = [
  [/weaker side|weak side/i, 'the side to bring along'],
  [/called low/i, 'under the line'],
  [/put(s|ting)? the (readiness )?questions?|questions? to put/i, 'ask the questions, not asked yet'],
  [/injury risk/i, 'watch line'],
  [/fails? the standard|\bpoor\b/i, 'next to work on'],
  [/is forbidden|\boverdue\b|stepped back/i, 'later, due since, a lighter week'],
  [/\bor sugar\b|sugar disease|\bsugar-lowering drugs/i, 'diabetes'],
  [/out of step/i, 'heartbeat newly irregular'],
  [/foot swim/i, 'loose or slippery shoes'],
  [/wasting|without wanting to/i, 'lost weight without trying'],
  [/nerves or brain/i, 'Parkinson’s, stroke, MS or similar'],
  [/hands[- ]free first/i, 'without hands first'],
  [/[a-z]\.\.(?!\.)/, 'one full stop'],
  [/\b1 (stands|steps|positions|people|results|tests|classes)\b/, 'one is said as one'],
];

test('the words are found: of screens, of the catalogue and of what a check says', () => {
  expect(all.length).toBeGreaterThan(900);
  for (const words of ['Write the birth date.', 'Signs and keys', 'chest pain or pressure'])
    expect(all.some((said) => said.words === words)).toBe(true);
});

test('an unkind word that is planted is found', () => {
  const planted = saidIn(
    'planted.tsx',
    `export const X = () => <p title="Stand on the weaker side.">{'Fine words.'}</p>;`,
  );
  expect(planted.filter(({ words }) => unkind.some(([word]) => word.test(words)))).toHaveLength(1);
});

describe.each(unkind)('%s', (word, better) => {
  test(`is said as: ${better}`, () => {
    expect(all.filter(({ words }) => word.test(words))).toEqual([]);
  });
});
