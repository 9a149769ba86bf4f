import { cautions } from '../../catalogue/cautions/cautions';
import type { Report } from '../../core/view/report';
import { lengthWords, massWords, shortLengthWords, unitsOf, type LengthUnit } from '../../core/math/units';
import { scoredUnit } from '../../core/score/scoreResult';
import type { ScoredResult, TestView } from '../../core/view/testView';
import type { Protocol } from '../../core/shapes/protocol';
import { shownTest } from '../shownTest';
import { aidWords, dayWords, limiterLine, monthYear, tableWords, told } from '../words';
import { inPlainOrder, plainChange, plainPlace, plainStanding } from './plainWords';
import { changeWords } from './rail';
import { cited } from './says';
import { amongWords, cutoffWords, resultWords, sideName, standingWords } from './testWords';

/** The sheet of paper itself, out of all that it is printed from. */
export function ReportSheet({ report }: { report: Report }) {
  const forPerson = report.reader === 'person';
  return (
    <article className="border-2 border-ink bg-board p-4 sm:p-8 print:border-0 print:bg-transparent print:p-0 print:text-black">
      <p className={`flex justify-between gap-6 ${forPerson ? 'text-[16pt]' : ''}`}>
        <b>{report.hall}</b>
        <span>{dayWords(report.printedOn)}</span>
      </p>
      {forPerson ? <ForPerson report={report} /> : <ForClinician report={report} />}
      <p className={`mt-5 ${forPerson ? 'text-[16pt]' : 'text-[12pt]'}`}>{cautions.onPaper}</p>
    </article>
  );
}

/**
 * 16 point and up, own words, no figures but the results themselves: what went well first, each with its day, the number
 * before and the new one.
 */
function ForPerson({ report }: { report: Report }) {
  const { person, percent } = report;
  const had = report.tests.filter((t) => t.series[0]?.results[0]?.result.value != null);
  const { tests, next } = inPlainOrder(had);
  return (
    <div className="text-[16pt] leading-snug">
      <h1 className="mt-3 text-[24pt] font-extrabold">{person.name}: my results</h1>
      {report.together === 'clearly-better' && (
        <p className="mt-2 font-bold">Taken together: clearly better than before.</p>
      )}
      {tests.length === 0 && <p className="mt-4">Nothing has been tested yet.</p>}
      <ul className="mt-3">
        {tests.map((test) => {
          const protocol = shownTest(test.test, report.units);
          const newest = test.series[0]?.results[0];
          if (!protocol || !newest) return null;
          return (
            <li key={test.test} className="border-t-2 border-ink py-2 break-inside-avoid">
              <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                <b>{protocol.short}</b>
                <span>{dayWords(newest.on)}</span>
              </p>
              {test.series.map(({ side, results: [is, was] }) =>
                is ? (
                  <p key={side}>
                    {side && test.series.length > 1 && `${sideName(side)}: `}
                    <b className="num">{resultWords(protocol, is)}</b>
                    {was && ` (${resultWords(protocol, was)} in ${monthYear(was.on)})`}
                  </p>
                ) : null,
              )}
              <p>
                {newest.conditions.despite !== undefined &&
                  `Done although it was closed: ${newest.conditions.despite}.`}
                {(newest.conditions.despite === undefined
                  ? [
                      plainChange(newest, test.series[0]?.results[1]?.on),
                      plainStanding(protocol, test, test.test === next),
                      percent ? plainPlace(newest.score).trim() : '',
                    ]
                  : []
                )
                  .filter((words) => words !== '')
                  .join(' ')}
              </p>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

const clinicianHeads = ['Test', 'Day', 'Result and how', 'Among peers', 'Lines', 'Change, smallest real change'];

/** Raw values, how they were had, what they are held against, and the change against the error. */
function ForClinician({ report }: { report: Report }) {
  const { person, ageYears, tests, composites } = report;
  const sources = new Map<string, number>();
  const mark = (cite: string): number => {
    const known = sources.get(cite) ?? sources.size + 1;
    sources.set(cite, known);
    return known;
  };
  const rows = tests.flatMap((test) => {
    const protocol = shownTest(test.test, report.units);
    return protocol
      ? test.series.flatMap((s) =>
          s.results[0] ? [rowOf(protocol, test, s.results[0], s.side, mark, unitsOf[report.units].length)] : [],
        )
      : [];
  });
  const noted = [
    ...report.limiters.filter((l) => !l.unasked).map(limiterLine),
    ...report.falls.map((f) => `a fall on ${dayWords(f.fellOn)}${f.hurt ? ', hurt' : ''}`),
  ];
  return (
    <div className="text-[12pt] leading-snug">
      <h1 className="mt-2 text-xl font-extrabold">Functional fitness results: {person.name}</h1>
      <p>
        Born {dayWords(person.birthDate)}, {ageYears}, norm table {tableWords(person.normTable)}
        {report.heightCm !== null && `, ${lengthWords(report.heightCm, unitsOf[report.units].length)}`}
        {report.massKg !== null && `, ${massWords(report.massKg, unitsOf[report.units].mass)}`}. Noted:{' '}
        {noted.join('; ') || 'nothing'}.
      </p>
      <table className="mt-2 w-full text-left max-lg:screen:cards">
        <thead>
          <tr className="border-b-2 border-ink">
            {clinicianHeads.map((head) => (
              <th key={head} className="pr-2 pb-0.5 align-bottom font-semibold">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((cells) => (
            <tr key={cells.key} className="border-b border-rule align-top">
              {cells.words.map((words, i) => (
                <td
                  key={i}
                  className={`py-1 pr-2 ${i === 0 ? 'font-bold' : ''}`}
                  data-head={i === 0 ? undefined : clinicianHeads[i]}
                >
                  {words}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {(composites.battery || composites.power) && (
        <p className="mt-2">
          {composites.battery &&
            `Three-part battery ${composites.battery.total} of 12 (standing ${composites.battery.balance}, walk ${composites.battery.gait}, stands ${composites.battery.stands}) [${mark(cited(composites.battery.source))}]. `}
          {composites.power &&
            `Power of rising ${composites.power.watts.toFixed(0)} W, ${composites.power.wattsPerKg.toFixed(2)} W/kg, ${composites.power.low ? 'under' : 'not under'} ${composites.power.limit} [${mark(cited(composites.power.source))}].`}
        </p>
      )}
      <p className="mt-2 text-[12pt]">
        Percentiles from quartiles read as normal, good to about five points. A change is called clear from 1.96 √2
        standard errors on and probable from √2 (about 5 in 6), like for like; of several unchanged tests one in twenty
        looks clearly changed. Norms {report.normsVersion}.{' '}
        {[...sources].map(([cite, n]) => `[${n}] ${cite}`).join(' ')}
      </p>
    </div>
  );
}

function rowOf(
  protocol: Protocol,
  test: TestView,
  scored: ScoredResult,
  side: 'L' | 'R' | null,
  mark: (cite: string) => number,
  unit: LengthUnit,
): { readonly key: string; readonly words: readonly string[] } {
  const { score, conditions, result } = scored;
  const how = [
    ...(result.trials ? [`of ${result.trials.map((t) => told(t, protocol.unit)).join(', ')}`] : []),
    ...(conditions.seatHeightCm === undefined ? [] : [`seat ${shortLengthWords(conditions.seatHeightCm, unit)}`]),
    ...((conditions.aid ?? 'none') === 'none' ? [] : [`with ${aidWords[conditions.aid ?? 'none']}`]),
    ...(scored.fromPaper ? ['from paper'] : []),
    ...(conditions.despite === undefined ? [] : [`although closed: ${conditions.despite}`]),
  ].join(', ');
  const change = changeWords(scored.change);
  const peers =
    score.rank.kind === 'no-norm'
      ? standingWords(score)
      : `${standingWords(score)}, ${amongWords(score)}${score.normSource ? ` [${mark(cited(score.normSource))}]` : ''}`;
  return {
    key: scored.key,
    words: [
      `${protocol.short}${side ? `, ${sideName(side)}` : ''}`,
      dayWords(scored.on),
      `${resultWords(protocol, scored)}${how ? `; ${how}` : ''}`,
      peers,
      score.cutoffs
        .map(
          (c) => `${c.past ? 'past' : 'not past'} ${cutoffWords(c)} ${scoredUnit(protocol)} [${mark(cited(c.source))}]`,
        )
        .join('; ') || '–',
      [change.verdict, change.size, test.sides?.flagged ? 'sides far apart' : ''].filter((w) => w !== '').join('; '),
    ],
  };
}
