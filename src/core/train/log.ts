import type { Pattern } from '../shapes/facts';
import type { ClockEvent } from '../shapes/class';
import type { ClassLogContent, ClassLogKind, WrittenLine } from '../shapes/classLog';
import type { SessionFacts } from '../shapes/progress';
import type { PersonId } from '../shapes/person';

export type LineOf<K extends ClassLogKind> = WrittenLine & { readonly content: Extract<ClassLogContent, { kind: K }> };

/** Lines that still stand, in the order of the wall clock; one that was struck is left out, and so is the strike. */
export function standing(lines: readonly WrittenLine[]): WrittenLine[] {
  const key = (writer: string, seq: number) => `${writer} ${seq}`;
  const struck = new Set(
    lines.flatMap(({ content }) => (content.kind === 'strike' ? [key(content.writer, content.ofSeq)] : [])),
  );
  return lines
    .filter((l) => l.content.kind !== 'strike' && !struck.has(key(l.writer, l.seq)))
    .sort((a, b) => a.wallMs - b.wallMs || a.writer.localeCompare(b.writer) || a.seq - b.seq);
}

export const isLine =
  <K extends ClassLogKind>(...kinds: readonly K[]) =>
  (line: WrittenLine): line is LineOf<K> =>
    (kinds as readonly string[]).includes(line.content.kind);

/** What moved the clock of a class. */
export const clockOf = (lines: readonly WrittenLine[]): ClockEvent[] =>
  standing(lines)
    .filter(isLine('start', 'hold', 'go', 'jump'))
    .map(({ wallMs, content }) => ({ ...content, wallMs }));

/** Who is there: everybody of the plan but who was tapped absent last, and whoever came in besides. */
export function presentIn(planned: readonly PersonId[], lines: readonly WrittenLine[]): PersonId[] {
  const last = new Map<PersonId, boolean>();
  for (const { personId, content } of standing(lines))
    if (personId !== null && (content.kind === 'present' || content.kind === 'absent'))
      last.set(personId, content.kind === 'present');
  return [...new Set([...planned, ...last.keys()])].filter((id) => last.get(id) ?? true);
}

/** A session of one person and one pattern: its facts, the lines that made them, or why it does not count. */
export type Session =
  | { readonly kind: 'counts'; readonly facts: SessionFacts; readonly lines: readonly WrittenLine[] }
  | { readonly kind: 'not'; readonly why: 'not-done' | 'swapped'; readonly lines: readonly WrittenLine[] };

/** Effort on the scale of 0 to 10 that is in the band: up to 4 in the first eight classes, then up to 6. */
export const bandTop = (classesSoFar: number): number => (classesSoFar < 8 ? 4 : 6);

/**
 * Reads what a class says of one person and pattern. Whatever nobody tapped was as it should be; what nobody looked at or
 * asked is not seen.
 * @param nextDay what was told of them at the class after it; empty where it was not asked yet
 */
export function sessionOf(
  lines: readonly WrittenLine[],
  personId: PersonId,
  pattern: Pattern,
  classesSoFar: number,
  nextDay: readonly WrittenLine[] = [],
): Session {
  const all = standing(lines);
  const theirs = all.filter((l) => l.personId === personId);
  const here = theirs.filter(
    (l) => !('pattern' in l.content) || l.content.pattern === pattern || l.content.pattern === null,
  );
  const kinds = <K extends ClassLogKind>(kind: K) => here.filter(isLine(kind));
  if (kinds('not-done').length > 0) return { kind: 'not', why: 'not-done', lines: kinds('not-done') };
  if (kinds('swap').length > 0) return { kind: 'not', why: 'swapped', lines: kinds('swap') };
  const asked = (what: 'pain' | 'effort') => all.some((l) => l.content.kind === 'asked' && l.content.what === what);
  const worse = nextDay
    .filter((l) => l.personId === personId)
    .filter(isLine('next-day'))
    .filter((l) => l.content.worse);
  const stops = kinds('stop').filter((l) => l.content.why !== 'wish');
  const wished = kinds('stop').some((l) => l.content.why === 'wish');
  const pains = kinds('pain');
  const most = (of: readonly number[]) => Math.max(0, ...of);
  const effort = most(kinds('effort').map((l) => l.content.value));
  const fewer = kinds('fewer');
  const looked = kinds('seen').length > 0 && asked('pain') && asked('effort');
  const facts: SessionFacts = {
    pain: pains.some((l) => l.content.sharp || l.content.level >= 5)
      ? 'much'
      : pains.some((l) => l.content.level >= 3)
        ? 'some'
        : 'none',
    effort: effort > 7 ? 'far-over' : effort > bandTop(classesSoFar) ? 'over' : 'in-band',
    stopSign: stops.some((l) => l.content.set === 'first') ? 'first' : stops.length > 0 ? 'later' : 'none',
    form: kinds('form').some((l) => !l.content.putRight)
      ? 'not-put-right'
      : kinds('form').length > 0
        ? 'put-right'
        : 'none',
    dose: fewer.some((l) => l.content.half === 'less') ? 'under-half' : fewer.length > 0 || wished ? 'short' : 'met',
    support:
      kinds('support').some((l) => l.content.change === 'more') ||
      kinds('seat').some((l) => l.content.change === 'higher')
        ? 'more'
        : 'as-level',
    nextDay: worse.length > 0 ? 'worse' : 'no-worse',
    looked: looked ? 'seen' : 'not-seen',
  };
  const made = here.filter((l) => l.content.kind !== 'present' && l.content.kind !== 'absent');
  return { kind: 'counts', facts, lines: [...made, ...worse] };
}
