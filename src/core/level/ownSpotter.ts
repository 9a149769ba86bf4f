import type { Known } from '../intake/known';
import type { LimiterKind, Support } from '../shapes/facts';
import type { Rung } from '../shapes/ladder';

/** What takes the hands a step back; where both hold already, somebody stands by instead. */
const notches: readonly LimiterKind[] = ['numb-feet', 'dizziness', 'poor-sight'];

/** What is known of somebody that may ask for one who spots. */
export type Steadiness = Pick<Known, 'falls' | 'intake' | 'limiters' | 'readiness'>;

/**
 * Whether somebody who may spot stands within arm's reach in a movement: whoever is ready with care, fell twice or was hurt,
 * or walks with an aid indoors, in everything done standing; a condition of the nerves, likewise; a blood thinner, on one leg;
 * whoever could not be held any closer. Common practice, no published source.
 */
export function needsSpotter(
  { falls, intake, limiters, readiness }: Steadiness,
  { stance, support, target }: Pick<Rung, 'stance' | 'support' | 'target'>,
  { support: hands }: { readonly support: Support },
): boolean {
  const onItsSeat = target !== undefined && support?.is === '2';
  if (stance === 'seated' || stance === 'lying' || onItsSeat) return false;
  const has = (kind: LimiterKind) => limiters.some((l) => l.kind === kind);
  if (falls.length >= 2 || falls.some((f) => f.content.hurt) || readiness.outcome === 'ready-with-care') return true;
  if (intake.aidIndoors !== 'none' || has('neurological')) return true;
  if (stance === 'one-leg' && has('blood-thinner')) return true;
  const heldBack = support?.unsteady !== undefined && hands === support.unsteady.is && hands !== support.is;
  return heldBack || (support === undefined && hands === '2' && notches.some(has));
}
