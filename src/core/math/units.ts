/** Exact by international agreement of 1959. */
export const cmPerInch = 2.54;
const kgPerPound = 0.45359237;

export type LengthUnit = 'cm' | 'in';
export type MassUnit = 'kg' | 'lb';

const round1 = (n: number): number => Math.round((n + Number.EPSILON) * 10) / 10;

/**
 * A length as it was typed, in cm to a tenth: `160`, `160 cm`, `1.60 m`, `5'3`, `5 ft 3 1/2`, `63 in`, `63"`.
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
  const feet = /^(\d+)\s*(?:'|ft|feet|foot)\s*(?:(\d+(?:\.\d+)?)?\s*(1\/2|½)?\s*(?:"|in|inches)?)?$/.exec(text);
  if (feet) {
    const inches = Number(feet[2] ?? 0) + (feet[3] ? 0.5 : 0);
    return inches < 12 ? round1((Number(feet[1]) * 12 + inches) * cmPerInch) : null;
  }
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

/** `160 cm` or `63 in`, for what is never told in feet. */
export function shortLengthWords(cm: number, unit: LengthUnit): string {
  return unit === 'cm' ? `${cm} cm` : `${Math.round((cm / cmPerInch) * 2) / 2} in`;
}

/** `64 kg` or `141 lb`; whole pounds. */
export function massWords(kg: number, unit: MassUnit): string {
  return unit === 'kg' ? `${kg} kg` : `${Math.round(kg / kgPerPound)} lb`;
}
