import type { ClassLogContent, ClassLogKind, WrittenLine } from '../shapes/classLog';
import type { PersonId } from '../shapes/person';
import { isLine, standing } from './log';

/** Two lines of two tablets of which one may be a slip. */
export interface Clash {
  readonly personId: PersonId;
  readonly lines: readonly [WrittenLine, WrittenLine];
}

/** What cannot well be so of the same movement beside each kind; of one kind said otherwise twice, see `differs`. */
const against: Readonly<Partial<Record<ClassLogKind, readonly ClassLogKind[]>>> = {
  seen: ['fewer', 'stop', 'not-done', 'swap', 'absent'],
  'not-done': ['fewer', 'form', 'stop', 'support', 'seat', 'swap'],
  absent: ['fewer', 'form', 'stop', 'support', 'seat', 'swap', 'pain', 'effort', 'not-done'],
  swap: ['fewer', 'stop'],
};
const facts = [
  ...(['seen', 'fewer', 'form', 'pain', 'effort', 'support', 'seat', 'swap', 'stop', 'not-done', 'absent'] as const),
] satisfies readonly ClassLogKind[];

const patternOf = (content: ClassLogContent) => ('pattern' in content ? content.pattern : null);

/** The same thing told twice, not alike. */
function differs(a: ClassLogContent, b: ClassLogContent): boolean {
  if (a.kind === 'fewer' && b.kind === 'fewer')
    return a.half !== b.half || (a.done?.of === b.done?.of && a.done?.n !== b.done?.n);
  if (a.kind === 'effort' && b.kind === 'effort') return a.value !== b.value;
  if (a.kind === 'pain' && b.kind === 'pain') return a.joint === b.joint && a.side === b.side && a.level !== b.level;
  if (a.kind === 'form' && b.kind === 'form') return a.check === b.check && a.putRight !== b.putRight;
  return false;
}

/**
 * What two tablets say of one person that does not go together, oldest first. Both lines stay until somebody strikes one or
 * says that both are right; while they stay the worse one counts.
 */
export function clashesIn(lines: readonly WrittenLine[]): Clash[] {
  const all = standing(lines);
  const settled = new Set(
    all.filter(isLine('both')).map(({ content: c }) => pairOf(c.writer, c.ofSeq, c.other, c.otherSeq)),
  );
  const told = all.filter((l) => l.personId !== null && (facts as readonly string[]).includes(l.content.kind));
  return told.flatMap((a, i) =>
    told.slice(i + 1).flatMap((b): Clash[] => {
      if (a.personId === null || a.personId !== b.personId || a.writer === b.writer) return [];
      const [p, q] = [patternOf(a.content), patternOf(b.content)];
      if (p !== null && q !== null && p !== q) return [];
      const [x, y] = [a.content.kind, b.content.kind];
      const clash =
        (against[x]?.includes(y) ?? false) || (against[y]?.includes(x) ?? false) || differs(a.content, b.content);
      return clash && !settled.has(pairOf(a.writer, a.seq, b.writer, b.seq))
        ? [{ personId: a.personId, lines: [a, b] }]
        : [];
    }),
  );
}

const pairOf = (writer: string, seq: number, other: string, otherSeq: number): string =>
  [`${writer} ${seq}`, `${other} ${otherSeq}`].sort().join(' | ');

/** Who is with whom: people by the helper they were given to last. */
export function givenIn(lines: readonly WrittenLine[]): ReadonlyMap<PersonId, string> {
  const last = new Map<PersonId, string>();
  for (const { personId, content } of standing(lines).filter(isLine('given'))) {
    if (personId === null) continue;
    if (content.to === null) last.delete(personId);
    else last.set(personId, content.to);
  }
  return last;
}
