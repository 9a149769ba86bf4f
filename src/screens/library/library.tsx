import type { ReactNode } from 'react';
import { cautions } from '../../catalogue/cautions/cautions';
import { measurementError } from '../../core/score/error';
import { momentsOf } from '../../core/score/rank';
import type { NormRow } from '../../core/shapes/norms';
import { hazards, type Protocol } from '../../core/shapes/protocol';
import { toKit } from '../../core/intake/cupboard';
import type { Place } from '../../core/shapes/person';
import { HazardMark } from '../drawing/hazardMark';
import { StateMark } from '../drawing/stateMark';
import { ButtonLink } from '../touch/button';
import { rowWords } from '../words';
import { SeatRow } from './seatRow';

/** Where the numbers come from, what there is to sit on, and the cautions in full. */
export function LibraryScreen({
  protocol,
  place,
  normsVersion,
  rulesVersion,
}: {
  protocol: Protocol;
  place: Place;
  normsVersion: string;
  rulesVersion: string;
}) {
  const kit = toKit(place.cupboard);
  return (
    <div className="pt-5">
      <h1 className="text-2xl font-extrabold">Library</h1>
      <div className="mt-3 grid gap-x-12 gap-y-8 lg:grid-cols-[1.35fr_1fr]">
        <NormTable protocol={protocol} normsVersion={normsVersion} />
        <div className="min-w-0 space-y-8">
          <section aria-labelledby="cupboard">
            <Heading id="cupboard">The cupboard of {place.name}</Heading>
            <p className="mt-2">
              Seats that can be built from chairs that stand firm,{' '}
              {kit.chairs.map((c) => `${c.heightCm} cm`).join(', ')}, with at most two pads:
            </p>
            <div className="mt-2">
              <SeatRow kit={kit} />
            </div>
            <ButtonLink look="line" href="/library/cupboard" className="mt-3" hotkey="C">
              Change what is there
            </ButtonLink>
          </section>
          <section aria-labelledby="cautions">
            <Heading id="cautions">Cautions</Heading>
            <p className="mt-2 font-semibold">{cautions.defer}</p>
            <Cautions title="Not today" mark="stop" lines={cautions.notToday} />
            <Cautions title="Stop now" mark="stop" lines={cautions.stopNow} />
            <Cautions title="Ask first" mark="watch" lines={cautions.askFirst} />
            <Cautions title="Always" mark="ready" lines={cautions.always} />
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
        Norms {normsVersion}, level rules {rulesVersion}. Thresholds of the levels are house rules: common practice, no
        published source.
      </p>
    </div>
  );
}

function Heading({ id, children }: { id: string; children: ReactNode }) {
  return (
    <h2 id={id} className="border-b-2 border-ink pb-1 text-lg font-bold">
      {children}
    </h2>
  );
}

function Cautions({
  title,
  mark,
  lines,
}: {
  title: string;
  mark: 'stop' | 'watch' | 'ready';
  lines: readonly string[];
}) {
  return (
    <>
      <h3 className="mt-3 flex items-center gap-2 font-bold">
        <StateMark mark={mark} silent /> {title}
      </h3>
      <ul className="list-disc pl-8">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </>
  );
}

function NormTable({ protocol, normsVersion }: { protocol: Protocol; normsVersion: string }) {
  const { norms, standard, reliability, cutoffs } = protocol;
  if (!norms || !reliability) return null;
  const standardOf = (row: NormRow) => {
    const found = standard?.rows.find((r) => r.sex === row.sex && r.ageLow === row.ageLow);
    return found && row.ageLow < (standard?.notFromAge ?? 0) ? found.limit : '–';
  };
  return (
    <section aria-labelledby="norms">
      <Heading id="norms">{protocol.title}: norm table</Heading>
      <table className="mt-2 w-full text-left">
        <thead className="text-sm text-ink-soft">
          <tr>
            {['Women and men', '25th', '75th', 'SD read', 'Smallest real change', 'Many keep'].map((head) => (
              <th key={head} className="py-1 pr-3 font-semibold">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {norms.rows.map((row) => (
            <tr key={rowWords(row)} className="border-t border-rule">
              <th className="py-1 font-semibold">{rowWords(row)}</th>
              <td className="num">{row.p25}</td>
              <td className="num">{row.p75}</td>
              <td className="num">{momentsOf(row).sd.toFixed(1)}</td>
              <td className="num">{measurementError(row, reliability).mdc95.toFixed(1)}</td>
              <td className="num">{standardOf(row)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-3 space-y-1 text-sm text-ink-soft">
        <li>
          Middle half: {norms.source.cite}. From memory, no paper was opened; confidence {norms.source.confidence}.
        </li>
        <li>
          Smallest real change: {reliability.source.cite}, R = {reliability.r}. From memory.
        </li>
        {standard && (
          <li>
            Many keep: {standard.source.cite}. From memory; not shown from {standard.notFromAge} on.
          </li>
        )}
        {cutoffs?.map((c) => (
          <li key={c.id}>
            {c.label}: under {c.limit === 'p25' ? 'the 25th of the row' : c.limit}; {c.source.cite}. From memory.
          </li>
        ))}
        <li>Norm version {normsVersion}.</li>
      </ul>
    </section>
  );
}
