'use client';
import Link from 'next/link';
import { useState } from 'react';
import type { OutcomeKind } from '../../core/shapes/progress';
import { printDose } from '../../core/level/code';
import { sentenceIn } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { Proposal, ProposalNow, SayProposals } from '../../core/train/proposals';
import type { WrittenLine } from '../../core/shapes/classLog';
import { LoggedLines, type Correct } from './loggedLines';
import { levelWords } from '../levels/levelWords';
import { lookOf } from '../drawing/patterns';
import { Button, ButtonLink } from '../touch/button';
import { FootBar } from '../touch/footBar';
import { lineWords } from './lineWords';
import { useOneAtATime } from '../touch/useOneAtATime';

interface Props {
  readonly title: string;
  readonly when: string;
  readonly late: boolean;
  readonly present: number;
  readonly units: UnitSystem;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly proposals: readonly ProposalNow[];
  /** What was tapped and stands. */
  readonly lines: readonly WrittenLine[];
  readonly correct: Correct;
  readonly testTitles: Readonly<Record<string, string>>;
  readonly confirm: (seqs: readonly number[]) => Promise<SayProposals>;
  readonly takeBack: (seqs: readonly number[]) => Promise<SayProposals>;
}

const groups: readonly (readonly [title: string, of: (p: ProposalNow) => boolean])[] = [
  ['Waits for your yes', (p) => p.state === 'waits' || p.state === 'confirmed'],
  ['Holds at once', (p) => p.state === 'holds' || p.state === 'taken-back'],
  ['One test would decide', (p) => p.state === 'stays' && p.proposal.test !== null],
  ['Stays as it is', (p) => p.state === 'stays' && p.proposal.test === null],
];

/** What is said to the person. */
const sayWords: Readonly<Record<OutcomeKind, string>> = {
  up: 'You have done this twice, clean. A little more next week.',
  stay: 'This is right for you. Same again.',
  'dose-up': 'A little more than last time.',
  back: 'A lighter week. We go back up when it feels easy.',
  less: 'One round less next time.',
  'dose-set': 'As many as today.',
  test: 'Before we change that I would like to test one thing.',
  queued: 'One new thing at a time.',
};

/** What a class brought: what waits for a yes on top, then what holds already, with the lines that made it. */
export function AfterClass(props: Props) {
  const { title, when, late, present, units, people, testTitles, confirm, takeBack } = props;
  const [proposals, setProposals] = useState(props.proposals);
  const [told, setTold] = useState('');
  const say = useOneAtATime(async (deed: () => Promise<SayProposals>) => {
    const said = await deed().catch(() => null);
    if (said) setProposals(said.proposals);
    setTold(
      said === null
        ? 'The server did not answer. Press again; nothing is done twice.'
        : said.kind === 'changed'
          ? 'Something new is known of somebody since: what is no longer allowed was left as it is.'
          : '',
    );
    return true;
  });
  const waiting = proposals.filter((p) => p.state === 'waits');
  const nameOf = (id: string) => people.find((p) => p.id === id)?.name ?? '';
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">After the class</h1>
      <p className="mt-1">
        {title}, {when}, {present} there.
        {late && <b> Nobody ended it: it ends at its last line.</b>}
      </p>
      {proposals.length === 0 && (
        <p className="py-6 text-lg">Nothing follows: nobody trained on a level that was confirmed.</p>
      )}
      {groups.map(([head, of]) => {
        const these = proposals.filter(of);
        return (
          these.length > 0 && (
            <section key={head} aria-label={head} className="mt-5">
              <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">
                {head} <span className="num">{these.length}</span>
              </h2>
              <ul>
                {these.map((p) => (
                  <li
                    key={p.seq}
                    className="grid items-center gap-x-4 gap-y-1 border-b border-rule py-2 lg:grid-cols-[12rem_2.5rem_minmax(0,1fr)_auto]"
                  >
                    <Link
                      href={`/people/${p.personId}/levels`}
                      className="inline-flex min-h-11 items-center font-bold underline decoration-rule underline-offset-4"
                    >
                      {nameOf(p.personId)}
                    </Link>
                    <b className={`text-xl ${lookOf(p.proposal.pattern).words}`}>{p.proposal.pattern}</b>
                    <div>
                      <p className="font-semibold">{changeWords(p.proposal, units)}</p>
                      <p className="text-base">
                        {p.proposal.test !== null && `${testTitles[p.proposal.test] ?? p.proposal.test}. `}
                        {whyWords(p.proposal)}{' '}
                        {p.proposal.style != null && (
                          <Link href={`/people/${p.personId}/coaching`} className={styleLink}>
                            {p.proposal.style}
                          </Link>
                        )}{' '}
                        <i className="not-italic text-ink-soft">“{sayWords[p.proposal.kind]}”</i>
                      </p>
                    </div>
                    <div className="flex gap-2">
                      {p.state === 'waits' && (
                        <Button
                          onClick={() => say(() => confirm([p.seq]))}
                          aria-label={`Yes to ${nameOf(p.personId)}, ${p.proposal.pattern}`}
                        >
                          Yes
                        </Button>
                      )}
                      {(p.state === 'holds' || p.state === 'confirmed') && (
                        <Button
                          look="line"
                          onClick={() => say(() => takeBack([p.seq]))}
                          aria-label={`Take back ${nameOf(p.personId)}, ${p.proposal.pattern}`}
                        >
                          Take back
                        </Button>
                      )}
                      {p.state === 'taken-back' && <b>taken back</b>}
                    </div>
                  </li>
                ))}
              </ul>
            </section>
          )
        );
      })}
      {props.lines.length > 0 && (
        <LoggedLines lines={props.lines} nameOf={nameOf} correct={props.correct} changed={setProposals} />
      )}
      <FootBar>
        {waiting.length > 0 ? (
          <Button onClick={() => say(() => confirm(waiting.map((p) => p.seq)))}>
            {waiting.length === 1 ? 'Yes to the one that waits' : `Yes to all ${waiting.length}`}
          </Button>
        ) : (
          <ButtonLink href="/class">To the classes</ButtonLink>
        )}
        <p role="status">{told}</p>
      </FootBar>
    </div>
  );
}

function changeWords({ kind, from, to }: Proposal, units: UnitSystem): string {
  if (!to) return `${levelWords(from, units)}, ${printDose(from.dose)}`;
  const doseOnly = to.rung === from.rung && to.support === from.support && to.targetCm === from.targetCm;
  if (doseOnly && kind !== 'up')
    return `${levelWords(from, units)}: ${printDose(from.dose)} becomes ${printDose(to.dose)}`;
  const [was, is] = [from, to].map(({ within }) => within && sentenceIn(within.words, units));
  const more = is === undefined || (is === was && to.rung === from.rung) ? '' : `, ${is}`;
  const same = doseOnly && more !== '';
  return same
    ? `${levelWords(from, units)}: ${was ?? 'as before'} becomes ${is ?? ''}, ${printDose(to.dose)}`
    : `${levelWords(from, units)} becomes ${levelWords(to, units)}${more}, ${printDose(to.dose)}`;
}

const styleLink = 'inline-flex min-h-11 items-center font-semibold underline decoration-rule underline-offset-4';

const gradeWords = {
  D: 'a down-sign',
  H: 'heavy',
  S: 'short',
  U: 'clean as far as known',
  C: 'clean and seen',
} as const;

function whyWords({ today, why }: Proposal): string {
  // That it was seen stands in the grade; that nothing was worse the day after is as it should be.
  const quiet = (l: WrittenLine) => l.content.kind === 'seen' || (l.content.kind === 'next-day' && !l.content.worse);
  const lines = today.session.lines.flatMap((l) => (quiet(l) ? [] : (lineWords(l) ?? [])));
  const grade = today.grade ? gradeWords[today.grade] : '';
  const told = [[grade, ...lines].filter((w) => w !== '').join(', '), why].filter((w) => w !== '').join('; ');
  return `${told.charAt(0).toUpperCase()}${told.slice(1)}.`;
}
