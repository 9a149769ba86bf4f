'use client';
import { Button } from '../touch/button';
import { useSaying, type About, type Say } from './saying';

/** Takes what the rules give beside the four into what somebody trains, in one press. */
export function TakeIn({
  about,
  say,
  words = 'Take it in',
  named,
  look = 'main',
}: {
  about: About;
  say: Say;
  words?: string;
  /** What is taken in, where it does not stand right beside the press. */
  named?: string;
  look?: 'main' | 'line';
}) {
  const { put, fault } = useSaying(say, about);
  return (
    <>
      <Button look={look} onClick={() => put({ word: 'as-it-is' })}>
        {words}
        {named !== undefined && <span className="sr-only">: {named}</span>}
      </Button>
      <p role="alert" className="font-semibold text-stop empty:hidden">
        {fault}
      </p>
    </>
  );
}

/** Leaves a movement of the hall's own out again. */
export function LeaveOwn({ about, say }: { about: About; say: Say }) {
  const { put, fault } = useSaying(say, about);
  return (
    <p className="mt-4 border-t-2 border-rule pt-2">
      <Button look="line" onClick={() => put({ word: 'not-this' })}>
        Leave it out
      </Button>
      <span role="alert" className="ml-3 font-semibold text-stop empty:hidden">
        {fault}
      </span>
    </p>
  );
}
