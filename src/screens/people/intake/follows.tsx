import { stepHeightCm } from '../../../core/intake/cupboard';
import { limitersInForce } from '../../../core/intake/inForce';
import { painLimiters } from '../../../core/intake/pains';
import { sentenceIn, shortLengthWords, unitsOf } from '../../../core/math/units';
import type { IsoDate, Limiter } from '../../../core/shapes/facts';
import { protocols } from '../../../catalogue/protocols';
import { cautions } from '../../../catalogue/cautions/cautions';
import type { PersonForm } from '../../../schemas/person';
import { useUnits } from '../../frame/units';
import { useRules } from '../../frame/rules';

/** What the answers so far close and change, said at once. */
export function Follows({ form, today }: { form: PersonForm; today: IsoDate }) {
  const units = useUnits();
  const pains = form.pains.map((p) => ({ ...p, reckoned: p.level, askedOn: '', stale: false, answers: [] }));
  const limiters = [...painLimiters(pains.filter((p) => p.level > 0)), ...form.limiters] as Limiter[];
  const rows = limitersInForce(useRules().levels.limiters, limiters, today).map(({ row }) => row);
  const says = [...new Set(rows.map((row) => row.says))];
  const closed = protocols.filter((p) => rows.some((row) => row.closesTests.includes(p.id)));
  const quiet = form.pains.filter(
    (p) => p.level > 0 && painLimiters([{ ...p, reckoned: 9, askedOn: '', stale: false, answers: [] }]).length === 0,
  );
  const step = stepHeightCm({ kneecapCm: numberOr(form.kneecapCm), hipBoneCm: numberOr(form.hipBoneCm) });
  return (
    <section aria-labelledby="follows" aria-live="polite" className="border-l-8 border-watch bg-board p-4">
      <h2 id="follows" className="text-lg font-bold">
        What follows from it
      </h2>
      {says.length === 0 && <p className="mt-2">Nothing is closed.</p>}
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
