'use client';
import { useState } from 'react';
import type { Protocol } from '../../core/shapes/protocol';
import { walkingAids, type WalkingAid } from '../../core/shapes/facts';
import { cautions } from '../../catalogue/cautions/cautions';
import { HazardMark } from '../drawing/hazardMark';
import { StateMark } from '../drawing/stateMark';
import { sentenceIn } from '../../core/math/units';
import { useUnits } from '../frame/units';
import { useKeys } from '../frame/keys';
import { Button, ButtonLink } from '../touch/button';
import { Step, useSettled } from '../touch/step';
import { aidWords } from '../words';
import type { Known } from '../../core/intake/known';
import type { Held } from '../../core/intake/mayStart';
import type { SetUp, StationPerson } from './station';
import { Choice } from '../touch/field';
import { MeasureField } from '../touch/measureField';

interface Props {
  readonly person: StationPerson;
  readonly known: Known;
  readonly held: Held | null;
  /** Whether other devices are being asked what they noted. */
  readonly asking: boolean;
  /** Opens the check of the day once more; `null` where none was made. */
  readonly checkAgain: (() => void) | null;
  readonly protocol: Protocol;
  readonly emergencyNumber: string;
  readonly start: (setUp: SetUp) => void;
  readonly back: () => void;
}

const shoes = ['flat', 'cushioned', 'barefoot'] as const;

/** What to put up and what to say, read once; then the one big button. */
export function SetUpScreen({
  person,
  known,
  held,
  asking,
  checkAgain,
  protocol,
  emergencyNumber,
  start,
  back,
}: Props) {
  const [seat, setSeat] = useState<number | string | null>(
    known.intake.seatHeightCm ?? Math.round(protocol.seatCm ?? 43),
  );
  const units = useUnits();
  const [aid, setAid] = useState<WalkingAid>('none');
  const [shoe, setShoe] = useState<(typeof shoes)[number]>('flat');
  const seatFault =
    typeof seat === 'number' && seat >= 30 && seat <= 60
      ? null
      : sentenceIn('Write the height of the seat: 30 to 60 cm.', units);
  const ready = held === null && typeof seat === 'number' && seatFault === null;
  const settled = useSettled();
  const go = () => {
    if (typeof seat === 'number') start({ person, conditions: { seatHeightCm: seat, aid, shoes: shoe } });
  };
  useKeys('page', (event) => {
    if (event.repeat || !['Space', 'Enter'].includes(event.code) || !ready || !settled()) return false;
    go();
    return true;
  });
  return (
    <Step className="pt-5">
      <div className="flex flex-wrap items-baseline gap-4">
        <h1 className="text-3xl font-extrabold">{person.name}</h1>
        <p className="text-xl">{protocol.title}</p>
        <Button look="plain" className="ml-auto" onClick={back}>
          Somebody else
        </Button>
      </div>
      {held ? (
        <div className="mt-6 border-l-8 border-stop bg-board p-5">
          <p className="flex items-center gap-3 text-xl font-bold">
            <StateMark state="held" silent /> {held.what}
          </p>
          <p className="mt-2 text-lg">{held.nextStep}</p>
          <p className="mt-2">If somebody is unwell now, seat them, stay with them and call {emergencyNumber}.</p>
          <div className="mt-4 flex flex-wrap gap-4">
            {known.readiness.asked !== 'current' && known.readiness.outcome === 'ask-first' ? (
              <ButtonLink href={`/people/${person.id}/readiness`} hard>
                Ask the questions
              </ButtonLink>
            ) : (
              <ButtonLink look="line" href={`/people/${person.id}/readiness`} hard>
                See what is noted
              </ButtonLink>
            )}
            {known.readiness.outcome !== 'not-today' && (
              <ButtonLink look="line" href={`/people/${person.id}/tests`} hard>
                What stays open
              </ButtonLink>
            )}
            {checkAgain && (
              <Button look="line" onClick={checkAgain}>
                Do the check of today again
              </Button>
            )}
          </div>
        </div>
      ) : (
        <div className="mt-5 grid gap-8 lg:grid-cols-[1.1fr_1fr]">
          <section>
            <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">Put up</h2>
            <ul className="mt-2 list-disc space-y-1.5 pl-5">
              {protocol.setUp.map((line) => (
                <li key={line}>{sentenceIn(line, units)}</li>
              ))}
            </ul>
            <h2 className="mt-5 border-b-2 border-ink pb-1 text-lg font-bold">Say</h2>
            <p className="mt-2 text-xl font-semibold">“{protocol.say}”</p>
            <p className="mt-3">
              <b>Practice:</b> {protocol.practice}
            </p>
          </section>
          <section>
            <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">How it is done today</h2>
            <div className="mt-3 flex flex-wrap gap-5">
              <MeasureField
                label="Seat"
                name="seat"
                measure="length"
                value={typeof seat === 'number' ? seat : null}
                set={setSeat}
                fault={seatFault ?? undefined}
              />
              <label className="font-semibold">
                Aid in the test
                <Choice
                  className="mt-1 block"
                  value={aid}
                  onChange={(event) => {
                    setAid(walkingAids.find((a) => a === event.target.value) ?? 'none');
                  }}
                >
                  {walkingAids.map((a) => (
                    <option key={a} value={a}>
                      {aidWords[a]}
                    </option>
                  ))}
                </Choice>
              </label>
              <label className="font-semibold">
                Shoes
                <Choice
                  className="mt-1 block"
                  value={shoe}
                  onChange={(event) => {
                    setShoe(shoes.find((s) => s === event.target.value) ?? 'flat');
                  }}
                >
                  {shoes.map((s) => (
                    <option key={s}>{s}</option>
                  ))}
                </Choice>
              </label>
            </div>
            <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">Mind</h2>
            <ul className="mt-2 space-y-2">
              {(protocol.hazards ?? []).map((hazard) => (
                <li key={hazard} className="flex items-center gap-3 font-semibold">
                  <HazardMark hazard={hazard} /> {cautions.byHazard[hazard]}
                </li>
              ))}
              {[...protocol.cautions, ...person.cautions, ...known.readiness.limits, ...careWords(known)].map(
                (line) => (
                  <li key={line} className="ml-5 list-item list-disc">
                    {sentenceIn(line, units)}
                  </li>
                ),
              )}
            </ul>
          </section>
        </div>
      )}
      {!held && (
        <div className="mt-6 flex flex-wrap items-center gap-5 border-t-4 border-ink pt-4">
          <Button className="min-h-24 text-2xl max-sm:w-full sm:min-w-96" hotkey="Space" disabled={!ready} onClick={go}>
            {asking ? 'One moment …' : 'To the practice'}
          </Button>
          <p>
            Fitness screening, not a diagnosis. Licensed professionals and local rules come first. Emergency:{' '}
            <b className="num">{emergencyNumber}</b>
          </p>
        </div>
      )}
    </Step>
  );
}

/** What to do for somebody who is ready, with care. */
function careWords({ readiness, dayCheck }: Known): string[] {
  const care = readiness.reasons.filter((r) => r.outcome === 'ready-with-care').map((r) => `${r.text}: ${r.nextStep}`);
  const skipped = dayCheck?.content.skippedBecause ?? null;
  return [...care, ...(skipped === null ? [] : [`The check of today was left out: ${skipped}.`])];
}
