import { string, ValidationError, type AnyObject, type InferType } from 'yup';
import { outcomes, walkingAids } from '../core/shapes/facts';
import type { Protocol } from '../core/shapes/protocol';
import { asText, exactly, listOf, numberIn, oneOf, typedDay, wholeIn, yesNo } from './building';
import { bodyLimits, fourStageSeconds, helps, resultFaults } from './requests';

/** One line of a sheet: a test of a person, as written on paper. */
const line = (protocols: ReadonlyMap<string, Protocol>) =>
  exactly({
    /** Made when the line was first shown, so that a sheet sent twice adds nothing twice. */
    key: string().required(),
    personId: string().required(),
    test: oneOf([...protocols.keys()]).required('Choose the test.'),
    side: oneOf(['L', 'R']).nullable().defined(),
    aid: oneOf(walkingAids).required(),
    outcome: oneOf(outcomes).required(),
    tries: listOf(numberIn(-200, 1000).required(), 10).required(),
    handsUsed: yesNo().required(),
    cleanBeforeHands: wholeIn(0, 300).nullable().defined(),
    seconds: fourStageSeconds().nullable().default(undefined),
    help: oneOf(helps).nullable().defined(),
  }).test('fits-its-test', function (value: AnyObject | undefined) {
    const protocol = protocols.get(asText(value?.['test']));
    if (!value || !protocol) return true;
    const faults = lineFaults(value as SheetLine, protocol).map((message) =>
      this.createError({ path: `${this.path}.tries`, message }),
    );
    return faults.length === 0 || new ValidationError(faults);
  });

/** In words for the end of the line: a form is read by a person, who sees which number is meant. */
function lineFaults(
  { tries, outcome, seconds, cleanBeforeHands, handsUsed, side, help }: SheetLine,
  protocol: Protocol,
) {
  const faults: string[] = [];
  const most = protocol.tries?.count ?? 1;
  const { min, max, whole } = protocol.range;
  const done = outcome === 'done';
  if (tries.length > most) faults.push(`At most ${most} ${most === 1 ? 'result' : 'tries'}.`);
  const off = tries.find((t) => t < min || t > max || (whole && !Number.isInteger(t)));
  if (off !== undefined)
    faults.push(`${off}: ${whole ? 'a whole number' : 'a number'} from ${min} to ${max} ${protocol.unit}.`);
  if (done && tries.length === 0 && !seconds && !protocol.asksHelp) faults.push('Write the result.');
  if (!done && (tries.length > 0 || seconds)) faults.push('A result goes with “done” only.');
  const counted = tries[0];
  if (handsUsed && cleanBeforeHands !== null && counted !== undefined && cleanBeforeHands > counted)
    faults.push('Not more clean stands than all together.');
  const rest = resultFaults({ side, help: help ?? undefined, outcome: 'not-tried' }, protocol);
  return [...faults, ...rest.map(([, message]) => message)];
}

export interface SheetLine {
  readonly key: string;
  readonly personId: string;
  readonly test: string;
  readonly side: 'L' | 'R' | null;
  readonly aid: (typeof walkingAids)[number];
  readonly outcome: (typeof outcomes)[number];
  readonly tries: readonly number[];
  readonly handsUsed: boolean;
  readonly cleanBeforeHands: number | null;
  readonly seconds?: { sideBySide: number; semiTandem: number; tandem: number; oneLeg: number } | null | undefined;
  readonly help: (typeof helps)[number] | null;
}

/** A sheet of paper results: one day, one hand, one chair, many lines. */
export const sheetForm = (protocols: readonly Protocol[], today: string) =>
  exactly({
    testedOn: typedDay()
      .required('Write the day it was done.')
      .test('not-in-future', 'This day is still to come.', (v?: string) => v === undefined || v <= today),
    who: string().defined().max(80, 'At most 80 letters.'),
    seatHeightCm: numberIn(...bodyLimits.seatCm, 'cm')
      .nullable()
      .defined(),
    shoes: oneOf(['flat', 'cushioned', 'barefoot']).required(),
    /** A correction: these stand for their day, also where it was timed at the station. */
    despite: yesNo(),
    counts: yesNo(),
    lines: listOf(line(new Map(protocols.map((p) => [p.id, p]))).required(), 500).required(),
  }).test('seat', function (value: AnyObject | undefined) {
    const sheet = value as { seatHeightCm?: number | null; lines?: readonly { test?: string }[] } | undefined;
    const seated = (sheet?.lines ?? []).some((l) => protocols.find((p) => p.id === l.test)?.seatCm !== undefined);
    if (!seated || sheet?.seatHeightCm != null) return true;
    return this.createError({ path: 'seatHeightCm', message: 'Write the height of the seat.' });
  });

export type SheetForm = InferType<ReturnType<typeof sheetForm>>;
