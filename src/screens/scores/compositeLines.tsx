import { protocolById } from '../../catalogue/protocols';
import type { Composites } from '../../core/score/composites';
import { shortDay } from '../words';
import { cited, Says } from './says';

/** What several tests say together; nothing where the parts are not all there. */
export function CompositeLines({
  composites: { battery, power },
  before,
}: {
  composites: Composites;
  /** The power of rising by the same test the time before. */
  before: Composites['power'];
}) {
  if (!battery && !power) return null;
  return (
    <dl className="mt-3 grid gap-x-8 md:grid-cols-2">
      {battery && (
        <Says term="Three-part battery" value={`${battery.total} of 12`} source={cited(battery.source)}>
          Standing {battery.balance}, walk {battery.gait}, five stands {battery.stands}.{' '}
          {battery.low ? 'At or under the line of 8.' : 'Over the line of 8.'}
        </Says>
      )}
      {power && (
        <Says term="Power of rising" value={`${power.wattsPerKg.toFixed(2)} W/kg`} source={cited(power.source)}>
          From {protocolById(power.test)?.short.toLowerCase() ?? power.test} on {shortDay(power.on)}:{' '}
          {power.watts.toFixed(0)} W.{' '}
          {power.low ? `Under the line of ${power.limit}.` : `Not under the line of ${power.limit}.`}{' '}
          {before && powerChange(power.wattsPerKg - before.wattsPerKg, before)}
        </Says>
      )}
    </dl>
  );
}

/** What became of it, in one plain sentence; no error of it was published. */
function powerChange(by: number, before: NonNullable<Composites['power']>): string {
  const then = `than on ${shortDay(before.on)} (${before.wattsPerKg.toFixed(2)} W/kg)`;
  const words = Math.abs(by) < 0.005 ? 'with the same power' : by > 0 ? 'with more power' : 'with less power';
  return `They rise ${words} ${words === 'with the same power' ? then.replace('than', 'as') : then}; no published error.`;
}
