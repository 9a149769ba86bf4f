import type { IsoDate } from './facts';
import type { NormTable } from './norms';

export type PersonId = string;

/** Who somebody is; what is known of their body and health changes and stands in the intake. */
export interface Person {
  readonly id: PersonId;
  readonly name: string;
  readonly birthDate: IsoDate;
  readonly normTable: NormTable;
}

export interface CupboardChair {
  readonly heightCm: number;
  /** The height as it was typed, `17 1/4`: shown again where it still says the same. */
  readonly typed?: string | undefined;
  readonly arms: boolean;
  /** Does not slide or tip; only such a chair is tested or trained on. */
  readonly stable: boolean;
  readonly count: number;
}

export const things = ['tape', 'wall', 'filament', 'cuff'] as const;
export type Thing = (typeof things)[number];

/** A firm box, to lift and to touch as a target. */
export interface CupboardBox {
  /** Of its top; `null` where nobody has measured it. */
  readonly heightCm: number | null;
  readonly typed?: string | undefined;
  readonly count: number;
}

/** A firm step to stand on. */
export interface CupboardStep {
  readonly heightCm: number;
  readonly typed?: string | undefined;
  readonly count: number;
}

export interface CupboardPad {
  readonly thickCm: number;
  readonly typed?: string | undefined;
  readonly count: number;
}

/** What there is to sit on, hold, lift and lie on. Heights and thicknesses are whole centimetres. */
export interface Cupboard {
  readonly chairs: readonly CupboardChair[];
  readonly pads: readonly CupboardPad[];
  readonly bars: number;
  /** How many people stand at rails and bars at once. */
  readonly railPlaces: number;
  readonly straps: number;
  /** Firm, for under both heels. */
  readonly wedges: number;
  readonly bands: number;
  readonly mats: number;
  /** Too heavy to tip or slide, so that it can be held. */
  readonly tables: number;
  readonly weightsKg: readonly number[];
  readonly raisedSurface: boolean;
  readonly boxes: readonly CupboardBox[];
  readonly steps: readonly CupboardStep[];
  readonly floors: readonly { readonly where: string; readonly slides: boolean }[];
  /** Free straight floor to walk on. */
  readonly walkwayM: number | null;
  /** Free wall, to put chairs against. */
  readonly wallM: number | null;
  readonly things: readonly Thing[];
}

export const unitSystems = ['metric', 'us'] as const;
export type UnitSystem = (typeof unitSystems)[number];

/** The hall and what stands in its cupboard. */
export interface Place {
  readonly name: string;
  readonly town: string;
  readonly emergencyNumber: string;
  /** Units shown; everything is kept in SI. */
  readonly units: UnitSystem;
  readonly cupboard: Cupboard;
}

/** People who come together: "Tuesday 10:00". */
export interface Group {
  readonly id: string;
  readonly name: string;
  /** 1 Monday to 7 Sunday; 0 while nobody has said which. */
  readonly weekday: number;
  /** `HH:MM`; empty while nobody has said when. */
  readonly time: string;
}
