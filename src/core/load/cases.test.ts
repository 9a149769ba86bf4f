import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { askLoad } from './ask';

interface Case {
  readonly id: string;
  readonly title: string;
  readonly task: string;
  readonly input: Readonly<Record<string, unknown>>;
  readonly output: Readonly<Record<string, unknown>> & { readonly status: string; readonly code?: string };
}
// Worked out by an implementation of its own; six significant digits.
const { cases } = JSON.parse(readFileSync(new URL('cases/load-cases.json', import.meta.url), 'utf8')) as {
  cases: Case[];
};

/** `moment_Nm_per_kg` as `momentNmPerKg`, all the way down. */
function camel(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(camel);
  if (typeof value !== 'object' || value === null) return value;
  const name = (key: string) => key.replace(/_([a-zA-Z])/g, (_, letter: string) => letter.toUpperCase());
  return Object.fromEntries(Object.entries(value).map(([key, inside]) => [name(key), camel(inside)]));
}

/** Every place where two answers differ by more than six digits. */
function differences(wanted: unknown, got: unknown, at = ''): string[] {
  if (typeof wanted === 'number') {
    const near = typeof got === 'number' && Math.abs(got - wanted) <= Math.max(1e-6, 1e-5 * Math.abs(wanted));
    return near ? [] : [`${at}: ${String(got)}, not ${wanted}`];
  }
  if (typeof wanted !== 'object' || wanted === null)
    return got === wanted ? [] : [`${at}: ${String(got)}, not ${String(wanted)}`];
  if (typeof got !== 'object' || got === null) return [`${at}: ${String(got)}`];
  const names = new Set([...Object.keys(wanted), ...Object.keys(got)]);
  return [...names].flatMap((name) =>
    differences((wanted as Record<string, unknown>)[name], (got as Record<string, unknown>)[name], `${at}/${name}`),
  );
}

describe('the reference cases', () => {
  test.each(cases.map((c) => [c.id, c.title, c] as const))('%s, %s', (_id, _title, { task, input, output }) => {
    const answer = askLoad({ task, ...(camel(input) as object) });
    if (output.status === 'error') {
      expect(answer.kind === 'bad' && answer.faults.map((f) => f.code)).toEqual([output.code]);
      return;
    }
    expect(answer.kind === 'bad' ? answer.faults : []).toEqual([]);
    expect(differences(camel(output), answer.kind === 'answered' ? answer.answer : null)).toEqual([]);
  });
});
