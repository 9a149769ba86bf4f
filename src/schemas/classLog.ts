import { array, mixed, string } from 'yup';
import { notDoneWhys, stopWhys, type ClassLogContent } from '../core/shapes/classLog';
import { patterns } from '../core/shapes/facts';
import { loadedJoints } from '../core/shapes/ladder';
import { formCheckCodes } from '../core/shapes/move';
import { swapGrades } from '../core/shapes/swap';
import { asText, exactly, listOf, numberIn, oneOf, wholeIn, within, words, yesNo } from './building';

const pattern = () => oneOf(patterns).required('is needed');
const kind = (k: string) => oneOf([k]).required();
const side = () => oneOf(['L', 'R']).nullable().defined();

/** What each kind of line holds, all of it and nothing else. */
const contents = {
  present: exactly({ kind: kind('present') }),
  absent: exactly({ kind: kind('absent') }),
  seen: exactly({ kind: kind('seen'), pattern: pattern() }),
  asked: exactly({ kind: kind('asked'), what: oneOf(['pain', 'effort', 'next-day']).required('is needed') }),
  fewer: exactly({
    ...{ kind: kind('fewer'), pattern: pattern(), half: oneOf(['more', 'less']).required('is needed') },
    done: exactly({ of: oneOf(['rounds', 'each']).required('is needed'), n: wholeIn(1, 60).required('is needed') })
      .optional()
      .default(undefined),
  }),
  form: exactly({
    ...{ kind: kind('form'), pattern: pattern(), check: oneOf(formCheckCodes).required('is needed') },
    putRight: yesNo().required('is needed'),
  }),
  pain: exactly({
    ...{ kind: kind('pain'), pattern: oneOf(patterns).nullable().defined() },
    ...{ joint: oneOf(loadedJoints).required('is needed'), side: side() },
    ...{ level: wholeIn(0, 10).required('is needed'), sharp: yesNo().required('is needed') },
  }),
  effort: exactly({
    ...{ kind: kind('effort'), pattern: oneOf(patterns).nullable().defined() },
    value: wholeIn(0, 10).required('is needed'),
  }),
  support: exactly({
    kind: kind('support'),
    pattern: pattern(),
    change: oneOf(['more', 'less']).required('is needed'),
  }),
  seat: exactly({ kind: kind('seat'), pattern: pattern(), change: oneOf(['higher', 'lower']).required('is needed') }),
  swap: exactly({
    ...{ kind: kind('swap'), pattern: pattern(), code: string().max(40).defined() },
    forPain: yesNo().required('is needed'),
    hurt: exactly({
      ...{ joint: oneOf(loadedJoints).required('is needed'), side: side() },
      grade: oneOf(swapGrades).required('is needed'),
    })
      .optional()
      .default(undefined),
    changes: listOf(string().max(100).required(), 6).optional(),
  }),
  stop: exactly({
    ...{ kind: kind('stop'), pattern: pattern(), why: oneOf(stopWhys).required('is needed') },
    set: oneOf(['first', 'later']).required('is needed'),
  }),
  'not-done': exactly({ kind: kind('not-done'), pattern: pattern(), why: oneOf(notDoneWhys).required('is needed') }),
  'next-day': exactly({
    ...{ kind: kind('next-day'), worse: yesNo().required('is needed') },
    ...{ joint: oneOf(loadedJoints).nullable().defined(), side: side() },
  }),
  given: exactly({ kind: kind('given'), to: string().max(64).nullable().defined() }),
  both: exactly({
    ...{ kind: kind('both'), writer: string().max(64).required('is needed') },
    ofSeq: wholeIn(0, 100_000).required('is needed'),
    other: string().max(64).required('is needed'),
    otherSeq: wholeIn(0, 100_000).required('is needed'),
  }),
  strike: exactly({
    ...{ kind: kind('strike'), writer: string().max(64).required('is needed') },
    ofSeq: wholeIn(0, 100_000).required('is needed'),
    reason: words(3, 'Write why, in a few words.').max(200).defined(),
  }),
  start: exactly({ kind: kind('start') }),
  hold: exactly({ kind: kind('hold') }),
  go: exactly({ kind: kind('go') }),
  jump: exactly({ kind: kind('jump'), toS: numberIn(0, 20_000, 's').required('is needed') }),
  close: exactly({ kind: kind('close'), late: yesNo().required('is needed') }),
} as const;

/** Every kind of line there is. */
export const classLogKinds: readonly string[] = Object.keys(contents);

const isKind = (k: string): k is keyof typeof contents => Object.hasOwn(contents, k);

const content = () =>
  mixed<ClassLogContent>()
    .required('is needed')
    .test('content', function (value: unknown) {
      const k = asText((value as { readonly kind?: unknown } | null)?.kind);
      if (!isKind(k))
        return this.createError({ message: `must be of one of these kinds: ${classLogKinds.join(', ')}` });
      try {
        contents[k].validateSync(value, { strict: true, abortEarly: false });
        return true;
      } catch (fault) {
        return within(this.path, fault);
      }
    });

/** The whole log of one tablet, from its first line on. */
export const logBody = exactly({
  lines: listOf(
    exactly({
      seq: wholeIn(0, 100_000).required('is needed'),
      wallMs: numberIn(0, 1e14, 'ms').required('is needed'),
      personId: string().max(64).nullable().defined(),
      content: content(),
    }).required(),
    5000,
  ).required('is needed'),
});

/** Which of the proposals of a class. */
export const seqs = () => array().of(wholeIn(0, 1000).required()).max(500).required();

/** A line that is struck after the class, with why. */
export const correctionBody = exactly({
  writer: string().max(64).required('is needed'),
  ofSeq: wholeIn(0, 100_000).required('is needed'),
  reason: words(3, 'Write why, in a few words.').max(200).required('Write why, in a few words.'),
});
