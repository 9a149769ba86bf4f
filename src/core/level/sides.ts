import type { LimiterInForce } from '../intake/inForce';
import type { Pattern, Side } from '../shapes/facts';
import type { MeasuredFactId, Rung } from '../shapes/ladder';
import type { Readings } from './needs';

const sideWords: Readonly<Record<Side, string>> = { L: 'left', R: 'right' };

/** The test that tells the weaker side of a ladder; where it was not done, standing on one leg. */
const weakerBy: Partial<Record<Pattern, MeasuredFactId>> = { B: 'oneLegBridges' };

/** The side that showed less, where both were tested and differ. */
export function weakerSide(pattern: Pattern, readings: Readings): Side | null {
  const own = weakerBy[pattern];
  const told = [...(own === undefined ? [] : [own]), 'oneLegS'].map((id) => readings.get(id)?.reading.weaker ?? null);
  return told.find((side) => side !== null) ?? null;
}

interface Sore {
  readonly joint: string;
  readonly side: Side;
}

/** Joints of the legs that hurt, were replaced, or miss something, on one side. */
function soreOn(inForce: readonly LimiterInForce[]): Sore[] {
  const all = inForce.flatMap(({ limiter: { kind, side } }): Sore[] => {
    const joint = /^(knee|hip|ankle)-(?:pain|replaced)$/.exec(kind)?.[1] ?? (kind === 'lost-limb' ? 'leg' : null);
    return joint !== null && side ? [{ joint, side }] : [];
  });
  return [...new Map(all.map((s) => [`${s.joint} ${s.side}`, s])).values()];
}

/**
 * What to mind of left and right on a rung that is done a side at a time: the sore side, where that leg goes, and on which
 * side the spotter stands: the weaker one, else the sore one. Common practice, no published source.
 */
export function sidesOn(
  pattern: Pattern,
  rung: Rung,
  { readings, inForce }: { readonly readings: Readings; readonly inForce: readonly LimiterInForce[] },
): string[] {
  if (!rung.aSide) return [];
  const sore = soreOn(inForce);
  const knees = sore.filter((s) => s.joint === 'knee');
  const [knee] = knees;
  const goes = rung.soreLeg && knee && knees.length === 1 ? `: that leg goes ${whereWords[rung.soreLeg]}` : '';
  const weaker = weakerSide(pattern, readings);
  const soreSides = [...new Set(sore.map((s) => s.side))];
  const spotted = weaker ?? (soreSides.length === 1 ? soreSides[0] : undefined);
  return [
    ...sore.map((s) => `${sideWords[s.side]} ${s.joint} to be minded${s === knee ? goes : ''}`),
    spotted === undefined
      ? 'the spotter stands where no hand holds on'
      : `the spotter stands on the ${sideWords[spotted]}, the ${weaker ? 'weaker' : 'sore'} side`,
  ];
}

const whereWords = { front: 'in front', back: 'behind' } as const;
