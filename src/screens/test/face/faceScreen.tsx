'use client';
import { useEffect, useState } from 'react';
import { TimeLeft } from '../laneClock';
import { hearFaces, type FaceNow, type FaceStation } from './channel';

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
          {now.kind === 'signs' && <Signs lines={now.lines} />}
          {now.kind === 'board' && <Stations stations={now.stations} />}
          <div className={`flex flex-1 gap-1 bg-ink ${now.kind === 'test' ? '' : 'hidden'}`}>
            {(now.kind === 'test' ? now.lanes : []).map(({ letter, name, goWallMs, durationS, result }) => (
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

const over = (now: FaceNow | null): boolean => now?.kind === 'test' && now.lanes.every((l) => l.result !== null);

/** What is read to the room, to be read along. */
function Signs({ lines }: { lines: readonly string[] }) {
  return (
    <ul className="flex flex-1 flex-col justify-evenly px-[4vw] py-4 text-[clamp(22px,3.1vw,64px)] leading-tight font-bold">
      {lines.map((line) => (
        <li key={line} className="border-b-2 border-rule first-letter:uppercase">
          {line}
        </li>
      ))}
    </ul>
  );
}

/** Who is called where, by first letters. */
function Stations({ stations }: { stations: readonly FaceStation[] }) {
  return (
    <div className="grid flex-1 auto-cols-fr gap-1 bg-ink md:grid-flow-col">
      {stations.map(({ name, now, next }) => (
        <section key={name} className="flex flex-col items-center justify-center gap-4 bg-board p-4 text-center">
          <h2 className="text-[clamp(24px,3vw,56px)] font-bold">{name}</h2>
          <p className="text-[clamp(48px,9vw,180px)] leading-none font-extrabold">{now === '' ? '·' : now}</p>
          {next !== '' && (
            <p className="text-[clamp(24px,3.4vw,64px)]">
              next <b>{next}</b>
            </p>
          )}
        </section>
      ))}
    </div>
  );
}
