import type { IsoDate, Kit, Limiter, Readiness, WalkingAid } from './facts';
import type { NormTable } from './norms';

export type PersonId = string;

/** Who somebody is; what is known of their body and health changes and stands in the intake. */
export interface Person {
  readonly id: PersonId;
  readonly name: string;
  readonly birthDate: IsoDate;
  readonly normTable: NormTable;
}

/** What was known on a day. A newer intake stands beside the older one, so that a sitting can be read as it was. */
export interface Intake {
  readonly notedOn: IsoDate;
  readonly heightCm: number | null;
  readonly massKg: number | null;
  readonly seatHeightCm: number | null;
  readonly readiness: Readiness;
  readonly readinessWhy: string;
  readonly limiters: readonly Limiter[];
  readonly falls12m: number;
  readonly injuredInFall: boolean;
  readonly walkingAid: WalkingAid;
  readonly aidIndoors: boolean;
  readonly sitsUnsupported: boolean;
  readonly heelDownAtTarget: boolean;
  readonly classesSoFar: number;
}

/** The hall and what stands in its cupboard. */
export interface Place {
  readonly name: string;
  readonly town: string;
  readonly emergencyNumber: string;
  readonly floorSlides: boolean;
  readonly kit: Kit;
}
