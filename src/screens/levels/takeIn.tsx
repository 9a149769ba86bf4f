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
