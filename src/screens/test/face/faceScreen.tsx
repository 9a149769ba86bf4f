'use client';
import { useEffect, useState } from 'react';
import { TimeLeft } from '../laneClock';
import { hearFaces, type FaceNow } from './channel';

/**
 * For those who are tested, on a second window or a tablet turned round: name and time, nothing else until the end, as a
 * count that runs would make two chairs a race. The last result stays until the next test.
 */
export function FaceScreen() {
  const [now, setNow] = useState<FaceNow | null>(null);
  useEffect(() => hearFaces((shown) => setNow((before) => shown ?? (over(before) ? before : null))), []);
  return (
    <main className="fixed inset-0 flex flex-col bg-board text-ink" data-testid="face">
      {now === null ? (
        <p className="m-auto text-[6vw] font-extrabold">Ready Stool</p>
      ) : (
        <>
          <h1 className="border-b-4 border-ink px-8 py-3 text-[3vw] font-bold">{now.title}</h1>
          <div className="flex flex-1 gap-1 bg-ink">
            {now.lanes.map(({ letter, name, goWallMs, durationS, result }) => (
              <section
                key={letter ?? name}
                className="@container flex flex-1 flex-col items-center justify-center gap-6 bg-board p-4 text-center"
              >
                <h2 className="text-[clamp(32px,16cqw,160px)] leading-tight font-extrabold">
                  {letter && <span className="mr-4 border-4 border-ink px-4">{letter}</span>}
                  {name}
                </h2>
                {result === null ? (
                  <p className="text-[clamp(28px,10cqw,96px)] [&_span]:ml-0! [&_span]:text-[inherit]!">
                    <TimeLeft
                      goMs={goWallMs === null ? null : goWallMs - performance.timeOrigin}
                      durationS={durationS}
                    />
                  </p>
                ) : (
                  <p className="num text-[clamp(40px,20cqw,220px)] leading-none font-bold" data-testid="face-result">
                    {result}
                  </p>
                )}
              </section>
            ))}
          </div>
        </>
      )}
    </main>
  );
}

const over = (now: FaceNow | null): boolean => now?.lanes.every((l) => l.result !== null) === true;
