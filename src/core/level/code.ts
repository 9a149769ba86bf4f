import type { Dose } from '../shapes/dose';
import { patterns, supports, type Pattern, type Support } from '../shapes/facts';

/** What a level code says: pattern, rung, height only where the rung has a target, hands, load, dose. */
export interface LevelCode {
  readonly pattern: Pattern;
  readonly rung: number;
  readonly heightCm: number | null;
  readonly support: Support;
  readonly loadKg: number | null;
  readonly dose: Dose | null;
}

/** Prints the one canonical form, such as `S4/46/h@4x1`. */
export function printLevelCode(code: LevelCode): string {
  const height = code.heightCm === null ? '' : `/${code.heightCm}`;
  const load = code.loadKg === null ? '' : `+${code.loadKg}`;
  const dose = code.dose === null ? '' : `@${printDose(code.dose)}`;
  return `${code.pattern}${code.rung}${height}/${code.support}${load}${dose}`;
}

export function printDose(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      return `${dose.reps}x${dose.sets}`;
    case 'holds':
      return `h${dose.holdS}x${dose.sets}`;
    case 'intervals':
      return `${dose.workS}/${dose.restS}x${dose.rounds}`;
    case 'half-minute':
      return `${dose.reps}e${dose.everyS}x${dose.rounds}`;
  }
}

const whole = '[1-9]\\d*';
const dosePattern = `(?:h(${whole})x(${whole})|(${whole})/(0|${whole})x(${whole})|(${whole})e(${whole})x(${whole})|(${whole})x(${whole}))`;
const codePattern = new RegExp(
  `^([${patterns.join('')}])([1-9])(?:/([1-9]\\d{1,2}))?/([${supports.join('')}])` +
    `(?:\\+((?:0|${whole})(?:\\.[1-9])?))?(?:@${dosePattern})?$`,
);

/**
 * Reads a level code; the exact inverse of printing, so only the canonical form is read.
 * @returns `null` for anything else: leading zeros, capitals in the hands, a trailing `.0`, a load of nothing
 */
export function parseLevelCode(text: string): LevelCode | null {
  const m = codePattern.exec(text);
  if (!m) return null;
  const loadKg = m[5] === undefined ? null : Number(m[5]);
  if (loadKg === 0) return null;
  return {
    pattern: m[1] as Pattern,
    rung: Number(m[2]),
    heightCm: m[3] === undefined ? null : Number(m[3]),
    support: m[4] as Support,
    loadKg,
    dose: doseOf(m.slice(6).map((part?: string) => (part === undefined ? undefined : Number(part)))),
  };
}

function doseOf(n: readonly (number | undefined)[]): Dose | null {
  if (n[0] !== undefined && n[1] !== undefined) return { kind: 'holds', holdS: n[0], sets: n[1] };
  if (n[2] !== undefined && n[3] !== undefined && n[4] !== undefined)
    return { kind: 'intervals', workS: n[2], restS: n[3], rounds: n[4] };
  if (n[5] !== undefined && n[6] !== undefined && n[7] !== undefined)
    return { kind: 'half-minute', reps: n[5], everyS: n[6], rounds: n[7] };
  if (n[8] !== undefined && n[9] !== undefined) return { kind: 'reps', reps: n[8], sets: n[9] };
  return null;
}

const doseOnly = new RegExp(`^${dosePattern}$`);

/** Reads a dose alone, such as `30/15x3`; the exact inverse of printing. @returns `null` for anything else */
export function parseDose(text: string): Dose | null {
  const m = doseOnly.exec(text);
  return m && doseOf(m.slice(1).map((part?: string) => (part === undefined ? undefined : Number(part))));
}
