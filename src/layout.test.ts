import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { cruise, type ICruiseResult, type IForbiddenRuleType } from 'dependency-cruiser';
import { describe, expect, test } from 'vitest';

/** Who may import whom: each room, and what of the house and of the registry it may reach. */
const house: Record<string, { rooms: string[]; packages: string[] }> = {
  core: { rooms: ['core'], packages: [] },
  catalogue: { rooms: ['catalogue', 'core/shapes'], packages: [] },
  schemas: { rooms: ['schemas', 'core/shapes', 'core/math'], packages: ['yup'] },
  formats: { rooms: ['formats', 'core', 'catalogue', 'schemas'], packages: ['papaparse', 'ical-generator'] },
  database: { rooms: ['database', 'core'], packages: ['kysely', 'better-sqlite3'] },
  'use-cases': {
    rooms: ['use-cases', 'core', 'catalogue', 'schemas', 'formats', 'database'],
    packages: ['kysely', 'minisearch', 'highs'],
  },
  workers: { rooms: ['workers', 'core'], packages: ['comlink'] },
  screens: {
    rooms: ['screens', 'core', 'catalogue', 'schemas', 'workers'],
    packages: [
      'react',
      'react-dom',
      'next',
      '@headlessui',
      '@hookform',
      'react-hook-form',
      'lucide-react',
      'date-fns',
      'idb',
      'yup',
      'comlink',
      '@tanstack/react-table',
      '@dnd-kit',
      'recharts',
    ],
  },
  demo: { rooms: ['demo', 'use-cases', 'core/shapes'], packages: [] },
};

const anything = '.*';
const escape = (s: string) => s.replace(/[/.]/g, '\\$&');

function rules(root: string): IForbiddenRuleType[] {
  const inRoom = Object.entries(house).map(([room, { rooms, packages }]): IForbiddenRuleType => ({
    name: `${room} stays in its room`,
    severity: 'error',
    from: { path: `^${root}${room}/`, pathNot: '\\.test\\.tsx?$' },
    to: {
      path: anything,
      pathNot: [
        ...rooms.map((r) => `^${root}${escape(r)}(/|\\.ts$)`),
        ...packages.map((p) => `node_modules/(@types/)?${escape(p)}/`),
        ...(room === 'core' || room === 'catalogue' ? [] : ['^(node:)?(fs|path|crypto|url|stream|worker_threads)$']),
      ],
    },
  }));
  const steps = ['intake', 'measure', 'score', 'level', 'train', 'retest'];
  const backwards = steps.map((step, i): IForbiddenRuleType => ({
    name: `${step} never looks forward`,
    severity: 'error',
    from: { path: `^${root}core/${step}/` },
    to: {
      path: steps
        .slice(i + 1)
        .map((later) => `^${root}core/${later}/`)
        .concat('^never$'),
    },
  }));
  return [
    ...inRoom,
    ...backwards,
    {
      name: 'a tool of the core knows no step',
      severity: 'error',
      from: { path: `^${root}core/(math|shapes|body|load|signal)/` },
      to: { path: `^${root}core/(${steps.join('|')}|view)/` },
    },
    {
      name: 'no step looks at what is shown',
      severity: 'error',
      from: { path: `^${root}core/(${steps.join('|')})/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^${root}core/view/` },
    },
    {
      name: 'no screen reads the shipped rules',
      severity: 'error',
      from: { path: `^${root}screens/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: `^${root}catalogue/(rules|limiters|readiness|ladders)/` },
    },
    { name: 'no cycle', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'nothing outside app and tests reaches app',
      severity: 'error',
      from: { pathNot: `^${root}app/` },
      to: { path: `^${root}app/` },
    },
    { name: 'an import that leads nowhere', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ];
}

async function faults(baseDir: string, root: string): Promise<string[]> {
  const { output } = await cruise([root], {
    baseDir,
    ruleSet: { forbidden: rules(root) },
    validate: true,
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.css'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  });
  return (output as ICruiseResult).summary.violations.map((v) => `${v.rule.name}: ${v.from} -> ${v.to}`);
}

/** What an action file or a route exports that does not stand behind a door. */
function undoored(file: string): string[] {
  const text = readFileSync(file, 'utf8');
  const routed = file.endsWith('/route.ts');
  if (!routed && !text.includes("'use server'")) return [];
  const inside = [...text.matchAll(/'use server'/g)].length - Number(text.startsWith("'use server'"));
  const exported = [...text.matchAll(/^export (?:async )?(?:const|function) (\w+)( = (\w+)\()?/gm)].flatMap(
    ([, name = '', , door]) => ((routed ? ['guarded', 'onlyAllows'] : ['action']).includes(door ?? '') ? [] : [name]),
  );
  return [...exported, ...(inside > 0 ? ['an action inside a page'] : [])].map((what) => `${file}: ${what}`);
}

describe('the house', () => {
  test('every package that ships is imported somewhere', () => {
    const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as { dependencies: object };
    const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((f) => /\.(tsx?|css)$/.test(f));
    const all = files.map((f) => readFileSync(join('src', f), 'utf8')).join('\n');
    const unseen = Object.keys(dependencies).filter((name) => !all.includes(name));
    expect(unseen).toEqual([]);
  });

  test('every action and every route stands behind a door that looks at who asks', () => {
    const files = readdirSync('src/app', { recursive: true, encoding: 'utf8' }).filter((f) => /\.tsx?$/.test(f));
    expect(files.flatMap((f) => undoored(join('src/app', f)))).toEqual([]);
    const dir = mkdtempSync(join(tmpdir(), 'doors-'));
    const planted = join(dir, 'actions.ts');
    writeFileSync(
      planted,
      "'use server';\nexport const good = action(args([]), deed);\nexport async function bad() {}\n",
    );
    expect(undoored(planted)).toEqual([`${planted}: bad`]);
    rmSync(dir, { recursive: true });
  });

  test('what needs a browser of its own says so in its name, and has a world of its own', () => {
    const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.test.ts'));
    const needing = files.filter((f) =>
      /^import .*'(idb|fake-indexeddb\/auto)'/m.test(readFileSync(join('src', f), 'utf8')),
    );
    expect(needing.length).toBeGreaterThan(0);
    expect(needing.filter((f) => !f.endsWith('.browser.test.ts'))).toEqual([]);
  });

  test('no import leaves its room, none leads in a circle', { timeout: 60_000 }, async () => {
    expect(await faults(process.cwd(), 'src/')).toEqual([]);
  });

  test(
    'planted faults are caught: a package in core, a forward look, a cycle, a dynamic import, a screen that reads the database or the shipped rules, a tool or a step that knows a view',
    { timeout: 60_000 },
    async () => {
      const dir = mkdtempSync(join(tmpdir(), 'house-'));
      const plant = (file: string, text: string) => {
        const path = join(dir, 'src', file);
        mkdirSync(dirname(path), { recursive: true });
        writeFileSync(path, text);
      };
      plant('core/score/a.ts', "import { b } from '../level/b';\nexport const a = b;\n");
      plant('core/level/b.ts', "import { a } from '../score/a';\nexport const b = a;\n");
      plant('database/people.ts', 'export const people = 1;\n');
      plant('screens/list.ts', "export const list = () => import('../database/people');\n");
      plant('core/math/c.ts', "import fs from 'node:fs';\nexport const c = fs;\n");
      plant('core/view/v.ts', 'export const v = 1;\n');
      for (const room of ['body', 'signal', 'load', 'retest'])
        plant(`core/${room}/d.ts`, "import { v } from '../view/v';\nexport const d = v;\n");
      plant('catalogue/rules/house.ts', 'export const house = 1;\n');
      plant('workers/sweep.ts', 'export const sweep = 1;\n');
      plant(
        'screens/rules.ts',
        "export { house } from '../catalogue/rules/house';\nexport { sweep } from '../workers/sweep';\n",
      );
      const found = await faults(dir, 'src/');
      rmSync(dir, { recursive: true });
      expect(found.some((f) => f.startsWith('score never looks forward'))).toBe(true);
      expect(found.some((f) => f.startsWith('no cycle'))).toBe(true);
      expect(
        found.some((f) => f.startsWith('screens stays in its room: src/screens/list.ts -> src/database/people')),
      ).toBe(true);
      expect(found.some((f) => f.startsWith('core stays in its room: src/core/math/c.ts'))).toBe(true);
      for (const room of ['body', 'signal', 'load'])
        expect(found).toContain(`a tool of the core knows no step: src/core/${room}/d.ts -> src/core/view/v.ts`);
      expect(found).toContain('no step looks at what is shown: src/core/retest/d.ts -> src/core/view/v.ts');
      expect(found.filter((f) => f.includes('src/screens/rules.ts'))).toEqual([
        'no screen reads the shipped rules: src/screens/rules.ts -> src/catalogue/rules/house.ts',
      ]);
    },
  );
});
