import type { Outcome, OutcomeCase, OutcomeKind, OutcomeRow } from '../shapes/progress';

/** What follows from today's grade and the one before on this level: the first row of the table that holds. */
export function outcomeOf(c: OutcomeCase): Outcome {
  const say = (row: OutcomeRow, kind: OutcomeKind, halfDoseFor: 0 | 1 | 2 = 0): Outcome => ({ row, kind, halfDoseFor });
  const { today, before } = c;
  const cleanBefore = before === 'C' || before === 'U';
  switch (today) {
    case 'D':
      return before === 'D' ? say('P1', 'back', 2) : say('P2', 'back', 1);
    case 'H':
      return before === 'H' || before === 'D' ? say('P3', 'less') : say('P4', 'stay');
    case 'S':
      return before === 'S' ? say('P5', 'dose-set') : say('P6', 'stay');
    case 'U':
      return c.topDose ? say('P8', 'stay') : c.firstTwoClasses ? say('P10', 'stay') : say('P7', 'dose-up');
    case 'C':
      if (!c.topDose) return c.firstTwoClasses ? say('P10', 'stay') : say('P7', 'dose-up');
      if (!c.topBefore || !cleanBefore) return say('P9', 'stay');
      return afterTwoClean(c, say);
  }
}

/** Twice clean at the top of the dose: a dial, if one is open. */
function afterTwoClean(
  { before, firstTwoClasses, dial, riskDial, wentUp }: OutcomeCase,
  say: (row: OutcomeRow, kind: OutcomeKind) => Outcome,
): Outcome {
  if (firstTwoClasses) return say('P10', 'stay');
  switch (dial) {
    case 'limiter':
    case 'none':
      return say('P11', 'stay');
    case 'place':
      return say('P12', 'stay');
    case 'need':
      return say('P13', 'stay');
    case 'test':
      return say('P14', 'test');
    case 'open':
      if (before === 'U' && riskDial) return say('P15', 'stay');
      return wentUp ? say('P16', 'queued') : say('P17', 'up');
  }
}
