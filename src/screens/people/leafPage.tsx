import { cautions } from '../../catalogue/cautions/cautions';
import { sentenceIn } from '../../core/math/units';
import type { Place } from '../../core/shapes/person';
import type { ReadinessQuestion } from '../../core/shapes/readiness';
import { ButtonLink } from '../touch/button';
import { PrintButton } from '../touch/printButton';
import { consentWords } from '../words';
import { ForGroup, type GroupChoice } from './forGroup';

interface Props {
  /** Whose leaves these are, a leaf each; one without a name where nobody is chosen. */
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly groups: readonly GroupChoice[];
  readonly groupId: string | null;
  readonly place: Place;
  readonly questions: readonly ReadinessQuestion[];
}

const lines = [
  ['Name', 'Born on'],
  ['Height', 'Weight'],
  ['To call if something happens', 'Telephone'],
  ['My doctor', 'Telephone'],
] as const;

/** What the intake asks, each answered by a tick. */
const ticks: readonly (readonly [asks: string, of: readonly string[]])[] = [
  ['I walk with', ['nothing', 'a stick', 'a walker']],
  ['Falls in the last twelve months', ['none', 'one', 'two or more']],
  ['After a fall', ['hurt', 'somebody looked at it', 'head struck']],
  ['New joint, with the year', ['hip', 'knee']],
  ['Ever: a bone broken by a small fall after 50', ['yes', 'no']],
  ['Over 4 cm shorter than when young', ['yes', 'no']],
  ['My tablets', ['thin the blood', 'lower sugar', 'make me dizzy']],
  ['Eyes and ears', ['see well enough for a step', 'hear well']],
  ['Lungs', ['inhaler', 'oxygen']],
  ['Feet', ['numb', 'feel well']],
  ['I can', ['lie down', 'kneel', 'get up from the floor']],
];

/**
 * One leaf a person, in large type, for whoever waits at the door: intake on its front, questions on its back, to be read
 * in later.
 */
export function LeafScreen({ people, groups, groupId, place, questions }: Props) {
  return (
    <div className="mx-auto max-w-3xl pt-5">
      <div className="mb-4 flex flex-wrap gap-4 print:hidden">
        <PrintButton />
        <ForGroup path="/people/leaf" groups={groups} groupId={groupId} none="one without a name" />
        <ButtonLink look="plain" href="/people/new">
          Read one in
        </ButtonLink>
      </div>
      {(people.length === 0 ? [{ id: '', name: '' }] : people).map((person) => (
        <Leaf key={person.id} name={person.name} place={place} questions={questions} />
      ))}
    </div>
  );
}

function Leaf({ name, place, questions }: Pick<Props, 'place' | 'questions'> & { readonly name: string }) {
  return (
    <article
      data-leaf
      className="mt-6 break-before-page first-of-type:break-before-auto border-2 border-ink bg-board p-4 text-[16pt] leading-[1.22] sm:p-8 print:border-0 print:bg-transparent print:p-0"
    >
      <p>
        <b>{[place.name, place.town].filter((w) => w !== '').join(', ')}</b>
      </p>
      <h1 className="mt-2 text-[20pt] font-extrabold">Before the first class: about me</h1>
      {lines.map((line) => (
        <p key={line.join()} className="mt-4 flex flex-wrap gap-4">
          {line.map((words, i) => (
            <Blank key={`${words}${i}`} words={words} wide={i === 0} written={words === 'Name' ? name : ''} />
          ))}
        </p>
      ))}
      <p className="mt-4 flex">
        <Blank words="What hurts, and how much, 0 to 10" wide />
      </p>
      <ul className="mt-3">
        {ticks.map(([asks, of]) => (
          <li key={asks} className="flex flex-wrap items-center gap-x-5 border-b border-rule py-1">
            <span className="min-w-0 flex-1 max-sm:min-w-full">{sentenceIn(asks, place.units)}</span>
            {of.map((words) => (
              <Box key={words} words={words} />
            ))}
          </li>
        ))}
      </ul>
      <p className="mt-4">
        I agree to {consentWords.tests} and {consentWords.notes}. I may take it back at any time.
      </p>
      <p className="mt-4 flex flex-wrap gap-4">
        <Blank words="Day" />
        <Blank words="Signature" wide />
      </p>
      <h2 className="mt-5 break-before-page text-[18pt] font-extrabold">Questions</h2>
      <ul>
        {questions.map((q) => (
          <li key={q.id} className="break-inside-avoid border-b border-rule py-1">
            {q.lead !== undefined && <p className="font-bold">{q.lead}</p>}
            <p className="flex items-center gap-x-5 max-sm:flex-wrap">
              <span className="min-w-0 flex-1 first-letter:uppercase max-sm:min-w-full">{q.asks}</span>
              <Box words="yes" />
              <Box words="no" />
            </p>
          </li>
        ))}
      </ul>
      <p className="mt-4">{cautions.onPaper}</p>
    </article>
  );
}

function Blank({ words, wide = false, written = '' }: { words: string; wide?: boolean; written?: string }) {
  return (
    <span className={`flex min-w-0 items-end gap-2 max-sm:min-w-full ${wide ? 'flex-2' : 'flex-1'}`}>
      <span>{words}</span>
      <span className="min-w-8 flex-1 border-b-2 border-ink font-bold">{written}</span>
    </span>
  );
}

function Box({ words }: { words: string }) {
  return (
    <span className="inline-flex items-center gap-2">
      <span aria-hidden className="inline-block size-5 border-2 border-ink" /> {words}
    </span>
  );
}
