import type { SeatRow, SeatWhyNot } from '../../core/load/seatChoice';
import { sentenceIn, shortLengthWords, unitsOf } from '../../core/math/units';
import type { UnitSystem } from '../../core/shapes/person';
import { Button } from '../touch/button';
import { Field, TextBox } from '../touch/field';

interface Typed {
  readonly height: string;
  readonly shown: string;
  readonly wall: string;
}

interface Found {
  readonly typed: Typed;
  readonly faults: Partial<Record<keyof Typed, string>>;
  readonly answer: {
    readonly rows: readonly (SeatRow & { readonly roomDeg: number })[];
    readonly chosenCm: number | null;
    readonly compared: boolean;
    readonly shownCm: number;
    readonly ankleDeg: number;
    readonly assumed: boolean;
    readonly capCm: number;
    readonly helped: readonly { readonly with: 'pad' | 'wedge' | 'rail'; readonly cm: number }[];
  } | null;
}

/**
 * Which seat of the cupboard somebody hovers over, and why not a lower one: asked by the address of the page, as nothing is
 * kept. The answer stands in one sentence over the table, so that only who doubts it reads on.
 */
export function SeatFinder({
  found,
  units,
  fromRecords,
}: {
  found: Found;
  units: UnitSystem;
  /** What stands in the fields is of the person the page was opened from. */
  fromRecords: boolean;
}) {
  const { typed, faults, answer } = found;
  const unit = unitsOf[units].length;
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">A seat to hover over</h1>
      <p className="mt-2 max-w-3xl">
        For slow squats that stop just over the seat, arms stretched forward. It compares seats for one body seen from
        the side, at rest; it measures nobody. A normal stand-up has momentum and asks for less balance.
      </p>
      {fromRecords && (
        <p className="mt-2 font-semibold">Filled in from their records; change a figure to try another.</p>
      )}
      <form method="get" className="mt-4 flex flex-wrap items-start gap-x-6">
        <Typing name="height" label={`Body height, ${unit}`} typed={typed} faults={faults} units={units} required />
        <Typing
          name="shown"
          label={`Seat they rose from, ${unit}`}
          typed={typed}
          faults={faults}
          units={units}
          required
        />
        <Typing name="wall" label={`Knee to wall, ${unit} (if tested)`} typed={typed} faults={faults} units={units} />
        <Button type="submit" className="mt-6">
          Find the seat
        </Button>
      </form>
      {answer && <Answer answer={answer} units={units} />}
    </div>
  );
}

function Typing({
  name,
  label,
  typed,
  faults,
  units,
  required = false,
}: {
  name: keyof Typed;
  label: string;
  typed: Typed;
  faults: Found['faults'];
  units: UnitSystem;
  required?: boolean;
}) {
  const fault = faults[name];
  return (
    <Field label={label} name={name} fault={fault === undefined ? undefined : sentenceIn(fault, units)}>
      <TextBox
        num
        className="mt-1 block w-32"
        id={name}
        name={name}
        inputMode="decimal"
        required={required}
        defaultValue={typed[name]}
        aria-invalid={fault !== undefined}
        aria-describedby={`${name}-fault`}
      />
    </Field>
  );
}

function Answer({ answer, units }: { answer: NonNullable<Found['answer']>; units: UnitSystem }) {
  const { rows, chosenCm, compared, shownCm, ankleDeg, assumed, capCm, helped } = answer;
  const unit = unitsOf[units].length;
  const words = (cm: number) => shortLengthWords(cm, unit);
  const chosen = rows.find((row) => row.cm === chosenCm);
  const lower = rows.findLast((row) => chosenCm !== null && row.cm < chosenCm);
  return (
    <section aria-labelledby="answer" className="mt-2">
      <h2 id="answer" className="border-l-8 border-squat bg-board px-4 py-3 text-xl font-bold">
        {chosen
          ? `${words(chosen.cm)}: ${effortWords(chosen)}, ${roomWords(chosen.roomDeg)}${chosen.roomDeg > 8 ? ' of' : ''} room`
          : rows.length === 0
            ? 'No chair that stands firm is listed in the cupboard yet.'
            : 'No seat in the cupboard does.'}
      </h2>
      {rows.length > 0 &&
        helped.map((help) => (
          <p key={help.with} className="mt-2 font-semibold">
            {helpWords(help.with, words)}: {words(help.cm)} and up.
          </p>
        ))}
      {chosen && lower?.whyNot && (
        <p className="mt-2">
          {words(lower.cm)} is not: {whyNotWords[lower.whyNot]}.
        </p>
      )}
      <p className="mt-2">
        The ankle bends {Math.round(ankleDeg)} degrees
        {assumed ? ', which is assumed: a knee-to-wall test would settle it' : ', by knee to wall'}.{' '}
        {!compared &&
          `Over the seat of ${words(shownCm)} itself nobody of this body hovers: there is nothing to compare with, and the lowest that can be done counts.`}
      </p>
      <table className="mt-4 w-full text-left max-md:cards">
        <thead className="border-b-2 border-ink text-sm text-ink-soft">
          <tr>
            {['Seat', 'Front of the thigh', 'Buttock and back of the thigh', 'Room', 'So'].map((head) => (
              <th key={head} className="pr-3 font-semibold">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.cm} className={`border-b border-rule ${row.cm === chosenCm ? 'bg-wood-pale font-bold' : ''}`}>
              <td data-head="Seat" className="num h-11 pr-3">
                {words(row.cm)}
              </td>
              <td data-head="Front of the thigh" className="num pr-3">
                {percent(row.kneePct)}
              </td>
              <td data-head="Buttock and back" className="num pr-3">
                {percent(row.hipPct)}
              </td>
              <td data-head="Room" className="pr-3">
                {row.fit.reasons.length > 0 ? '–' : `${roomWords(row.roomDeg)}, ${row.roomDeg.toFixed(1)}°`}
              </td>
              <td data-head="So">
                {row.cm === chosenCm ? 'this one' : row.whyNot === null ? 'does too' : whyNotWords[row.whyNot]}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 text-sm text-ink-soft">
        Effort against the seat of {words(shownCm)}; under a tenth is about the same. At most {words(capCm)}: not far
        over it, and a fifth over the height of the kneecap. Lengths of the body by its height, from memory; a tenth
        more effort, three degrees of room: common practice, no published source.
      </p>
    </section>
  );
}

const helpWords = (help: 'pad' | 'wedge' | 'rail', words: (cm: number) => string): string =>
  ({
    pad: 'A firm pad would do',
    wedge: `A firm wedge of ${words(2)} under both heels would do`,
    rail: 'Both hands on a fixed rail, pulling lightly, would do',
  })[help];

const percent = (pct: number | null): string => (pct === null ? '–' : `${Math.round(pct)} %`);

const whyNotWords: Readonly<Record<SeatWhyNot, string>> = {
  'far-under-shown': 'too far under the seat they rose from',
  'over-cap': 'higher than slow squats go here',
  'no-posture': 'no posture of this body and these ankles holds there',
  knee: 'asks clearly more of the front of the thigh',
  hip: 'asks clearly more of buttock and back of the thigh',
  room: 'leaves no room for a bad moment',
};

function effortWords({ kneePct, hipPct }: SeatRow): string {
  if (kneePct === null || hipPct === null) return 'the lowest that can be done';
  const same = (pct: number) => Math.abs(pct - 100) < 10;
  if (same(kneePct) && same(hipPct)) return 'about the effort of the seat shown';
  return `front of the thigh ${percent(kneePct)}, buttock and back of the thigh ${percent(hipPct)} of the seat shown`;
}

/** In the words of the trade for degrees of shin. */
function roomWords(deg: number): string {
  if (deg <= 0) return 'no';
  return deg < 3 ? 'a little' : deg <= 8 ? 'some' : 'plenty';
}
