import Link from 'next/link';
import type { Path, PathStep, StepState } from '../../core/view/path';
import { stepTitles, type Step } from '../../core/steps';

interface Props {
  readonly path: Path;
  readonly hrefs: Readonly<Record<Step, string>>;
  readonly here: Step | null;
}

const stateWords: Readonly<Record<StepState, string>> = {
  done: 'done',
  now: 'next',
  later: 'later',
  due: 'due',
  blocked: 'held',
};

/** The court line across a person's page: solid where done, a gap with a marker where the next thing waits, hatched where held. */
export function PathLine({ path, hrefs, here }: Props) {
  const why = path.steps.find((s) => s.why !== undefined)?.why;
  return (
    <div className="min-w-0 flex-1 print:hidden">
      <ol className="flex" aria-label="Where this person is">
        {path.steps.map((step) => {
          const inside = (
            <>
              <Court state={step.state} />
              <span
                className={`mt-1 block max-sm:text-sm ${step.step === here ? 'font-extrabold underline decoration-4 underline-offset-4' : 'font-bold'}`}
              >
                {stepTitles[step.step]}
              </span>
              <span className="block text-sm text-ink-soft max-sm:sr-only">
                <span className="sr-only">{stateWords[step.state]}. </span>
                {step.note}
              </span>
            </>
          );
          const classes = 'block min-h-11 pr-2 sm:min-h-[70px]';
          return (
            <li key={step.step} className="min-w-0 flex-1">
              {step.step === 'test' ? (
                <a href={hrefs.test} className={classes}>
                  {inside}
                </a>
              ) : (
                <Link
                  href={hrefs[step.step]}
                  className={classes}
                  aria-current={step.step === here ? 'step' : undefined}
                >
                  {inside}
                </Link>
              )}
            </li>
          );
        })}
      </ol>
      {why !== undefined && <p className="text-sm first-letter:uppercase">{why}.</p>}
    </div>
  );
}

function Court({ state }: { state: PathStep['state'] }) {
  return (
    <svg
      viewBox="0 0 160 22"
      width="100%"
      height="22"
      preserveAspectRatio="xMinYMid slice"
      aria-hidden
      className="block"
    >
      {state === 'done' && <line x1="0" x2="400" y1="11" y2="11" stroke="var(--color-ink)" strokeWidth="5" />}
      {state === 'later' && (
        <line
          x1="0"
          x2="400"
          y1="11"
          y2="11"
          stroke="var(--color-ink-soft)"
          strokeWidth="3"
          strokeDasharray="2 9"
          strokeLinecap="round"
        />
      )}
      {state === 'now' && (
        <>
          <path d="M4 19a12 12 0 0 1 24 0" fill="none" stroke="var(--color-ink)" strokeWidth="4" />
          <circle cx="16" cy="17" r="4" fill="var(--color-squat)" />
          <line
            x1="36"
            x2="400"
            y1="11"
            y2="11"
            stroke="var(--color-ink-soft)"
            strokeWidth="3"
            strokeDasharray="2 9"
            strokeLinecap="round"
          />
        </>
      )}
      {state === 'due' && (
        <>
          <g fill="none" stroke="var(--color-ink)" strokeLinecap="round" strokeLinejoin="round">
            <circle cx="11" cy="11" r="8" strokeWidth="2.2" />
            <path d="M11 6v5l3.4 2" strokeWidth="2.4" />
          </g>
          <line x1="26" x2="400" y1="11" y2="11" stroke="var(--color-ink)" strokeWidth="3" strokeDasharray="10 6" />
        </>
      )}
      {state === 'blocked' && (
        <>
          <rect x="2" y="4" width="14" height="14" fill="var(--color-stop)" />
          {Array.from({ length: 28 }, (_, i) => (
            <line
              key={i}
              x1={22 + i * 13}
              x2={30 + i * 13}
              y1="17"
              y2="5"
              stroke="var(--color-stop)"
              strokeWidth="2.5"
            />
          ))}
        </>
      )}
    </svg>
  );
}
