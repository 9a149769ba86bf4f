import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';

const css = readFileSync(new URL('./tokens.css', import.meta.url), 'utf8');
const read = (part: string) =>
  [...part.matchAll(/--color-([a-z-]+): (#[0-9a-f]{6})/g)].map((m) => [m[1], m[2] ?? ''] as const);
const [everywhere = '', inTest = ''] = css.split('[data-seven] {');
const tokens = new Map(read(everywhere));

/** Relative luminance and contrast of WCAG 2.2. */
function luminance(hex: string): number {
  const parts = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255);
  const [r = 0, g = 0, b = 0] = parts.map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [dark = 0, light = 0] = [a, b].map((name) => luminance(tokens.get(name) ?? '')).sort((x, y) => x - y);
  return (light + 0.05) / (dark + 0.05);
}

test('black on white is 21, as the check itself must know', () => {
  tokens.set('black', '#000000');
  tokens.set('white', '#ffffff');
  expect(contrast('black', 'white')).toBeCloseTo(21, 5);
});

const words = ['ink', 'ink-soft', 'squat', 'lunge', 'hinge', 'bridge', 'ready', 'watch', 'stop'];
test.each(words.flatMap((word) => ['floor', 'board'].map((ground) => [word, ground] as const)))(
  '%s words on %s reach 4.5 to 1',
  (word, ground) => {
    expect(contrast(word, ground)).toBeGreaterThanOrEqual(4.5);
  },
);
test.each(['floor', 'board', 'wood-pale', 'wood'])(
  'ink on %s reaches 7 to 1, as the lane and the cards need',
  (ground) => {
    expect(contrast('ink', ground)).toBeGreaterThanOrEqual(7);
  },
);
test('words on an ink button reach 7 to 1', () => {
  expect(contrast('board', 'ink')).toBeGreaterThanOrEqual(7);
});
test.each(['ink', 'ink-soft', 'watch', 'stop', 'ready', 'squat', 'wood-dark'])(
  '%s shapes stand out from floor and board, 3 to 1',
  (shape) => {
    for (const ground of ['floor', 'board']) expect(contrast(shape, ground)).toBeGreaterThanOrEqual(3);
  },
);

test.each([...read(inTest), ['ink', tokens.get('ink') ?? '']] as const)(
  'in Test, %s words reach 7 to 1 on floor and board',
  (name, hex) => {
    tokens.set(`test-${name ?? ''}`, hex);
    for (const ground of ['floor', 'board']) expect(contrast(`test-${name ?? ''}`, ground)).toBeGreaterThanOrEqual(7);
  },
);
test('Test has its own tone for each of the words it says in one', () => {
  expect(read(inTest).map(([name]) => name)).toEqual(['ink-soft', 'squat', 'stop', 'watch', 'ready']);
});
