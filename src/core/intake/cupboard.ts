import type { Kit } from '../shapes/facts';
import type { Cupboard } from '../shapes/person';
import type { PlaceNeed, Protocol } from '../shapes/protocol';

/** Nothing to sit on, hold, lift or lie on. */
export const emptyCupboard: Cupboard = {
  chairs: [],
  pads: [],
  bars: 0,
  railPlaces: 0,
  straps: 0,
  wedges: 0,
  bands: 0,
  mats: 0,
  tables: 0,
  weightsKg: [],
  raisedSurface: false,
  boxes: [],
  steps: [],
  floors: [],
  walkwayM: null,
  wallM: null,
  things: [],
};

/** What the level engine may build from: chairs that stand firm, each pad as often as there is one, at most twice. */
export function toKit(cupboard: Cupboard): Kit {
  return {
    chairs: cupboard.chairs.filter((c) => c.stable && c.count > 0).map(({ heightCm, arms }) => ({ heightCm, arms })),
    padsCm: cupboard.pads.flatMap(({ thickCm, count }) => Array.from({ length: Math.min(2, count) }, () => thickCm)),
    weightsKg: cupboard.weightsKg,
    raisedSurface: cupboard.raisedSurface,
    rail: cupboard.bars > 0 || cupboard.straps > 0,
    wedge: cupboard.wedges > 0,
    mat: cupboard.mats > 0,
    stepsCm: cupboard.steps.flatMap(({ heightCm, count }) => (count > 0 ? [heightCm] : [])),
    boxesCm: cupboard.boxes.flatMap(({ heightCm, count }) => Array.from({ length: count }, () => heightCm)),
  };
}

/**
 * What a test needs that this hall does not have, in words; empty where it can be run.
 * @see protocol.place
 */
export function missingFor(protocol: Protocol, cupboard: Cupboard): string[] {
  return (protocol.place ?? []).flatMap((need) => missing(need, cupboard) ?? []);
}

function missing(need: PlaceNeed, cupboard: Cupboard): string | null {
  switch (need.what) {
    case 'chair': {
      const firm = cupboard.chairs.filter((c) => c.stable && c.count > 0);
      if (firm.length === 0) return 'a chair that stands firm';
      return firm.some((c) => c.heightCm >= need.fromCm && c.heightCm <= need.toCm)
        ? null
        : `a firm chair of ${need.fromCm} to ${need.toCm} cm`;
    }
    case 'walkway':
      return (cupboard.walkwayM ?? 0) >= need.metres ? null : `${need.metres} m of free straight floor`;
    case 'weight':
      return cupboard.weightsKg.some((kg) => Math.abs(kg - need.kg) <= 0.15) ? null : `a weight of ${need.kg} kg`;
    case 'mat':
      return cupboard.mats > 0 ? null : 'a mat';
    case 'pads':
      return cupboard.pads.some((p) => p.count > 0) ? null : 'firm pads to change the seat';
    case 'fixed-hold':
      return cupboard.bars > 0 || cupboard.chairs.some((c) => c.stable && c.count > 1)
        ? null
        : 'a rail, or a second firm chair to hold';
    case 'thing':
      return cupboard.things.includes(need.thing) ? null : thingWords[need.thing];
  }
}

export const thingWords = {
  tape: 'a measuring tape',
  wall: 'a free stretch of wall',
  filament: 'a touch filament',
  cuff: 'a pressure cuff',
} as const;

/**
 * How high the knee is lifted in the two-minute step: half-way between the middle of the kneecap and the front crest
 * of the hip bone, both from the floor.
 * @see Rikli & Jones 1999 (two-minute step)
 */
export function stepHeightCm({
  kneecapCm,
  hipBoneCm,
}: {
  kneecapCm: number | null;
  hipBoneCm: number | null;
}): number | null {
  return kneecapCm === null || hipBoneCm === null ? null : Math.round((kneecapCm + hipBoneCm) * 5) / 10;
}
