/** Exact by international agreement of 1959. */
export const cmPerInch = 2.54;
export const kgPerPound = 0.45359237;

export type LengthUnit = 'cm' | 'in';
export type MassUnit = 'kg' | 'lb';
/** The units of the two systems a hall can work in. */
export const unitsOf = {
  metric: { length: 'cm', mass: 'kg' },
  us: { length: 'in', mass: 'lb' },
} as const satisfies Readonly<Record<string, { readonly length: LengthUnit; readonly mass: MassUnit }>>;

const round1 = (n: number): number => Math.round((n + Number.EPSILON) * 10) / 10;

/** Parts of an inch as a tape shows them. */
const quarters = ['', '¼', '½', '¾'] as const;
const fraction: Readonly<Record<string, number>> = {
  '1/4': 0.25,
  '¼': 0.25,
  '1/2': 0.5,
  '½': 0.5,
  '3/4': 0.75,
  '¾': 0.75,
};
const part = '1/4|1/2|3/4|¼|½|¾';

/**
 * A length as it was typed, in cm to a tenth: `160`, `160 cm`, `1.60 m`, `5'3`, `5 ft 3 1/2`, `63 in`, `63"`, `17 1/4`.
 * A bare number is in `bare`, but for one like 1.60 that can only be metres.
 * @returns null where the words are no length
 */
export function readLength(typed: string, bare: LengthUnit): number | null {
  const text = typed
    .trim()
    .toLowerCase()
    .replace(/,/g, '.')
    .replace(/[’′]/g, "'")
    .replace(/[”″]|''/g, '"');
  const feet = new RegExp(
    `^(\\d+)\\s*(?:'|ft|feet|foot)\\s*(?:(\\d+(?:\\.\\d+)?)?\\s*(${part})?\\s*(?:"|in|inches)?)?$`,
  ).exec(text);
  if (feet) {
    const inches = Number(feet[2] ?? 0) + (fraction[feet[3] ?? ''] ?? 0);
    return inches < 12 ? round1((Number(feet[1]) * 12 + inches) * cmPerInch) : null;
  }
  const parts = new RegExp(`^(\\d+)\\s*(${part})\\s*("|in|inches)?$`).exec(text);
  if (parts && (parts[3] !== undefined || bare === 'in'))
    return round1((Number(parts[1]) + (fraction[parts[2] ?? ''] ?? 0)) * cmPerInch);
  const plain = /^(\d+(?:\.\d+)?|\.\d+)\s*(cm|m|"|in|inches)?$/.exec(text);
  if (!plain) return null;
  const value = Number(plain[1]);
  const unit = plain[2] ?? (value > 0 && value < 3 ? 'm' : bare);
  if (unit === 'm') return round1(value * 100);
  return round1(unit === 'cm' ? value : value * cmPerInch);
}

/** A mass as it was typed, in kg to a tenth: `64`, `64 kg`, `141 lb`, `10 st 1` is not taken. */
export function readMass(typed: string, bare: MassUnit): number | null {
  const found = /^(\d+(?:\.\d+)?)\s*(kg|lb|lbs|pounds)?$/.exec(typed.trim().toLowerCase().replace(',', '.'));
  if (!found) return null;
  const value = Number(found[1]);
  return round1((found[2] ?? bare) === 'kg' ? value : value * kgPerPound);
}

/** `160 cm` or `5 ft 3 in`; inches to the half. */
export function lengthWords(cm: number, unit: LengthUnit): string {
  if (unit === 'cm') return `${cm} cm`;
  const halves = Math.round((cm / cmPerInch) * 2);
  return `${Math.floor(halves / 24)} ft ${(halves % 24) / 2} in`;
}

/** `160` or `63`, `43.5` or `17¼`: what a tape is read to, whole centimetres as they are or quarters of an inch. */
export function lengthFigure(cm: number, unit: LengthUnit): string {
  if (unit === 'cm') return String(cm);
  const all = Math.round((Math.abs(cm) / cmPerInch) * 4);
  const whole = Math.floor(all / 4);
  const figure = `${whole === 0 && all % 4 !== 0 ? '' : whole}${quarters[all % 4] ?? ''}`;
  return cm < 0 && all > 0 ? `-${figure}` : figure;
}

/** `43 cm` or `17 in`, for what is never told in feet. */
export const shortLengthWords = (cm: number, unit: LengthUnit): string => `${lengthFigure(cm, unit)} ${unit}`;

/**
 * A sentence of the catalogue or the engine, which speak in centimetres and kilograms, in the units of a hall:
 * `seat 5 cm up` is `seat 2 in up`, `30 to 60 cm` is `11¾ to 23½ in`, `chair 43 + pad 5` is `chair 17 + pad 2`.
 */
export function sentenceIn(sentence: string, system: keyof typeof unitsOf): string {
  if (system === 'metric') return sentence;
  const inches = (cm: string) => lengthFigure(Number(cm), 'in');
  return sentence
    .replace(
      /(\d+(?:\.\d+)?)( to |–)(\d+(?:\.\d+)?) cm\b/g,
      (_, a: string, to: string, b: string) => `${inches(a)}${to}${inches(b)} in`,
    )
    .replace(/(\d+(?:\.\d+)?) cm\b/g, (_, cm: string) => `${inches(cm)} in`)
    .replace(/\b(chair|pad|box) (\d+)\b/g, (_, what: string, cm: string) => `${what} ${inches(cm)}`)
    .replace(/(\d+(?:\.\d+)?) kg\b/g, (_, kg: string) => massWords(Number(kg), 'lb'));
}

/** `64 kg` or `141 lb`; whole pounds. */
export function massWords(kg: number, unit: MassUnit): string {
  return unit === 'kg' ? `${kg} kg` : `${Math.round(kg / kgPerPound)} lb`;
}

/** Every sentence in it in the units of a hall; numbers stay as they are, in SI. */
export function sentencesIn<T>(value: T, system: keyof typeof unitsOf): T {
  if (system === 'metric') return value;
  const deep = (part: unknown): unknown => {
    if (typeof part === 'string') return sentenceIn(part, system);
    if (Array.isArray(part)) return part.map(deep);
    return typeof part === 'object' && part !== null
      ? Object.fromEntries(Object.entries(part).map(([name, inside]) => [name, deep(inside)]))
      : part;
  };
  return deep(value) as T;
}
