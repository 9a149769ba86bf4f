import type { Level } from '../core/level/answer';
import { cappedTo } from '../core/level/standing';
import { ladderKey, patterns, type IsoDate, type Pattern } from '../core/shapes/facts';
import type { LevelRules } from '../core/shapes/ladder';
import type { PersonId } from '../core/shapes/person';
import { nextDial, oneDialBack } from '../core/train/dials';
import type { Moved } from '../core/train/moves';
import { isLine, presentIn, standing } from '../core/train/log';
import { variantOf, type HeldClass } from '../core/train/past';
import type { WrittenLine } from '../core/shapes/classLog';
import {
  holdsAtOnce,
  proposalsFor,
  shownBy,
  type OnPattern,
  type Proposal,
  type ProposalNow,
} from '../core/train/proposals';
import {
  closeClass,
  findClass,
  listClasses,
  listLines,
  ofProposals,
  ofRegister,
  storeLines,
  storeProposals,
  strikeProposals,
  nextProposal,
  nextSeq,
  type KeptClass,
} from '../database/classes';
import { newestDecision } from '../database/decisions';
import { storeEntry } from '../database/entries';
import { peopleThere } from '../database/people';
import { correctionBody, logBody } from '../schemas/classLog';
import { parse, type FieldError } from '../schemas/parse';
import { styleOn } from './coaching';
import { heldClasses, pastOf, peopleInClass, testOfFact, type InClass } from './classes';
import { together, type Desk } from './desk';
import { hashOf } from './hash';
import { decide, movesIn, proposalId, readProposals, takeBack, takenBackId } from './proposals';

/** Who strikes a line after the class was closed, and who ends one that was left open. */
const ofCorrections = 'corrections';
const ofOvernight = 'overnight';
/** Writers of the register’s own: no tablet is called so. */
const ownWriters: readonly string[] = [ofRegister, ofProposals, ofCorrections, ofOvernight];

export type SaveLog =
  | { readonly kind: 'created' | 'known' | 'conflict' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/**
 * Keeps the log of one tablet, whole each time it is sent; sent again it changes nothing. Its line that closes the class
 * closes it, and what follows is worked out once.
 */
export async function saveClassLog(desk: Desk, key: string, writer: string, sent: unknown): Promise<SaveLog> {
  const parsed = parse(logBody, sent);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { lines } = parsed.value;
  return together(desk, async (trx): Promise<SaveLog> => {
    const fault = (path: string, message: string): SaveLog => ({ kind: 'rejected', errors: [{ path, message }] });
    const found = await findClass(trx.db, key);
    if (!found?.plan) return fault('', 'there is no class with a plan under this key: send the plan first');
    if (!/^[A-Za-z0-9_-]{1,64}$/.test(writer) || ownWriters.includes(writer))
      return fault(
        '',
        'the writer in the address must be up to 64 letters, digits, - or _, and none of the register’s own',
      );
    const named = [...new Set(lines.flatMap((l) => l.personId ?? []))];
    const there = new Set(await peopleThere(trx.db, named));
    const nobody = lines.findIndex((l) => l.personId !== null && !there.has(l.personId));
    if (nobody >= 0) return fault(`/lines/${nobody}/personId`, 'nobody in the register has this id');
    const kind = await storeLines(trx.db, key, writer, lines);
    if (kind === 'created' && found.closedAt === null && lines.some((l) => l.content.kind === 'close'))
      await follow(trx, key);
    return { kind };
  });
}

/** Closes a class and works out what follows from it: who was there, pains, what was shown, proposals; in one deed. */
async function follow(desk: Desk, key: string): Promise<void> {
  const found = await findClass(desk.db, key);
  if (!found?.plan) return;
  const { plan, day } = found;
  const lines = await listLines(desk.db, [key]);
  const present = presentIn(plan.people, lines);
  // Before this class counts: who was away did it easier.
  const { people: came } = await peopleInClass(desk, present);
  const eased = new Map(
    came.flatMap((one) =>
      one.ladders.flatMap(({ ladder: { pattern }, level }) =>
        one.trainee.easedBy(pattern) === 'away' ? [[`${one.view.person.id} ${pattern}`, level] as const] : [],
      ),
    ),
  );
  await closeClass(desk.db, key, desk.now().toISOString());
  const wallMs = Math.max(0, ...lines.map((l) => l.wallMs));
  await storeLines(
    desk.db,
    key,
    ofRegister,
    present.map((personId, seq) => ({ seq, wallMs, personId, content: { kind: 'present' } })),
  );
  const savedAt = desk.now().toISOString();
  for (const { personId, writer, seq, content } of standing(lines).filter(isLine('pain')))
    if (personId !== null)
      await storeEntry(
        desk.db,
        {
          ...{ id: entryId(key, 'pain', writer, seq), personId, on: day, savedAt },
          content: { kind: 'pain', joint: content.joint, side: sideOf(content), level: content.level, since: null },
        },
        desk.who,
      );
  await keepSwaps(desk, found, lines);
  await workOut(desk, key, day, present, eased);
}

/** What was shown, and what follows, of some of those who were there; steps and ways back hold at once. */
async function workOut(
  desk: Desk,
  key: string,
  day: IsoDate,
  ids: readonly PersonId[],
  eased: ReadonlyMap<string, Level>,
): Promise<void> {
  const { people: before, classes } = await peopleInClass(desk, ids);
  const corrected = await nextSeq(desk.db, key, ofCorrections);
  await keepShown(desk, key, day, before, classes, corrected);
  // With what was shown by now.
  const { rules, people } = await peopleInClass(desk, ids);
  const moves = await movesIn(desk, classes);
  const made = people.flatMap((one) =>
    proposalsOf(one, classes, rules, key, { moves, eased }).map((proposal) => ({
      personId: one.view.person.id,
      proposal,
    })),
  );
  const from = await nextProposal(desk.db, key);
  await storeProposals(desk.db, key, made, from);
  for (const [i, { personId, proposal }] of made.entries()) {
    const one = people.find((p) => p.view.person.id === personId);
    if (one && proposal.to && holdsAtOnce.has(proposal.kind))
      await decide(
        desk,
        { personId, day, rulesVersion: rules.version, normsVersion: one.view.normsVersion, facts: one.facts },
        proposalId(key, from + i),
        proposal.to,
      );
  }
}

/** The same line of the same class is the same entry, however often it is worked out; short enough to be taken back by. */
const entryId = (...of: readonly (string | number)[]): string => `class-${hashOf(of.join(' ')).slice(0, 40)}`;

/** Every swap is an entry, as one tapped at the desk is. */
async function keepSwaps(desk: Desk, { key, day, plan }: KeptClass, lines: readonly WrittenLine[]): Promise<void> {
  const savedAt = desk.now().toISOString();
  for (const { personId, writer, seq, content } of standing(lines).filter(isLine('swap'))) {
    const { pattern, code, hurt, changes = [] } = content;
    const done = personId === null || !plan ? null : variantOf(plan, personId, pattern);
    if (personId === null || !hurt || !done) continue;
    const { joint, grade } = hurt;
    await storeEntry(
      desk.db,
      {
        ...{ id: entryId(key, 'swap', writer, seq), personId, on: day, savedAt },
        content: {
          ...{ kind: 'swap', pattern, rung: done.rung, joint, side: sideOf(hurt), grade, sharp: null, where: null },
          ...{ sign: false, instead: code === '' ? null : code, changes },
        },
      },
      desk.who,
    );
  }
}

/** The back and the neck have no side. */
const sideOf = ({ joint, side }: { readonly joint: string; readonly side: 'L' | 'R' | null }) =>
  joint === 'back' ? null : side;

/** What a class showed of somebody, before it was corrected and each time after it. */
const shownId = (key: string, id: PersonId, pattern: Pattern, corrected: number): string =>
  entryId(key, 'shown', id, pattern, ...(corrected === 0 ? [] : [corrected]));

async function keepShown(
  desk: Desk,
  key: string,
  day: IsoDate,
  people: readonly InClass[],
  classes: readonly HeldClass[],
  corrected: number,
): Promise<void> {
  for (const one of people)
    for (const { ladder } of one.ladders) {
      const past = pastOf(one, classes, ladder.pattern);
      if (past[0]?.key !== key) continue;
      const shown = shownBy(past, ladder);
      if (!shown) continue;
      const { id } = one.view.person;
      const held = {
        ...(shown.heldS === null ? {} : { heldS: shown.heldS }),
        ...(shown.seatCm === null ? {} : { seatCm: shown.seatCm }),
      };
      await storeEntry(
        desk.db,
        {
          ...{ id: shownId(key, id, ladder.pattern, corrected), personId: id, on: day },
          savedAt: desk.now().toISOString(),
          content: { kind: 'shown', pattern: shown.pattern, rung: shown.rung, ...held },
        },
        desk.who,
      );
    }
}

/** What follows for one person; nothing while a sign of health, a question or newer results stand before it. */
function proposalsOf(
  one: InClass,
  classes: readonly HeldClass[],
  rules: LevelRules,
  key: string,
  {
    moves,
    eased,
  }: {
    readonly moves: ReadonlyMap<string, readonly Moved[]>;
    readonly eased: ReadonlyMap<string, Level>;
  },
): Proposal[] {
  const { view, facts } = one;
  const { id } = view.person;
  const today = classes.find((c) => c.key === key);
  if (!today || view.levels.refused || view.known.readiness.outcome === 'ask-first') return [];
  const body = standing(today.lines).some(
    (l) => l.personId === id && l.content.kind === 'stop' && l.content.why === 'body',
  );
  const happened = view.known.entries.some(
    (e) => e.on === today.day && (e.content.kind === 'incident' || e.content.kind === 'fall'),
  );
  if (body || happened) return [];
  const inForce = new Map(
    view.decided.filter((d) => d.level.byHand?.word !== 'not-this').map((d) => [ladderKey(d.level), d]),
  );
  const all = one.ladders.flatMap(({ ladder, level }): OnPattern[] => {
    const decided = inForce.get(ladder.pattern);
    const newer = view.lastTestedOn !== null && decided !== undefined && view.lastTestedOn > decided.decidedOn;
    const past = pastOf(one, classes, ladder.pattern);
    if (!decided || cappedTo(decided.level, level.doseCaps).code !== level.code || newer || past[0]?.key !== key)
      return [];
    return [
      {
        ...{ level, ladder, past, next: nextDial(rules, facts, ladder, level, testOfFact) },
        back: oneDialBack(rules, facts, ladder, level),
        moves: moves.get(`${id} ${ladder.pattern}`) ?? [],
        eased: eased.get(`${id} ${ladder.pattern}`) ?? null,
        style: styleOn(level)?.title ?? null,
      },
    ];
  });
  return proposalsFor(all, facts.sessionsLogged <= 2);
}

export type CorrectLine =
  | { readonly kind: 'corrected'; readonly proposals: readonly ProposalNow[] }
  | { readonly kind: 'not-found' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/**
 * Strikes a line of a class that is over, with a reason. What followed for this person is taken back and worked out anew
 * where this is still their newest class; otherwise the line is struck and what followed stays, to be changed on Levels.
 */
export async function correctLine(desk: Desk, key: string, sent: unknown): Promise<CorrectLine> {
  const parsed = parse(correctionBody, sent);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { writer, ofSeq, reason } = parsed.value;
  return together(desk, async (trx): Promise<CorrectLine> => {
    const found = await findClass(trx.db, key);
    const line = standing(await listLines(trx.db, [key])).find((l) => l.writer === writer && l.seq === ofSeq);
    if (!found?.plan || found.closedAt === null || !line) return { kind: 'not-found' };
    const seq = await nextSeq(trx.db, key, ofCorrections);
    const content = { kind: 'strike', writer, ofSeq, reason } as const;
    const wallMs = trx.now().getTime();
    await storeLines(trx.db, key, ofCorrections, [{ seq, wallMs, personId: line.personId, content }]);
    const { personId } = line;
    await withoutLine(trx, found, line, reason);
    if (personId !== null) await followAnew(trx, found, personId);
    return { kind: 'corrected', proposals: await readProposals(trx, key) };
  });
}

/** What a line brought goes with it: a pain or a swap is withdrawn, whoever was taken for absent counts. */
async function withoutLine(desk: Desk, { key, day }: KeptClass, line: WrittenLine, reason: string): Promise<void> {
  const { personId, writer, seq, content } = line;
  if (personId === null) return;
  if (content.kind === 'pain' || content.kind === 'swap') {
    const entry = { personId, on: day, savedAt: desk.now().toISOString() };
    const noted = entryId(key, content.kind, writer, seq);
    const withdrawn = { kind: 'withdrawn', entryId: noted, reason } as const;
    await storeEntry(desk.db, { ...entry, id: entryId(key, 'withdrawn', writer, seq), content: withdrawn }, desk.who);
  }
  if (content.kind === 'absent') {
    const at = { seq: await nextSeq(desk.db, key, ofRegister), wallMs: line.wallMs };
    await storeLines(desk.db, key, ofRegister, [{ ...at, personId, content: { kind: 'present' } }]);
  }
}

/** What the class showed of somebody is withdrawn; what it shows without the line that was struck is noted anew. */
async function withdrawShown(desk: Desk, key: string, day: IsoDate, personId: PersonId): Promise<void> {
  const [one] = (await peopleInClass(desk, [personId])).people;
  const corrected = await nextSeq(desk.db, key, ofCorrections);
  const ours = new Set(
    patterns.flatMap((p) => Array.from({ length: corrected + 1 }, (_, n) => shownId(key, personId, p, n))),
  );
  for (const { id } of one?.view.known.entries.filter((e) => ours.has(e.id)) ?? []) {
    const content = { kind: 'withdrawn', entryId: id, reason: 'a line of the class was struck' } as const;
    const savedAt = desk.now().toISOString();
    await storeEntry(desk.db, { id: entryId('withdrawn', id), personId, on: day, savedAt, content }, desk.who);
  }
}

/** Takes back what followed for one person, and works it out without what was struck. */
async function followAnew(desk: Desk, { key, day, closedAt }: KeptClass, personId: PersonId): Promise<void> {
  const later = (await heldClasses(desk, [personId], day)).some((c) => c.key !== key && c.day > day);
  const known = (await readProposals(desk, key)).filter((p) => p.personId === personId);
  const ours = new Set(known.flatMap(({ seq }) => [proposalId(key, seq), takenBackId(key, seq)]));
  const newest = await newestDecision(desk.db, personId);
  // What somebody said of them since stays.
  if (later || (newest && !ours.has(newest.id) && newest.at > (closedAt ?? ''))) return;
  const eased = new Map(
    known.flatMap(({ proposal: { row, pattern, to } }) =>
      row === 'G4' && to ? [[`${personId} ${pattern}`, to] as const] : [],
    ),
  );
  for (const one of known) if (one.state === 'holds' || one.state === 'confirmed') await takeBack(desk, key, one);
  await strikeProposals(desk.db, key, personId);
  await withdrawShown(desk, key, day, personId);
  await workOut(desk, key, day, [personId], eased);
}

/** A class of an earlier day that nobody ended ends at its last line, and says so. */
export async function closeForgotten(desk: Desk): Promise<number> {
  return together(desk, async (trx) => {
    let closed = 0;
    for (const one of await listClasses(trx.db, 50)) {
      if (one.closedAt !== null || one.day >= trx.today()) continue;
      const lines = await listLines(trx.db, [one.key]);
      if (lines.length === 0) continue;
      const wallMs = Math.max(...lines.map((l) => l.wallMs));
      await storeLines(trx.db, one.key, ofOvernight, [
        { seq: 0, wallMs, personId: null, content: { kind: 'close', late: true } },
      ]);
      await follow(trx, one.key);
      closed += 1;
    }
    return closed;
  });
}
