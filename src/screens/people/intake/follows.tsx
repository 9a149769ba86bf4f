import { stepHeightCm } from '../../../core/intake/cupboard';
import { limitersInForce } from '../../../core/intake/inForce';
import { knownOn } from '../../../core/intake/known';
import { painLimiters } from '../../../core/intake/pains';
import { sentenceIn, shortLengthWords, unitsOf } from '../../../core/math/units';
import { isCalendarDay } from '../../../core/math/days';
import type { IsoDate, Limiter } from '../../../core/shapes/facts';
import type { Entry, EntryContent, EntryOf } from '../../../core/shapes/intake';
import type { ReadinessRules } from '../../../core/shapes/readiness';
import { protocols } from '../../../catalogue/protocols';
import { cautions } from '../../../catalogue/cautions/cautions';
import type { PersonForm } from '../../../schemas/person';
import { StateMark } from '../../drawing/stateMark';
import { states, stateOfReadiness } from '../../states';
import { useUnits } from '../../frame/units';
import { useRules } from '../../frame/rules';

interface Props {
  readonly form: PersonForm;
  readonly notedFalls: readonly EntryOf<'fall'>[];
  readonly today: IsoDate;
}

/** What would be known if the form were saved as it stands, without the readiness questions. */
function knownFrom(form: PersonForm, notedFalls: Props['notedFalls'], today: IsoDate, rules: ReadinessRules) {
  const { withdrawn, limiters, ...facts } = form;
  const entry = (id: string, content: EntryContent): Entry => ({
    ...{ id, personId: '', on: today, savedAt: today, content },
  });
  const pains = form.pains.flatMap(({ asked: _, level, ...p }, i) =>
    level === null ? [] : [entry(`pain ${i}`, { kind: 'pain', ...p, level })],
  );
  const falls = form.falls
    .filter((f) => isCalendarDay(f.fellOn))
    .map((f, i) => entry(`fall ${i}`, { kind: 'fall', ...f }));
  const noted = notedFalls.filter((f) => !withdrawn.includes(f.id));
  const intake = { ...facts, limiters: limiters as Limiter[], notedOn: today, savedAt: today };
  return knownOn({ intakes: [intake], entries: [...noted, ...pains, ...falls] }, today, rules);
}

/** What the answers so far close and change, said at once. */
export function Follows({ form, notedFalls, today }: Props) {
  const units = useUnits();
  const rules = useRules();
  const known = knownFrom(form, notedFalls, today, rules.readiness);
  const inForce = limitersInForce(
    rules.levels.limiters,
    (known?.limiters ?? []).filter((l) => !l.unasked),
    today,
  );
  const rows = inForce.map(({ row }) => row);
  const reasons = known?.readiness.reasons.filter((r) => r.id !== 'to-ask') ?? [];
  const says = [
    ...new Set([
      ...inForce.map(({ row, limiter: { text = '' } }) => (row.asTicked && text !== '' ? `${text}.` : row.says)),
      ...(form.aidIndoors === 'none' ? [] : [cautions.aidIndoors]),
      ...(form.aidIndoors === 'walker' ? [cautions.walkerIndoors] : []),
      ...(form.followsTask ? [] : [cautions.notShown]),
      ...(form.armsFree ? [] : [cautions.armsNotFree]),
    ]),
  ];
  const closed = protocols.filter((p) => rows.some((row) => row.closesTests.includes(p.id)));
  const quiet = form.pains.filter(
    ({ level, ...p }) =>
      level !== null &&
      level > 0 &&
      painLimiters([{ ...p, level, reckoned: 9, askedOn: '', stale: false, answers: [] }]).length === 0,
  );
  const step = stepHeightCm({ kneecapCm: numberOr(form.kneecapCm), hipBoneCm: numberOr(form.hipBoneCm) });
  return (
    <section
      aria-labelledby="follows"
      aria-live="polite"
      tabIndex={0}
      className="border-l-8 border-watch bg-board p-4 lg:max-h-[calc(100vh-7.5rem)] lg:overflow-y-auto"
    >
      <h2 id="follows" className="text-lg font-bold">
        What follows from it
      </h2>
      {reasons.map((r) => (
        <p key={r.id} className="mt-2 flex items-start gap-2 font-semibold" data-testid="follows-reason">
          <StateMark state={stateOfReadiness(r.outcome, true)} silent />
          <span>
            {states[stateOfReadiness(r.outcome, true)].word}: {r.text}
          </span>
        </p>
      ))}
      {says.length === 0 && reasons.length === 0 && <p className="mt-2">Nothing is closed.</p>}
      <ul className="mt-2 list-disc space-y-2 pl-5">
        {says.map((line) => (
          <li key={line}>{sentenceIn(line, units)}</li>
        ))}
        {quiet.length > 0 && <li>Neck, elbow and hand close nothing by rule: ask before each test.</li>}
      </ul>
      {closed.length > 0 && (
        <p className="mt-3">
          <b>Left out:</b> {closed.map((p) => p.short.toLowerCase()).join(', ')}.
        </p>
      )}
      {step !== null && (
        <p className="mt-3">
          <b>Two-minute step:</b> mark the wall at{' '}
          <span className="num">{shortLengthWords(step, unitsOf[units].length)}</span>, half-way between kneecap and hip
          bone.
        </p>
      )}
      <p className="mt-4 text-sm">{cautions.defer}</p>
    </section>
  );
}

const numberOr = (value: unknown): number | null => (typeof value === 'number' ? value : null);
