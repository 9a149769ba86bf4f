import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { expect, test } from 'vitest';
import { scoreRequest as scoreSchema, levelsRequest as levelsSchema } from '../schemas/requests';
import { ownFile } from '../schemas/own';
import { parse } from '../schemas/parse';
import { protocols } from '../catalogue/protocols';
import { squatRules, splitRules, tasks } from '../core/load/check';
import { apiDescription, levelsExample, loadExample, scoreExample } from './apiDescription';
import { askSetUp } from './askSetUp';
import { askLevels, askScore } from './askStateless';

type Schema = { readonly properties?: Record<string, Schema>; readonly items?: Schema };
interface Operation {
  readonly requestBody?: { readonly content: Record<string, { readonly schema: Schema }> };
}
const description = apiDescription() as { readonly paths: Record<string, Record<string, Operation>> };

/** Every route of the interface with the methods it answers itself, out of the handlers. */
function handlers(): Record<string, string[]> {
  const root = join(process.cwd(), 'src/app');
  const routes = readdirSync(join(root, 'api/v1'), { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('route.ts'))
    .map((f) => join(root, 'api/v1', f));
  return Object.fromEntries(
    routes.map((file) => {
      const path = `/${relative(root, file)
        .replace(/\/route\.ts$/, '')
        .replace(/\[(\w+)\]/g, '{$1}')}`;
      const methods = [...readFileSync(file, 'utf8').matchAll(/^export const (GET|POST|PUT|DELETE|PATCH) =/gm)];
      return [path, methods.map((m) => (m[1] ?? '').toLowerCase()).sort()];
    }),
  );
}

test('every handler is described under its path and methods, and nothing else is', () => {
  const described = Object.fromEntries(
    Object.entries(description.paths).map(([path, item]) => [path, Object.keys(item).sort()]),
  );
  expect(described).toEqual(handlers());
});

test('the examples are answered as they stand', () => {
  expect(askScore(scoreExample, '2026-03-02')).toMatchObject({ kind: 'answered' });
  expect(askLevels(levelsExample, '2026-03-02')).toMatchObject({ kind: 'answered' });
});

const bodyOf = (path: string): Schema =>
  description.paths[path]?.['post']?.requestBody?.content['application/json']?.schema ?? {};

test('/api/v1/load: the fields described are those that one of the tasks knows, and no other', () => {
  const schema = bodyOf('/api/v1/load');
  const described = Object.keys(schema.properties ?? {}).sort();
  const known = tasks.flatMap((task) => {
    // Rules and searches read different fields: each is asked with all of them.
    const rules = [...squatRules, ...splitRules];
    return rules.flatMap((rule) => {
      const answer = askSetUp({ ...Object.fromEntries(described.map((f) => [f, 1e9])), support: {}, task, rule });
      const unread =
        answer.kind === 'rejected' ? answer.errors.filter((e) => e.code === 'E_INPUT').map((e) => e.path.slice(1)) : [];
      return described.filter((field) => !unread.includes(field));
    });
  });
  expect([...new Set(known)].sort()).toEqual(described);
  expect(askSetUp(loadExample)).toMatchObject({ kind: 'answered', body: { status: 'ok' } });
  expect(askSetUp({ ...loadExample, shoeSize: 42 })).toMatchObject({
    errors: [{ path: '/shoeSize', code: 'E_INPUT' }],
  });
});

test('/api/v1/exercises/import: the fields described of a movement are those that are read, and one that is not is refused', () => {
  const fields = Object.keys(bodyOf('/api/v1/exercises/import').properties?.['exercises']?.items?.properties ?? {});
  const read = (one: object) => {
    const parsed = parse(ownFile({ facts: [], rungs: {} }), { format: 'own-exercises', exercises: [one] });
    return parsed.kind === 'bad' ? parsed.errors : [];
  };
  const missing = read({}).flatMap((e) => e.path.split('/')[3] ?? []);
  expect([...new Set(missing)].sort()).toEqual([...fields].sort());
  const unknown = read({ ...Object.fromEntries(fields.map((f) => [f, null])), shoeSize: 42 });
  expect(unknown.filter((e) => e.message.includes('not a field')).map((e) => e.path)).toEqual([
    '/exercises/0/shoeSize',
  ]);
});

test.each([
  ['/api/v1/score', scoreSchema(protocols), scoreExample],
  ['/api/v1/levels', levelsSchema(protocols), levelsExample],
] as const)(
  '%s: every described field is one the handler knows, and one that is not is refused',
  (path, schema, example) => {
    const fields = Object.keys(bodyOf(path).properties ?? {});
    expect(fields.length).toBeGreaterThan(2);
    const unknown = (input: object) => {
      const parsed = parse(schema, input);
      return parsed.kind === 'bad'
        ? parsed.errors.filter((e) => e.message.includes('not a field')).map((e) => e.path)
        : [];
    };
    expect(unknown(Object.fromEntries(fields.map((f) => [f, null])))).toEqual([]);
    expect(unknown({ ...example, shoeSize: 42 })).toEqual(['/shoeSize']);
    const result = Object.keys(bodyOf(path).properties?.['results']?.items?.properties ?? {});
    expect(unknown({ ...example, results: [Object.fromEntries(result.map((f) => [f, null]))] })).toEqual([]);
    expect(result).toContain('trials');
  },
);
