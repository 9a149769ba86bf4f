import { Heading } from '../touch/heading';
import Link from 'next/link';

import type { LevelRules } from '../../core/shapes/ladder';
import { cautions } from '../../catalogue/cautions/cautions';
import { hazards, type Protocol } from '../../core/shapes/protocol';
import { shortLengthWords, unitsOf } from '../../core/math/units';
import { toKit } from '../../core/intake/cupboard';
import type { Place } from '../../core/shapes/person';
import { HazardMark } from '../drawing/hazardMark';
import { ButtonLink } from '../touch/button';
import { LadderTables } from './ladderTables';
import { SeatRow } from './seatRow';

/** Where the numbers come from, what there is to sit on, and the cautions in full. */
export function LibraryScreen({
  protocols,
  place,
  normsVersion,
  rules,
}: {
  protocols: readonly Protocol[];
  place: Place;
  normsVersion: string;
  rules: LevelRules;
}) {
  const kit = toKit(place.cupboard);
  const unit = unitsOf[place.units].length;
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">Library</h1>
      <div className="mt-3 grid gap-x-12 gap-y-8 lg:grid-cols-[1.35fr_1fr]">
        <div className="min-w-0 space-y-8">
          <section aria-labelledby="norms">
            <Heading id="norms">Norms and limits</Heading>
            <p className="mt-2">
              Every table as printed, with its source; the row of anybody lit, and a result scored without keeping it.
            </p>
            <ul className="mt-2">
              {protocols.map((p) => (
                <li key={p.id} className="border-b border-rule">
                  <Link href={`/library/norms/${p.id}`} className="flex min-h-11 items-center gap-3">
                    <b className="underline decoration-rule underline-offset-4">{p.title}</b>
                    <span className="ml-auto text-sm text-ink-soft">{figuresOf(p)}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
          <section aria-labelledby="ladders">
            <Heading id="ladders">Ladders</Heading>
            <p className="mt-2">
              What each rung asks for, with room for a bad day already taken off. House rules: common practice, no
              published source, but for the chair stand of S5.
            </p>
            <LadderTables rules={rules} units={place.units} />
            <p className="mt-3 flex flex-wrap gap-3">
              <ButtonLink look="line" href="/library/coaching">
                How it is coached
              </ButtonLink>
              <ButtonLink look="line" href="/library/exercises">
                Exercises of our own
              </ButtonLink>
            </p>
          </section>
        </div>
        <div className="min-w-0 space-y-8">
          <section aria-labelledby="cupboard">
            <Heading id="cupboard">The cupboard of {place.name}</Heading>
            <p className="mt-2">
              Seats that can be built from chairs that stand firm,{' '}
              {kit.chairs.map((c) => shortLengthWords(c.heightCm, unit)).join(', ')}, with at most two pads:
            </p>
            <div className="mt-2">
              <SeatRow kit={kit} unit={unit} />
            </div>
            <p className="mt-3 flex flex-wrap gap-3">
              <ButtonLink look="line" href="/library/cupboard" hotkey="C">
                Change what is there
              </ButtonLink>
              <ButtonLink look="line" href="/library/buy">
                What to buy
              </ButtonLink>
              <ButtonLink look="plain" href="/library/seat">
                A seat to hover over
              </ButtonLink>
            </p>
          </section>
          <section aria-labelledby="cautions">
            <Heading id="cautions">Cautions</Heading>
            <p className="mt-2 font-semibold">{cautions.defer}</p>
            <Cautions title="Not today" lines={cautions.notToday} />
            <Cautions title="Stop now" lines={cautions.stopNow} />
            <Cautions title="Ask first" lines={cautions.askFirst} />
            <Cautions title="Always" lines={cautions.always} />
            <ul className="mt-2 space-y-1">
              {hazards.map((hazard) => (
                <li key={hazard} className="flex items-center gap-3">
                  <HazardMark hazard={hazard} /> {cautions.byHazard[hazard]}
                </li>
              ))}
            </ul>
          </section>
        </div>
      </div>
      <p className="mt-6 text-sm text-ink-soft">
        Norms {normsVersion}, level rules {rules.version}. Thresholds of the levels are house rules: common practice, no
        published source.
      </p>
    </div>
  );
}

function Cautions({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <>
      <h3 className="mt-3 font-bold">{title}</h3>
      <ul className="list-disc pl-8">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </>
  );
}

/** What was published for a test, in a few words. */
function figuresOf({ norms, cutoffs, standard, reliability }: Protocol): string {
  const forms = { 'middle-half': 'middle half', 'mean-sd': 'mean and spread', 'mean-ci': 'mean', limit: 'limit' };
  return (
    [
      ...(norms ? [forms[norms.kind]] : []),
      ...(cutoffs ? ['watch lines'] : []),
      ...(standard ? ['what many keep'] : []),
      ...(reliability ? ['error'] : []),
    ].join(', ') || 'no norms published'
  );
}
