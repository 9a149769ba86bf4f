import Link from 'next/link';
import type { UnitSystem } from '../../core/shapes/person';
import { tokenOf, type Thing, type ToBuy } from '../../core/train/seats/toBuy';
import { thingWords } from '../seatWords';
import { ButtonLink } from '../touch/button';
import { Heading } from '../touch/heading';
import { answerWords, countsOf, groupWords, nearerWords, withLess, withMore } from './toBuyWords';

interface Props {
  readonly units: UnitSystem;
  readonly counted: readonly Thing[];
  readonly unknown: readonly string[];
  readonly answer: ToBuy;
}

/** On a phone what is empty takes no line. */
const figure = (isTold: boolean): string => `pr-3 whitespace-nowrap md:text-right ${isTold ? '' : 'max-md:hidden!'}`;

/** Nobody weighs more against each other. */
const mostShown = 12;
/** Chairs are mostly bought by so many. */
const several = 4;

/**
 * What the hall should buy: the answer in two sentences, under it what each thing would do, beside it how the groups stand. A thing that is
 * counted as bought stands in the address, and the question is asked again of what is left.
 */
export function ToBuyScreen({ units, counted, unknown, answer }: Props) {
  const { now, things } = answer;
  const words = answerWords(answer, units);
  return (
    <>
      {unknown.length > 0 && (
        <p role="alert" className="mt-3 border-l-8 border-wood-dark bg-board px-4 py-2">
          Left out, as it names nothing to buy: {unknown.join(', ')}. Write chair-46, pad-3 or rail-200, in centimetres.
        </p>
      )}
      {now.length === 0 ? (
        <p className="mt-3">
          There is no group yet, and it is of groups that the question is asked.{' '}
          <Link href="/people/groups" className="text-squat underline underline-offset-4">
            Groups
          </Link>
        </p>
      ) : (
        <>
          <ul
            className={`mt-3 border-l-8 bg-board px-4 py-3 text-lg ${things.length > 0 ? 'border-wood-dark' : 'border-ready'}`}
            data-testid="to-buy"
          >
            {words.map((w, i) => (
              <li key={w} className={i === 0 ? 'font-bold' : ''}>
                {w}
              </li>
            ))}
          </ul>
          {counted.length > 0 && (
            <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
              <span>Counted as bought:</span>
              {countsOf(counted).map(({ thing, n }) => (
                <span key={tokenOf(thing)} className="inline-flex items-center gap-2">
                  <b>
                    {n} × {thingWords(thing, units)}
                  </b>
                  <ButtonLink look="line" href={withLess(counted, thing)}>
                    one less
                  </ButtonLink>
                </span>
              ))}
              <ButtonLink look="plain" href="/library/cupboard">
                It is here: write it in the cupboard
              </ButtonLink>
            </div>
          )}
          <div className="mt-5 grid items-start gap-x-12 gap-y-6 lg:grid-cols-[1.7fr_1fr]">
            {things.length > 0 && (
              <section aria-labelledby="each">
                <Heading id="each">What one more of each would do</Heading>
                <table className="mt-2 w-full text-left max-md:cards">
                  <thead className="text-sm text-ink-soft">
                    <tr>
                      <th className="py-1 pr-3 font-semibold">One more</th>
                      <th className="pr-3 text-right font-semibold">seats</th>
                      <th className="pr-3 text-right font-semibold">to their height</th>
                      <th className="pr-3 text-right font-semibold whitespace-nowrap">hold on</th>
                      <th className="pr-3 font-semibold">in</th>
                      <th className="font-semibold">count as bought</th>
                    </tr>
                  </thead>
                  <tbody>
                    {things.slice(0, mostShown).map((t) => (
                      <tr key={tokenOf(t)} className="border-t border-rule">
                        <th className="py-1 pr-3 font-bold whitespace-nowrap">{thingWords(t, units)}</th>
                        <td className={`num ${figure(t.seats > 0)}`} data-head="seats">
                          {t.seats > 0 ? `+${t.seats}` : ''}
                        </td>
                        <td className={figure(t.fewerCm !== 0)} data-head="to their height">
                          {nearerWords(t, units)}
                        </td>
                        <td className={`num ${figure(t.holds > 0)}`} data-head="hold on">
                          {t.holds > 0 ? `+${t.holds}` : ''}
                        </td>
                        <td className="pr-3 text-sm" data-head="in">
                          {t.groups.join(', ')}
                        </td>
                        <td className="py-1 whitespace-nowrap" data-head="count as bought">
                          <span className="inline-flex gap-2">
                            {[1, several].map((n) => (
                              <Link
                                key={n}
                                href={withMore(counted, t, n)}
                                aria-label={`Count ${n} as bought: ${thingWords(t, units)}`}
                                className="num inline-flex min-h-11 min-w-11 items-center justify-center rounded-md border-2 border-ink bg-board font-bold"
                              >
                                {n}
                              </Link>
                            ))}
                          </span>
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </section>
            )}
            <section aria-labelledby="groups-now">
              <Heading id="groups-now">
                {counted.length > 0 ? 'The groups with it' : 'The groups as they are now'}
              </Heading>
              <ul className="mt-2">
                {now.map((g) => (
                  <li key={g.name} className="border-t border-rule py-2">
                    <b>{g.name}</b>
                    <span className="block">{groupWords(g, units).join('; ')}</span>
                  </li>
                ))}
              </ul>
            </section>
          </div>
        </>
      )}
    </>
  );
}
