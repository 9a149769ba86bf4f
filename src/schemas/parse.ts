import { ValidationError, type InferType, type Schema } from 'yup';
import { textFault } from './measure';

/** One fault of what was typed or sent: where, as a JSON Pointer, and what to do about it. */
export interface FieldError {
  readonly path: string;
  readonly message: string;
  /** A word for it that programs can tell apart, where there is one. */
  readonly code?: string;
}

export type Parsed<T> =
  { readonly kind: 'ok'; readonly value: T } | { readonly kind: 'bad'; readonly errors: readonly FieldError[] };

/**
 * Checks what came from outside once, at the edge. All faults at once; nothing is cast, but for the spaces around words,
 * which a tablet adds by itself and which are taken off.
 */
export function parse<S extends Schema>(schema: S, input: unknown): Parsed<InferType<S>> {
  const texts = textFaults(input);
  if (texts.length > 0) return { kind: 'bad', errors: texts };
  try {
    return { kind: 'ok', value: asWritten(schema.validateSync(input, { strict: true, abortEarly: false })) };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const all = error.inner.length > 0 ? error.inner : [error];
    return { kind: 'bad', errors: all.slice(0, mostFaults).map(toFieldError) };
  }
}

/** So many faults are told at once; nobody reads more. */
export const mostFaults = 50;

/** Texts that are none, wherever they stand. */
function textFaults(input: unknown): FieldError[] {
  const faults: FieldError[] = [];
  const within = (part: unknown, path: string): void => {
    if (faults.length >= mostFaults) return;
    if (typeof part === 'string') {
      const message = textFault(part);
      if (message !== null) faults.push({ path, message });
    } else if (Array.isArray(part)) part.forEach((item, i) => within(item, `${path}/${i}`));
    else if (isPlain(part))
      for (const [name, inside] of Object.entries(part)) {
        if (textFault(name) !== null) faults.push({ path, message: 'has a field whose name is no text' });
        else within(inside, `${path}/${escaped(name)}`);
      }
  };
  within(input, '');
  return faults;
}

const isPlain = (part: unknown): part is object =>
  typeof part === 'object' && part !== null && Object.getPrototypeOf(part) === Object.prototype;

const escaped = (name: string): string => name.replace(/~/g, '~0').replace(/\//g, '~1');

/** The same, each text in it in composed letters and without spaces around it; the very same where it is so already. */
function asWritten<T>(value: T): T {
  const within = (part: unknown): unknown => {
    if (typeof part === 'string') return part.trim().normalize('NFC');
    if (Array.isArray(part)) {
      const items = part.map(within);
      return items.some((item, i) => item !== part[i]) ? items : part;
    }
    if (!isPlain(part)) return part;
    const members = Object.entries(part);
    const clean = members.map(([name, inside]) => [name, within(inside)] as const);
    return clean.some(([, inside], i) => inside !== members[i]?.[1]) ? Object.fromEntries(clean) : part;
  };
  return within(value) as T;
}

/**
 * What a form showed when it was opened, which need not be right: a hall without a number shows an empty one.
 * @returns `undefined` where it was not said, or has not the members of such a form
 */
export function openedAs<T extends object>(form: T, opened: unknown): T | undefined {
  return isLike(form, opened) ? (opened as T) : undefined;
}

function isLike(form: unknown, value: unknown): boolean {
  const isObject = (v: unknown): v is object => typeof v === 'object' && v !== null;
  if (Array.isArray(form)) return Array.isArray(value) && value.every((v) => v !== null);
  if (!isObject(form)) return !isObject(value) && value !== undefined;
  if (!isObject(value) || Array.isArray(value)) return false;
  const members = value as Readonly<Record<string, unknown>>;
  return Object.entries(form).every(([name, part]) => part === undefined || isLike(part, members[name]));
}

function toFieldError(error: ValidationError): FieldError {
  const pointer = error.params?.['pointer'];
  return { path: typeof pointer === 'string' ? pointer : toPointer(error.path ?? ''), message: error.message };
}

/** `results[0].value` as `/results/0/value`. */
export function toPointer(path: string): string {
  if (path === '') return '';
  return `/${path
    .replace(/\["?([^\]"]+)"?\]/g, '.$1')
    .split('.')
    .filter((part) => part !== '')
    .map(escaped)
    .join('/')}`;
}
