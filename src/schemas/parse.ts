import { ValidationError, type InferType, type Schema } from 'yup';

/** One fault of what was typed or sent: where, as a JSON Pointer, and what to do about it. */
export interface FieldError {
  readonly path: string;
  readonly message: string;
}

export type Parsed<T> =
  { readonly kind: 'ok'; readonly value: T } | { readonly kind: 'bad'; readonly errors: readonly FieldError[] };

/** Checks what came from outside once, at the edge. All faults at once, nothing is cast. */
export function parse<S extends Schema>(schema: S, input: unknown): Parsed<InferType<S>> {
  try {
    return { kind: 'ok', value: schema.validateSync(input, { strict: true, abortEarly: false }) };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const all = error.inner.length > 0 ? error.inner : [error];
    return { kind: 'bad', errors: all.map(toFieldError) };
  }
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
    .map((part) => part.replace(/~/g, '~0').replace(/\//g, '~1'))
    .join('/')}`;
}
