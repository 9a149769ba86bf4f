import type { Readiness } from '../shapes/facts';
import type { LimiterRow } from '../shapes/ladder';
import type { Cupboard } from '../shapes/person';
import type { Protocol } from '../shapes/protocol';
import { missingFor } from './cupboard';
import { limitersInForce } from './inForce';
import type { Known } from './known';

export interface TestOpen {
  readonly protocol: Protocol;
  /** Why it is not for this person today, or not in this hall; empty where it may start. */
  readonly closedBy: readonly string[];
}

/** Every test with what closes it today: readiness, a limiter, or what the hall lacks. */
export function testsOpen(
  protocols: readonly Protocol[],
  known: Known,
  rows: readonly LimiterRow[],
  cupboard: Cupboard,
): TestOpen[] {
  return protocols.map((protocol) => {
    const held = heldByReadiness(known.readiness.outcome, protocol);
    const notHere = missingFor(protocol, cupboard).map((thing) => `not in this hall: ${thing}`);
    return { protocol, closedBy: [...held, ...heldByLimiters(known, protocol, rows), ...notHere] };
  });
}

/** The limiters that close a test to this person, each once; one not asked about yet counts as there. */
export function heldByLimiters(
  known: Pick<Known, 'limiters'>,
  protocol: Protocol,
  rows: readonly LimiterRow[],
): string[] {
  const closing = limitersInForce(rows, known.limiters)
    .filter(({ row }) => row.closesTests.includes(protocol.id))
    .map(({ row, limiter }) => (limiter.unasked ? `${row.title}: not asked yet` : row.title));
  return [...new Set(closing)];
}

/** *Not today* closes every test; *ask first* leaves seated arm work. */
export function heldByReadiness(outcome: Readiness, protocol: Protocol): string[] {
  if (outcome === 'not-today') return ['not today'];
  return outcome === 'ask-first' && !protocol.seatedArms ? ['a question is open: ask first'] : [];
}
