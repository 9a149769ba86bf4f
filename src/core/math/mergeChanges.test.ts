import fc from 'fast-check';
import { expect, test } from 'vitest';
import { mergeChanges, putAt, type IdentityOf } from './mergeChanges';

const byKind: IdentityOf = ({ kind, side }) =>
  typeof kind === 'string' ? `${kind} ${typeof side === 'string' ? side : ''}` : null;
interface Form {
  name: string;
  mass: number | null;
  contact: { name: string; phone: string };
  limiters: { kind: string; side?: string; by?: string }[];
  open: string[];
}
const opened: Form = {
  name: 'Ada',
  mass: 60,
  contact: { name: 'Kin', phone: '1' },
  limiters: [{ kind: 'hip', side: 'L' }],
  open: ['bones', 'nerves'],
};
const merge = (mine: Form, theirs: Form) => mergeChanges(opened, mine, theirs, byKind);

test('a limiter noted on another tablet stays when a form opened before is saved', () => {
  const theirs = { ...opened, limiters: [...opened.limiters, { kind: 'dizziness' }] };
  const { merged, clashes } = merge({ ...opened, mass: 61 }, theirs);
  expect(merged).toEqual({ ...theirs, mass: 61 });
  expect(clashes).toEqual([]);
});

test('both at once: each side’s own changes are taken, member by member and item by item', () => {
  const mine: Form = { ...opened, contact: { name: 'Kin', phone: '2' }, open: ['nerves'], limiters: [] };
  const theirs: Form = { ...opened, contact: { name: 'Sib', phone: '1' }, open: ['bones'] };
  expect(merge(mine, theirs)).toEqual({
    merged: { ...opened, contact: { name: 'Sib', phone: '2' }, open: [], limiters: [] },
    clashes: [],
  });
});

test('the same thing changed in two ways is a clash, also where one took it out', () => {
  const mine: Form = { ...opened, mass: 61, limiters: [] };
  const theirs: Form = { ...opened, mass: 62, limiters: [{ kind: 'hip', side: 'L', by: 'a surgeon' }] };
  expect(merge(mine, theirs).clashes).toEqual([
    { path: ['mass'], mine: 61, theirs: 62 },
    { path: ['limiters', 'hip L'], mine: undefined, theirs: { kind: 'hip', side: 'L', by: 'a surgeon' } },
  ]);
});

test('a list whose items nothing tells apart is one value', () => {
  const list = (n: number) => ({ list: [{ n }, { n: 0 }] });
  expect(mergeChanges(list(1), list(2), list(3), byKind).clashes).toHaveLength(1);
});

test('what was chosen of a clash is put in its place', () => {
  const theirs = { kind: 'hip', side: 'L', by: 'a surgeon' };
  expect(putAt({ ...opened, limiters: [] }, ['limiters', 'hip L'], theirs, byKind).limiters).toEqual([theirs]);
  expect(putAt(opened, ['limiters', 'hip L'], undefined, byKind).limiters).toEqual([]);
  expect(putAt(opened, ['contact', 'phone'], '9', byKind).contact).toEqual({ name: 'Kin', phone: '9' });
});

const anyForm = fc.record({
  name: fc.constantFrom('Ada', 'Bea', 'Cleo'),
  mass: fc.option(fc.integer({ min: 50, max: 53 })),
  contact: fc.record({ name: fc.constantFrom('', 'Kin'), phone: fc.constantFrom('', '1') }),
  limiters: fc.uniqueArray(fc.record({ kind: fc.constantFrom('hip', 'knee', 'bone'), by: fc.constantFrom('a', 'b') }), {
    selector: (l) => l.kind,
  }),
  open: fc.uniqueArray(fc.constantFrom('bones', 'nerves', 'floor')),
});
const loose = (f: Form) => ({
  ...f,
  open: [...f.open].sort(),
  limiters: [...f.limiters].sort((a, b) => (a.kind < b.kind ? -1 : 1)),
});

test('where only one side changed anything, all of it is taken and nothing clashes', () => {
  fc.assert(
    fc.property(anyForm, anyForm, (before, after) => {
      expect(mergeChanges(before, after, before, byKind)).toEqual({ merged: after, clashes: [] });
      expect(mergeChanges(before, before, after, byKind)).toEqual({ merged: after, clashes: [] });
    }),
  );
});

test('who saves first does not matter but for what both changed', () => {
  fc.assert(
    fc.property(anyForm, anyForm, anyForm, (before, a, b) => {
      const there = mergeChanges(before, a, b, byKind);
      const back = mergeChanges(before, b, a, byKind);
      expect(there.clashes.length).toBe(back.clashes.length);
      if (there.clashes.length === 0) expect(loose(there.merged)).toEqual(loose(back.merged));
    }),
  );
});
