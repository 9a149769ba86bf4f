'use client';
import { useState } from 'react';
import type { Pattern, Side } from '../../core/shapes/facts';
import { loadedJoints, type LoadedJoint } from '../../core/shapes/ladder';
import { swapGrades, type SwapGrade, type SwapWhere } from '../../core/shapes/swap';
import type { SwapAnswer } from '../../core/level/swap';
import { lookOf } from '../drawing/patterns';
import { SignMark } from '../drawing/stateMark';
import { Heading } from '../touch/heading';
import { useKeepingSwap, type SaveSwap } from './keepingSwap';
import { useTellKept } from './keptSwap';

/** One thing to do instead, in the words of its level. */
export interface OfferShown {
  readonly code: string;
  readonly name: string;
  readonly pattern: Pattern;
  readonly rung: number;
  readonly why: 'same' | 'less' | 'no-more';
  /** As it is sent back, and as it is told in the units shown. */
  readonly changes: readonly string[];
  readonly told: readonly string[];
  readonly does: string;
}

type Nothing = Extract<SwapAnswer, { kind: 'nothing' }>;
export type ToldAnswer = Nothing | { readonly kind: 'offers'; readonly offers: readonly OfferShown[] };

interface Props {
  readonly about: { readonly pattern: Pattern; readonly rung: number };
  readonly byJoint: Readonly<Record<LoadedJoint, Readonly<Record<'0-2' | '3-4', ToldAnswer>>>>;
  readonly swappedToday: readonly LoadedJoint[];
  readonly nothingWhen: Readonly<Record<LoadedJoint, readonly string[]>>;
  readonly knownSides: Partial<Readonly<Record<LoadedJoint, Side>>>;
  readonly save: SaveSwap;
}

const key =
  'flex min-h-24 w-full cursor-pointer items-center justify-center rounded-md border-2 border-ink bg-board px-3 text-xl font-bold aria-pressed:bg-ink aria-pressed:text-board';
const small =
  'inline-flex min-h-12 cursor-pointer items-center rounded-md border-2 border-ink bg-board px-4 font-bold aria-pressed:bg-ink aria-pressed:text-board';

/**
 * Two taps in class: the joint, and how much. Both stay in view and can be tapped anew; what is offered stands beside them at
 * once. At the desk sharp or dull, where and which side are tapped too.
 */
export function SwapFlow({ about, byJoint, swappedToday, nothingWhen, knownSides, save }: Props) {
  const [joint, setJoint] = useState<LoadedJoint | 'muscle' | null>(null);
  const [grade, setGrade] = useState<SwapGrade | null>(null);
  const [sharp, setSharp] = useState<boolean | null>(null);
  const [where, setWhere] = useState<SwapWhere | null>(null);
  const [side, setSide] = useState<Side | null>(null);
  const [sign, setSign] = useState(false);
  const { put, fault } = useKeepingSwap(save, useTellKept());
  const tapJoint = (to: LoadedJoint | 'muscle') => {
    setJoint(to);
    setSign(false);
    setSide(to === 'muscle' ? null : (knownSides[to] ?? null));
  };
  const asked = joint !== null && joint !== 'muscle' && grade !== null ? { joint, grade } : null;
  const answer = asked ? answerOf(asked, { sharp, sign, byJoint, swappedToday }) : null;
  const send = (more: { instead: string | null; changes: readonly string[]; pain: number | null }, words: string) => {
    put({ sent: { ...about, joint, side, grade, sharp, where, sign, ...more }, told: words });
  };
  return (
    <div className="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-[15rem_11rem_1fr]">
      <section aria-labelledby="where-it-hurts">
        <Heading id="where-it-hurts">Where does it hurt?</Heading>
        <div className="mt-2 grid grid-cols-2 gap-2">
          {loadedJoints.map((j) => (
            <button key={j} type="button" className={key} aria-pressed={joint === j} onClick={() => tapJoint(j)}>
              <span className="first-letter:uppercase">{j}</span>
            </button>
          ))}
          <button
            type="button"
            className={`${key} text-base! leading-5`}
            aria-pressed={joint === 'muscle'}
            onClick={() => tapJoint('muscle')}
          >
            Muscles burn, both sides
          </button>
        </div>
      </section>
      <section aria-labelledby="how-much">
        <Heading id="how-much">How much of 10?</Heading>
        <div className="mt-2 grid gap-2 max-lg:grid-cols-3">
          {swapGrades.map((g) => (
            <button
              key={g}
              type="button"
              className={`${key} num`}
              aria-pressed={grade === g}
              onClick={() => setGrade(g)}
            >
              {gradeWords[g]}
            </button>
          ))}
        </div>
      </section>
      <section aria-labelledby="instead" aria-live="polite">
        <Heading id="instead">Today instead</Heading>
        {joint === 'muscle' && (
          <p className="mt-2 text-lg">
            Burning on both sides that goes when they stop is work, not pain. Rest, fewer, and go on.
          </p>
        )}
        {joint !== 'muscle' && !asked && (
          <p className="mt-2 text-lg text-ink-soft">Tap the joint, and how much it hurts.</p>
        )}
        {asked && (
          <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label="More of it, if there is time">
            <button
              type="button"
              className={small}
              aria-pressed={sharp === true}
              onClick={() => setSharp(sharp === true ? null : true)}
            >
              Sharp
            </button>
            <button
              type="button"
              className={small}
              aria-pressed={sharp === false}
              onClick={() => setSharp(sharp === false ? null : false)}
            >
              Dull
            </button>
            {asked.joint !== 'back' &&
              (['L', 'R'] as const).map((s) => (
                <button
                  key={s}
                  type="button"
                  className={small}
                  aria-pressed={side === s}
                  onClick={() => setSide(side === s ? null : s)}
                >
                  {s === 'L' ? 'Left' : 'Right'}
                </button>
              ))}
          </div>
        )}
        {answer?.kind === 'offers' && (
          <ul className="mt-3 space-y-2">
            {answer.offers.map((offer) => (
              <li key={`${offer.code} ${offer.told.join()}`}>
                <button
                  type="button"
                  className="flex min-h-24 w-full cursor-pointer items-center gap-4 rounded-md border-2 border-ink bg-board p-3 text-left"
                  onClick={() =>
                    send(
                      { instead: offer.code, changes: offer.changes, pain: null },
                      `${offer.name} today${offer.told.length > 0 ? `: ${offer.told.join(', ')}` : ''}.`,
                    )
                  }
                >
                  <span
                    className={`num w-14 shrink-0 text-center text-3xl font-extrabold ${lookOf(offer.pattern).words}`}
                  >
                    {offer.pattern}
                    {offer.rung}
                  </span>
                  <span className="min-w-0 flex-1">
                    <b className="text-lg">
                      {offer.name}
                      {offer.told.length > 0 && `, ${offer.told.join(', ')}`}
                    </b>
                    <span className="block text-sm">{offer.does}</span>
                    <span className="block text-sm text-ink-soft">{whyWords(offer.why, asked?.joint ?? 'knee')}</span>
                  </span>
                </button>
              </li>
            ))}
          </ul>
        )}
        {answer?.kind === 'nothing' && asked && (
          <Left key={`${answer.why}${asked.joint}`} answer={answer} joint={asked.joint} send={send} />
        )}
        {asked && answer?.kind === 'offers' && (
          <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-rule pt-3">
            <p className="min-w-0 flex-1">
              <b>Nothing of this if:</b> {nothingWhen[asked.joint].join('; ')}.
            </p>
            <button type="button" className={small} onClick={() => setSign(true)}>
              One of these
            </button>
          </div>
        )}
        {asked && (
          <div className="mt-3 flex flex-wrap gap-2 max-lg:hidden" role="group" aria-label="Where in the movement">
            {(Object.keys(whereWords) as SwapWhere[]).map((w) => (
              <button
                key={w}
                type="button"
                className={small}
                aria-pressed={where === w}
                onClick={() => setWhere(where === w ? null : w)}
              >
                {whereWords[w]}
              </button>
            ))}
          </div>
        )}
        <p role="alert" className="mt-2 font-semibold text-stop empty:hidden">
          {fault}
        </p>
      </section>
    </div>
  );
}

interface Told {
  readonly sharp: boolean | null;
  readonly sign: boolean;
  readonly byJoint: Props['byJoint'];
  readonly swappedToday: readonly LoadedJoint[];
}

function answerOf({ joint, grade }: { joint: LoadedJoint; grade: SwapGrade }, told: Told): ToldAnswer {
  if (told.sharp === true || told.sign) return { kind: 'nothing', why: 'sharp' };
  if (grade === '5+') return { kind: 'nothing', why: 'much' };
  if (told.swappedToday.includes(joint)) return { kind: 'nothing', why: 'again' };
  return told.byJoint[joint][grade];
}

/** Nothing is offered: what to do, and the pain noted with one tap. */
function Left({
  answer: { why },
  joint,
  send,
}: {
  answer: Nothing;
  joint: LoadedJoint;
  send: (more: { instead: null; changes: []; pain: number | null }, words: string) => void;
}) {
  const noPain = why === 'not-loaded' || why === 'none-open';
  const words = nothingWords[why].replace('{joint}', joint);
  return (
    <div className="mt-3 border-l-8 border-stop bg-board p-4">
      <p className="flex items-center gap-3 text-xl font-bold">
        <SignMark sign="stop" /> {noPain ? 'Leave this movement out today.' : 'Stop this movement today. Seat them.'}
      </p>
      <p className="mt-1">{words}</p>
      {noPain ? (
        <button
          type="button"
          className={`${small} mt-3`}
          onClick={() => send({ instead: null, changes: [], pain: null }, 'Left out today.')}
        >
          Leave it out
        </button>
      ) : (
        <>
          <p className="mt-2 font-bold" id="note-pain">
            How much now, 0 to 10? The tap notes it.
          </p>
          <div className="mt-2 flex flex-wrap gap-2" role="group" aria-labelledby="note-pain">
            {Array.from({ length: 11 }, (_, pain) => (
              <button
                key={pain}
                type="button"
                className={`${small} num min-w-14 justify-center text-xl`}
                onClick={() =>
                  send(
                    { instead: null, changes: [], pain },
                    `Left out today; pain ${pain} of 10 at the ${joint} is noted.`,
                  )
                }
              >
                {pain}
              </button>
            ))}
          </div>
        </>
      )}
    </div>
  );
}

const gradeWords: Readonly<Record<SwapGrade, string>> = { '0-2': '0 to 2', '3-4': '3 to 4', '5+': '5 and over' };
const whereWords: Readonly<Record<SwapWhere, string>> = {
  'going-down': 'Going there',
  'at-the-bottom': 'At the far end',
  'coming-up': 'Coming back',
  after: 'Afterwards',
};

const nothingWords: Readonly<Record<Nothing['why'], string>> = {
  sharp:
    'Sharp pain, or one of the signs, is not swapped: somebody licensed looks at it before this movement is done again.',
  much: '5 and over is not swapped. What stays easy and is not felt there may go on.',
  again: 'It was swapped for the {joint} today already, and hurts again: no second try.',
  'not-loaded': 'This movement hardly loads the {joint}: ask again where it hurts.',
  'none-open': 'Nothing that spares the {joint} is open to them today.',
};

const whyWords = (why: OfferShown['why'], joint: LoadedJoint): string =>
  why === 'same'
    ? 'The same movement, one thing changed.'
    : why === 'less'
      ? `Another movement that loads the ${joint} less.`
      : `Another movement that loads the ${joint} no more.`;
