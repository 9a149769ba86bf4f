import { array, mixed, string, type AnyObject, type InferType } from 'yup';
import { eventBys, eventKindsOf, floors, stopReasons, type AttemptEvent } from '../core/shapes/attempt';
import { deviceIds } from '../core/shapes/device';
import { outcomes, walkingAids } from '../core/shapes/facts';
import { inNewWords } from '../core/shapes/oldWords';
import { day, exactly, listOf, numberIn, oneOf, wholeIn, within, yesNo } from './building';
import { boot } from './device';
import { parse, type Parsed } from './parse';
import { bodyLimits, fourStageSeconds, helps } from './requests';

export const conditionsFields = () =>
  exactly({
    seatHeightCm: numberIn(...bodyLimits.seatCm, 'cm'),
    aid: oneOf(walkingAids),
    shoes: oneOf(['flat', 'cushioned', 'barefoot']),
    warmUp: yesNo(),
    floor: oneOf(floors),
    assessor: string().max(80),
    despite: string().max(300),
  });

const stamp = {
  seq: wholeIn(0, 100_000).required('is needed'),
  atMs: numberIn(-3_600_000, 86_400_000, 'ms').required('is needed'),
  wallMs: numberIn(0, 1e14, 'ms').required('is needed'),
  by: oneOf(eventBys).required('is needed'),
  try: wholeIn(0, 20),
  device: oneOf(deviceIds),
  boot: boot(),
  n: wholeIn(0, 1e9),
};
const reason = () => string().typeError('must be text').max(300, 'must have at most 300 letters').required('is needed');

/** What each kind of event carries besides its stamp. */
const carries = {
  practice: { reps: wholeIn(0, 20).required('is needed') },
  start: {},
  'false-start': {},
  rep: {},
  undo: {},
  hands: {},
  'not-full': { ofSeq: wholeIn(0, 100_000).required('is needed') },
  'let-go': {},
  finish: {},
  touch: {},
  rest: {},
  'go-on': {},
  stage: {
    id: string().typeError('must be text').max(20).required('is needed'),
    held: yesNo(),
    answer: numberIn(-1000, 1000),
    second: numberIn(0, 1000),
    seatCm: numberIn(...bodyLimits.seatCm, 'cm'),
  },
  reading: { value: numberIn(-200, 1000).required('is needed'), unit: oneOf(['cm', 'in']) },
  caught: {},
  pain: { value: wholeIn(0, 10).required('is needed') },
  effort: { value: wholeIn(0, 10).required('is needed') },
  'half-rep': { counts: yesNo().required('is needed') },
  gap: { lengthMs: numberIn(0, 86_400_000, 'ms').required('is needed') },
  end: {},
  agree: {},
  stop: { reason: oneOf(stopReasons).required('is needed') },
  halt: {},
  note: { text: reason() },
  entered: {
    value: numberIn(-200, 1000).nullable().defined(),
    handsUsed: yesNo().required('is needed'),
    cleanBeforeHands: wholeIn(0, 300),
    outcome: oneOf(outcomes),
    trials: listOf(numberIn(-200, 1000).required('is needed'), 10).optional(),
    seconds: fourStageSeconds().optional().default(undefined),
    help: oneOf(helps),
    who: string().typeError('must be text').max(80, 'must have at most 80 letters'),
    counts: yesNo().oneOf([true], 'is true or left out'),
  },
  condition: { ...conditionsFields().fields, reason: reason() },
  strike: { ofSeq: wholeIn(0, 100_000).required('is needed'), reason: reason() },
  add: { value: numberIn(-200, 1000).required('is needed'), reason: reason() },
  prefer: { reason: reason() },
  move: { toPersonId: string().required('is needed'), reason: reason() },
} as const satisfies Record<AttemptEvent['kind'], object>;

/** The kinds are those of one list, which whoever stores an attempt goes by too. */
const kinds = [...new Set(Object.values(eventKindsOf).flat())];
const schemas = new Map(
  kinds.map((kind) => [kind, exactly({ kind: oneOf([kind]).required(), ...stamp, ...carries[kind] })]),
);

/** One event, checked by the schema of its own kind. */
const event = mixed<AttemptEvent>()
  .required('is needed')
  .test('event', function (value: unknown) {
    const schema = schemas.get((value as AnyObject | null)?.['kind'] as AttemptEvent['kind']);
    if (!schema) return this.createError({ path: `${this.path}.kind`, message: `must be one of: ${kinds.join(', ')}` });
    try {
      schema.validateSync(value, { strict: true, abortEarly: false });
      const { by, device, boot: since, n } = value as AttemptEvent;
      const named = [device, since, n].filter((part) => part !== undefined).length;
      return named === (by === 'device' ? 3 : 0)
        ? true
        : this.createError({ message: 'a device, and nobody else, says device, boot and n' });
    } catch (fault) {
      return within(this.path, fault);
    }
  });

/** The whole list of events of one attempt, as it is sent each time. */
export const attemptBody = exactly({
  personId: string().typeError('must be text').required('is needed'),
  test: string().typeError('must be text').required('is needed'),
  protocolVersion: wholeIn(1, 1000).required('is needed'),
  sittingDate: day().required('is needed'),
  side: oneOf(['L', 'R']).nullable(),
  conditions: conditionsFields().required('is needed'),
  events: array()
    .of(event)
    .typeError('must be a list')
    .min(1, 'must hold at least one event')
    .max(5000, 'must hold at most 5000 events')
    .required('is needed'),
});

export type AttemptBody = InferType<typeof attemptBody>;

/** Parses what was sent of an attempt; words of earlier versions are taken as those of now. */
export function parseAttempt(input: unknown): Parsed<AttemptBody> {
  const sent = input as { readonly events?: unknown } | null;
  const known = typeof input === 'object' && sent !== null && Array.isArray(sent.events);
  return parse(attemptBody, known ? { ...sent, events: (sent.events as readonly unknown[]).map(inNewWords) } : input);
}
