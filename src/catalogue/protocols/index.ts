import type { Protocol } from '../../core/shapes/protocol';
import { armCurl } from './arm-curl/protocol';
import { backScratch } from './back-scratch/protocol';
import { bridgeOneLeg } from './bridge-one-leg/protocol';
import { chairStand30s } from './chair-stand-30s/protocol';
import { fanReach } from './fan-reach/protocol';
import { fiveStands } from './five-stands/protocol';
import { floorTransfer } from './floor-transfer/protocol';
import { footFeel } from './foot-feel/protocol';
import { fourStage } from './four-stage/protocol';
import { gait4m } from './gait-4m/protocol';
import { heelRise } from './heel-rise/protocol';
import { kneeToWall } from './knee-to-wall/protocol';
import { lowestSeat } from './lowest-seat/protocol';
import { oneLeg } from './one-leg/protocol';
import { reachForward } from './reach-forward/protocol';
import { sitReach } from './sit-reach/protocol';
import { standUpPressure } from './stand-up-pressure/protocol';
import { step2min } from './step-2min/protocol';
import { thighHold } from './thigh-hold/protocol';
import { upAndGo3m } from './up-and-go-3m/protocol';
import { upAndGo8ft } from './up-and-go-8ft/protocol';

/** Every test, in the order of the stations: the core five first. */
export const protocols: readonly Protocol[] = [
  fourStage,
  chairStand30s,
  oneLeg,
  upAndGo8ft,
  step2min,
  fiveStands,
  upAndGo3m,
  gait4m,
  reachForward,
  armCurl,
  sitReach,
  backScratch,
  kneeToWall,
  thighHold,
  bridgeOneLeg,
  floorTransfer,
  fanReach,
  lowestSeat,
  heelRise,
  footFeel,
  standUpPressure,
];

/** Whoever has a result of one of these is tested; the one that speaks for somebody where one must, first. */
export const coreTests: readonly string[] = [chairStand30s, fourStage, oneLeg, upAndGo8ft, step2min].map((p) => p.id);

/** Rises when any shipped norm figure changes. */
export const normsVersion = '2026-11-1';

export function protocolById(id: string): Protocol | undefined {
  return protocols.find((p) => p.id === id);
}
