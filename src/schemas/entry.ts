import { mixed, string, type AnyObject, type InferType, type Schema } from 'yup';
import { patterns, readinessOutcomes } from '../core/shapes/facts';
import {
  clearanceAnswers,
  consents,
  daySigns,
  incidentKinds,
  joints,
  noticedThings,
  questionIds,
  yesNoUnknown,
  type EntryContent,
} from '../core/shapes/intake';
import { loadedJoints } from '../core/shapes/ladder';
import { styleQuestionIds } from '../core/shapes/style';
import { swapGrades, swapWheres } from '../core/shapes/swap';
import { day, exactly, listOf, oneOf, wholeIn, within, words, yesNo } from './building';
import { fallFields } from './person';

const kind = <K extends string>(k: K) => oneOf([k]).required();
const pressure = () =>
  exactly({
    systolic: wholeIn(60, 260, 'mmHg').required('is needed'),
    diastolic: wholeIn(30, 160, 'mmHg').required('is needed'),
  }).test('order', 'systolic must be above diastolic', ({ systolic, diastolic }) => systolic > diastolic);

/** What may be noted of a person, a schema a kind. */
const contents = (today: string): Readonly<Record<string, Schema>> => ({
  pain: exactly({
    kind: kind('pain'),
    joint: oneOf(joints).required('is needed'),
    side: oneOf(['L', 'R']).nullable().defined(),
    level: wholeIn(0, 10).required('is needed'),
    since: day().nullable().defined(),
  }),
  fall: exactly({ kind: kind('fall'), ...fallFields(today).fields }),
  screening: exactly({
    kind: kind('screening'),
    answers: exactly(Object.fromEntries([...questionIds, 'symptoms'].map((id) => [id, yesNo()]))).required('is needed'),
  }),
  'carried-over': exactly({
    kind: kind('carried-over'),
    outcome: oneOf(readinessOutcomes).required('is needed'),
    why: string().max(300).defined('is needed'),
  }),
  clearance: exactly({
    kind: kind('clearance'),
    by: words(2, 'Write who answered.').max(80).required('Write who answered.'),
    answer: oneOf(clearanceAnswers).required('Choose what was answered.'),
    limits: string()
      .max(300, 'Keep it under 300 letters.')
      .defined()
      .when('answer', ([answer], schema) =>
        answer === 'may-with-limits' ? schema.concat(words(2, 'Write the limits as they were given.')) : schema,
      ),
    until: day().nullable().defined(),
    answeredOn: day()
      .nullable()
      .test('past', 'This day is still to come.', (v?: string | null) => !v || v <= today),
  }),
  consent: exactly({
    kind: kind('consent'),
    to: oneOf(consents).required('is needed'),
    given: yesNo().required('is needed'),
  }),
  'day-check': exactly({
    kind: kind('day-check'),
    signs: listOf(oneOf(daySigns).required(), daySigns.length).required('is needed'),
    pulse: wholeIn(30, 220, 'a minute').nullable().defined(),
    pressures: listOf(pressure().required(), 2).required('is needed'),
    skippedBecause: words(3, 'Write why in a few words.').max(200).nullable().defined(),
  }),
  incident: exactly({
    kind: kind('incident'),
    at: string()
      .matches(
        /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/,
        'must be a time with its offset, ISO 8601',
      )
      .required('is needed'),
    what: listOf(oneOf(incidentKinds).required(), incidentKinds.length).min(1, 'Choose what happened.').required(),
    head: oneOf(yesNoUnknown).required('is needed'),
    bloodThinners: oneOf(yesNoUnknown).required('is needed'),
    called: string().max(200).defined(),
    note: string().max(1000).defined(),
  }),
  shown: exactly({
    kind: kind('shown'),
    pattern: oneOf(patterns).required('is needed'),
    rung: wholeIn(1, 9).required('is needed'),
    heldS: wholeIn(1, 600, 's'),
    seatCm: wholeIn(20, 90, 'cm'),
  }),
  noticed: exactly({ kind: kind('noticed'), what: oneOf(noticedThings).required('is needed') }),
  coaching: exactly({
    kind: kind('coaching'),
    question: oneOf(styleQuestionIds).required('is needed'),
    option: string().max(40).required('Choose one.'),
    reason: words(3, 'Write why, in a few words.').max(200).required('Write why, in a few words.'),
  }),
  swap: exactly({
    kind: kind('swap'),
    pattern: oneOf(patterns).required('is needed'),
    rung: wholeIn(1, 9).required('is needed'),
    joint: oneOf(loadedJoints).required('is needed'),
    side: oneOf(['L', 'R']).nullable().defined(),
    grade: oneOf(swapGrades).required('is needed'),
    sharp: yesNo().nullable().defined(),
    where: oneOf(swapWheres).nullable().defined(),
    sign: yesNo().required('is needed'),
    instead: string().max(40).nullable().defined(),
    changes: listOf(string().max(100).required(), 6).required('is needed'),
  }),
  withdrawn: exactly({
    kind: kind('withdrawn'),
    entryId: string().max(64).required('is needed'),
    reason: words(2, 'Write why.').max(200).required('Write why.'),
  }),
});

/** One entry as it is sent: which person, known from which day, and what. */
export const entryBody = (today: string) => {
  const byKind = contents(today);
  return exactly({
    personId: string().max(64).required('is needed'),
    on: day()
      .required('is needed')
      .test('past', `is still to come: today is ${today}`, (v?: string) => v === undefined || v <= today),
    content: mixed<EntryContent>()
      .required('is needed')
      .test('content', function (value: AnyObject | undefined) {
        const of: unknown = value?.['kind'];
        const schema = typeof of === 'string' && Object.hasOwn(byKind, of) ? byKind[of] : undefined;
        if (!schema)
          return this.createError({
            path: `${this.path}.kind`,
            message: `must be one of: ${Object.keys(byKind).join(', ')}`,
          });
        try {
          schema.validateSync(value, { strict: true, abortEarly: false });
          return true;
        } catch (fault) {
          return within(this.path, fault);
        }
      }),
  });
};

export type EntryBody = InferType<ReturnType<typeof entryBody>>;
