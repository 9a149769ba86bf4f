'use client';
import type { Joint } from '../../../core/shapes/intake';
import type { Side } from '../../../core/shapes/facts';
import type { PersonForm } from '../../../schemas/person';
import { BodyFigure } from '../../drawing/bodyFigure';
import { Button } from '../../touch/button';
import { dayWords, placeWords } from '../../words';
import { TextBox } from '../../touch/field';
import { PainKeys } from '../../touch/painKeys';

type Pain = PersonForm['pains'][number];

export interface PainAsked {
  readonly joint: Joint;
  readonly side: Side | null;
  readonly on: string;
  readonly stale: boolean;
}

interface Props {
  readonly pains: readonly Pain[];
  readonly change: (pains: Pain[]) => void;
  /** When each was asked before. */
  readonly asked: readonly PainAsked[];
  readonly today: string;
  readonly faultAt: (pain: Pain) => string | undefined;
}

const same = (a: { joint: string; side: Side | null }, b: { joint: string; side: Side | null }) =>
  a.joint === b.joint && a.side === b.side;

/** What hurts: tap it on the figure, say how much; the list says the same in words. */
export function PainList({ pains, change, asked, today, faultAt }: Props) {
  // One that is told anew keeps its place in the list.
  const set = (pain: Pain) =>
    change(pains.some((p) => same(p, pain)) ? pains.map((p) => (same(p, pain) ? pain : p)) : [...pains, pain]);
  return (
    <div className="flex flex-wrap gap-x-8 gap-y-4">
      <div className="flex flex-wrap gap-4">
        {(['front', 'back'] as const).map((view) => (
          <BodyFigure
            key={view}
            view={view}
            levelAt={(joint, side) => {
              const pain = pains.find((p) => same(p, { joint, side }));
              return pain && (pain.level ?? '?');
            }}
            words={(joint, side) => {
              const level = pains.find((p) => same(p, { joint, side }))?.level;
              return `${placeWords(joint, side)}, ${view}${level == null ? '' : `: ${level} of 10`}`;
            }}
            tap={(joint, side) => {
              if (!pains.some((p) => same(p, { joint, side })))
                set({ joint, side, level: null, since: null, asked: true });
              requestAnimationFrame(() => document.getElementById(rowId(joint, side))?.focus());
            }}
          />
        ))}
      </div>
      <ul className="min-w-72 flex-1" aria-label="What hurts">
        {pains.map((pain) => {
          const before = asked.find((a) => same(a, pain));
          const place = placeWords(pain.joint, pain.side);
          return (
            <li key={place} className="border-b border-rule py-2">
              <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                <b className="min-w-32 first-letter:uppercase">{place}</b>
                <label className="flex items-center gap-2 text-sm">
                  since
                  <TextBox
                    size="line"
                    num
                    type="date"
                    max={today}
                    value={pain.since ?? ''}
                    onChange={(event) => set({ ...pain, since: event.target.value || null, asked: true })}
                  />
                </label>
                <Button
                  look="plain"
                  onClick={() => change(pains.filter((p) => !same(p, pain)))}
                  aria-label={`gone: ${place} no longer hurts`}
                >
                  gone
                </Button>
              </div>
              <PainKeys
                id={rowId(pain.joint, pain.side)}
                place={place}
                level={pain.asked ? pain.level : null}
                say={(level) => set({ ...pain, level, asked: true })}
              />
              <p className="text-sm font-semibold text-stop empty:hidden">{faultAt(pain)}</p>
              {before && !pain.asked && (
                <div className="flex flex-wrap items-center gap-3 text-sm">
                  <span className={before.stale ? 'font-semibold text-watch' : 'text-ink-soft'}>
                    {pain.level} of 10, asked {dayWords(before.on)}
                    {before.stale &&
                      ', over two weeks ago: the worst of the last answers counts until it is asked again'}
                  </span>
                  <Button look="line" className="min-h-11!" onClick={() => set({ ...pain, asked: true })}>
                    Still so
                  </Button>
                </div>
              )}
              {pain.asked && pain.level !== null && <p className="text-sm text-ink-soft">asked today</p>}
            </li>
          );
        })}
        {pains.length === 0 && <li className="py-2 text-ink-soft">Nothing hurts. Tap a joint where something does.</li>}
      </ul>
    </div>
  );
}

const rowId = (joint: Joint, side: Side | null): string => `pain-${joint}-${side ?? 'middle'}`;
