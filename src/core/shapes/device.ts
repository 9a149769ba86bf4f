/** Outside devices that count beside a person: small, cheap, and never sure. */

/** A switch on the seat says when it is sat on; a step counter on the leg says each step. */
export const deviceKinds = ['seat', 'steps'] as const;
export type DeviceKind = (typeof deviceKinds)[number];

/** As many lanes as a test has at most; a device is named by what it is and by its lane, `seat-2`. */
export const deviceLanes = 4;

export const deviceIds: readonly string[] = deviceKinds.flatMap((kind) =>
  Array.from({ length: deviceLanes }, (_, lane) => `${kind}-${lane + 1}`),
);

export const deviceKindOf = (id: string): DeviceKind | undefined =>
  deviceKinds.find((kind) => id.startsWith(`${kind}-`));

/** What each kind may say; `alive` is said by all, each half second. */
export const deviceWords = { seat: ['down', 'up', 'alive'], steps: ['step', 'alive'] } as const;

export const deviceEventKinds = ['down', 'up', 'step', 'alive'] as const;

/** One thing a device said. */
export interface DeviceEvent {
  /** Its place in what the device said since it was switched on; sent again it is the same. */
  readonly n: number;
  /** The device’s own clock, ms since it was switched on. */
  readonly ms: number;
  readonly kind: (typeof deviceEventKinds)[number];
}

/** What a device sends at once. */
export interface DeviceBatch {
  /** Another one each time it is switched on. */
  readonly boot: string;
  /** The device’s own clock when it sent this. */
  readonly sentMs: number;
  readonly events: readonly DeviceEvent[];
}

/** A batch as it is passed on to pages. */
export interface DeviceNews extends DeviceBatch {
  readonly device: string;
  /** How long ago the server had it when it was passed on, ms: 0 unless it is told again. */
  readonly ageMs: number;
}

/** How thick the seat switch is that ships: what is sat on is so much higher, cm. */
export const seatSwitchCm = 1;
