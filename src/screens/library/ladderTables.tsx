import Link from 'next/link';
import { setPatterns } from '../../core/shapes/facts';
import { supportWords } from '../../core/level/support';
import { sentenceIn, sentencesIn } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import type { Ladder, LevelRules, MeasuredFact, Need } from '../../core/shapes/ladder';
import { CourtLine, lookOf } from '../drawing/patterns';

/** Every rung of every ladder with what it asks for; what lower rungs ask of the person is asked too. */
export function LadderTables({ rules, units }: { rules: LevelRules; units: UnitSystem }) {
  return (
    <div className="mt-2 space-y-2">
      {[...rules.ladders, ...rules.accessories].map((ladder) => (
        <details key={ladder.pattern}>
          <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3">
            <span className={`text-2xl leading-8 font-extrabold ${lookOf(ladder.pattern).words}`}>
              {ladder.pattern}
            </span>
            <b className="underline decoration-rule underline-offset-4">{ladder.title}</b>
            <span className="ml-auto text-sm text-ink-soft">
              {ladder.rungs.length} {setPatterns.has(ladder.pattern) ? 'items, side by side' : 'rungs'}
            </span>
          </summary>
          <CourtLine pattern={ladder.pattern} />
          <Rungs ladder={sentencesIn(ladder, units)} measured={rules.measured} units={units} />
        </details>
      ))}
    </div>
  );
}

function Rungs({
  ladder: { pattern, rungs },
  measured,
  units,
}: {
  ladder: Ladder;
  measured: readonly MeasuredFact[];
  units: UnitSystem;
}) {
  return (
    <table className="w-full text-left">
      <thead className="text-sm text-ink-soft">
        <tr>
          <th className="py-1 pr-3 font-semibold">Rung</th>
          <th className="font-semibold">Asks for</th>
        </tr>
      </thead>
      <tbody>
        {[...rungs].reverse().map((rung) => (
          <tr key={rung.rung} className="border-t border-rule align-top">
            <th className="py-1.5 pr-3 font-normal">
              <span className="num font-bold">{rung.rung}</span>{' '}
              <Link
                href={`/library/moves/${pattern}${rung.rung}`}
                className="inline-flex min-h-11 items-center font-bold text-squat underline underline-offset-4"
              >
                {rung.name}
              </Link>
              <span className="block text-sm text-ink-soft">{rung.does}</span>
            </th>
            <td className="w-1/2 py-1.5">
              {sentenceIn(rung.needs.map((need) => needWords(need, measured)).join('; '), units) || 'nothing'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What a rung needs, in a few words. */
export function needWords(need: Need, measured: readonly MeasuredFact[]): string {
  if ('anyOf' in need) return need.anyOf.map((one) => needWords(one, measured)).join(', or ');
  if ('support' in need) return `hands as free as ${supportWords[need.support]}`;
  if ('walkerIndoors' in need)
    return `${needWords(need.otherwise, measured)}, with a walker indoors ${needWords(need.walkerIndoors, measured)}`;
  if (!('fact' in need)) return need.why;
  if ('notPast' in need) return need.why;
  const fact = measured.find((m) => m.id === need.fact);
  if (!fact || fact.reads === 'managed') return fact?.title ?? need.fact;
  const asked = 'under' in need ? `under ${need.under}` : need.atLeast;
  return `${fact.short} ${asked}${fact.unit === 's' || fact.unit === 'cm' ? ` ${fact.unit}` : ''}`;
}
