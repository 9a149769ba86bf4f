import type { Level } from '../core/level/answer';
import { withAccessories } from '../core/level/assign';
import { isAllowed } from '../core/level/lift';
import type { Facts, IsoDate } from '../core/shapes/facts';
import type { LevelRules } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import type { Moved } from '../core/train/moves';
import { holdsAtOnce, type ProposalNow, type SayProposals } from '../core/train/proposals';
import { listProposals } from '../database/classes';
import { addDecision, decisionsAmong } from '../database/decisions';
import { together, type Desk } from './desk';
import { factsOfPerson } from './readPeople';

export const proposalId = (key: string, seq: number): string => `${key}-p${seq}`;
export const takenBackId = (key: string, seq: number): string => `${proposalId(key, seq)}-back`;

/** What a decision is made by. */
interface DecidedBy {
  readonly personId: PersonId;
  readonly day: IsoDate;
  readonly rulesVersion: string;
  readonly normsVersion: string;
  readonly facts: Facts;
}

/** A level that a class brought, in force from now on. */
export const decide = (desk: Desk, by: DecidedBy, id: string, level: Level): Promise<void> =>
  addDecision(desk.db, { ...by, id, at: desk.now().toISOString(), by: desk.who, kind: 'class', levels: [level] });

/** What somebody is judged by now; `null` where nobody is called that. */
async function judgedNow(
  desk: Desk,
  personId: PersonId,
): Promise<{ readonly by: DecidedBy; readonly rules: LevelRules } | null> {
  const found = await factsOfPerson(desk, personId);
  if (!found) return null;
  const { rules, normsVersion, facts, today } = found;
  return {
    by: { personId, day: today, rulesVersion: rules.version, normsVersion, facts },
    rules: withAccessories(rules),
  };
}

export const readProposals = (desk: Desk, key: string): Promise<ProposalNow[]> => proposalsNow(desk, [key]);

/** What followed from classes, with what became of each. */
async function proposalsNow(desk: Desk, keys: readonly string[]): Promise<(ProposalNow & { readonly key: string })[]> {
  const all = await listProposals(desk.db, keys);
  const ids = all.flatMap(({ key, seq }) => [proposalId(key, seq), takenBackId(key, seq)]);
  const decided = await decisionsAmong(desk.db, ids);
  return all.map((one) => {
    const { kind, to } = one.proposal;
    const state = decided.has(takenBackId(one.key, one.seq))
      ? ('taken-back' as const)
      : decided.has(proposalId(one.key, one.seq))
        ? holdsAtOnce.has(kind)
          ? ('holds' as const)
          : ('confirmed' as const)
        : kind === 'up' && to
          ? ('waits' as const)
          : ('stays' as const);
    return { ...one, state };
  });
}

/** A class, as far as it is told when something followed from it. */
interface OnDay {
  readonly key: string;
  readonly day: IsoDate;
}

/** Whose dial went up from which of these classes. */
export const upsFrom = async (desk: Desk, classes: readonly OnDay[]) =>
  (
    await proposalsNow(
      desk,
      classes.map((c) => c.key),
    )
  )
    .filter((p) => p.proposal.kind === 'up' && p.state === 'confirmed')
    .map(({ key, personId, proposal: { pattern } }) => ({ key, personId, pattern }));

/** The dials that classes turned and that stand, newest first, by person and ladder. */
export async function movesIn(desk: Desk, classes: readonly OnDay[]): Promise<ReadonlyMap<string, readonly Moved[]>> {
  const days = new Map(classes.map((c) => [c.key, c.day]));
  const all = await proposalsNow(desk, [...days.keys()]);
  const moves = new Map<string, Moved[]>();
  const inOrder = all.sort((a, b) => (days.get(b.key) ?? '').localeCompare(days.get(a.key) ?? ''));
  for (const { key, personId, proposal, state } of inOrder) {
    const { kind, from, to, pattern, halfDoseFor = 0 } = proposal;
    const way = kind === 'up' && state === 'confirmed' ? 'up' : kind === 'back' && state === 'holds' ? 'back' : null;
    const day = days.get(key);
    if (way === null || !to || day === undefined) continue;
    const of = `${personId} ${pattern}`;
    moves.set(of, [...(moves.get(of) ?? []), { day, way, from, to, halfDoseFor }]);
  }
  return moves;
}

/**
 * Says yes to dials that go up: each is looked at again, as something may be known by now that forbids it. One that the rules
 * no longer allow is left as it is, and the answer says that something changed.
 */
export async function confirmProposals(desk: Desk, key: string, seqs: readonly number[]): Promise<SayProposals> {
  return together(desk, async (trx) => {
    let changed = false;
    for (const { seq, personId, proposal, state } of await readProposals(trx, key)) {
      if (!seqs.includes(seq) || state !== 'waits' || !proposal.to) continue;
      const found = await judgedNow(trx, personId);
      if (!found || !isAllowed(found.rules, found.by.facts, proposal.to)) {
        changed = true;
        continue;
      }
      await decide(trx, found.by, proposalId(key, seq), proposal.to);
    }
    return { kind: changed ? 'changed' : 'confirmed', proposals: await readProposals(trx, key) };
  });
}

export async function takeBack(desk: Desk, key: string, { seq, personId, proposal }: ProposalNow): Promise<void> {
  const found = await judgedNow(desk, personId);
  if (found) await decide(desk, found.by, takenBackId(key, seq), proposal.from);
}

/** Takes back what held at once, or a yes: the level before it is in force again. */
export async function takeBackProposals(desk: Desk, key: string, seqs: readonly number[]): Promise<SayProposals> {
  return together(desk, async (trx) => {
    for (const one of await readProposals(trx, key))
      if (seqs.includes(one.seq) && (one.state === 'holds' || one.state === 'confirmed')) await takeBack(trx, key, one);
    return { kind: 'confirmed', proposals: await readProposals(trx, key) };
  });
}
