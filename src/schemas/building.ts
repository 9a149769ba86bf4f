import {
  array,
  boolean,
  mixed,
  number,
  object,
  setLocale,
  string,
  ValidationError,
  type AnyObject,
  type ISchema,
  type ObjectShape,
  type Schema,
  type TestContext,
} from 'yup';
import { isCalendarDay } from '../core/math/days';
import { mostFaults, toPointer } from './parse';

const typeWords: Readonly<Record<string, string>> = {
  string: 'must be text',
  number: 'must be a number',
  boolean: 'must be true or false',
  object: 'must be an object',
  array: 'must be a list',
};
// Never an echo of what was sent.
setLocale({
  mixed: {
    notType: ({ type }: { type: string }) => typeWords[type] ?? 'is not of the right kind',
    required: 'is needed',
    defined: 'is needed',
    notNull: 'is needed',
  },
});

/** A text as it is, nothing else: what is no text may have a way of its own to become one. */
export const asText = (value: unknown): string => (typeof value === 'string' ? value : '');

/** An object that takes the named fields and no others; each unknown one is refused under its own name. */
export function exactly<S extends ObjectShape>(shape: S) {
  const known = new Set(Object.keys(shape));
  return object(shape)
    .typeError('must be an object')
    .test('known-fields', function (value: unknown) {
      if (value === null || typeof value !== 'object') return true;
      const faults = Object.keys(value)
        .filter((key) => !known.has(key))
        .slice(0, mostFaults)
        .map((key) => unknownField(this, key));
      return faults.length === 0 || new ValidationError(faults);
    });
}

function unknownField(context: TestContext<AnyObject>, key: string): ValidationError {
  const pointer = `${toPointer(context.path)}/${key.replace(/~/g, '~0').replace(/\//g, '~1')}`;
  return context.createError({ message: 'is not a field of this request: take it out', params: { pointer } });
}

/** Words of at least so many letters, not counting spaces around them. */
export const words = (least: number, message: string) =>
  string().test('written', message, (v?: string | null) => v === undefined || v === null || v.trim().length >= least);

export const day = () =>
  string()
    .typeError('must be a date, YYYY-MM-DD')
    .test(
      'calendar-day',
      'must be a day of the calendar, YYYY-MM-DD',
      (v?: string | null) => typeof v !== 'string' || isCalendarDay(v),
    );

/** A day typed into a form, where nothing written is told by `required`. */
export const typedDay = () =>
  string().test(
    'calendar-day',
    'This is not a day of the calendar.',
    (v?: string) => v === undefined || v === '' || isCalendarDay(v),
  );

export const numberIn = (min: number, max: number, unit = '') => {
  const message = `must be a number from ${min} to ${max}${unit && ` ${unit}`}`;
  return number().typeError(message).min(min, message).max(max, message);
};

export const wholeIn = (min: number, max: number, unit = '') => {
  const message = `must be a whole number from ${min} to ${max}${unit && ` ${unit}`}`;
  return number().typeError(message).integer(message).min(min, message).max(max, message);
};

export const yesNo = () => boolean().typeError('must be true or false');

export const oneOf = <const T extends string>(values: readonly T[]) =>
  mixed<T>().oneOf([...values], `must be one of: ${values.join(', ')}`);

/** A list whose length is looked at before its items, and its items only until enough faults are found. */
export const listOf = <T>(of: ISchema<T, AnyObject> & Pick<Schema, 'validateSync'>, most: number) =>
  array<AnyObject, T>()
    .typeError('must be a list')
    .test('items', function (list) {
      if (!Array.isArray(list)) return true;
      if (list.length > most) return this.createError({ message: `must have at most ${most} entries` });
      const faults: ValidationError[] = [];
      for (const [i, item] of list.entries()) {
        if (faults.length >= mostFaults) break;
        try {
          of.validateSync(item, { strict: true, abortEarly: false, context: this.options.context });
        } catch (fault) {
          const inner = within(`${this.path}[${i}]`, fault);
          faults.push(...inner.inner);
        }
      }
      return faults.length === 0 || new ValidationError(faults);
    });

/** Faults of a schema that was run on a part, told under the path of the part. */
export function within(path: string, fault: unknown): ValidationError {
  if (!(fault instanceof ValidationError)) throw fault;
  const inner = fault.inner.length > 0 ? fault.inner : [fault];
  for (const one of inner) {
    const pointer = one.params?.['pointer'];
    const own = typeof pointer === 'string' ? pointer : toPointer(one.path ?? '');
    one.params = { ...one.params, pointer: `${toPointer(path)}${own}` };
    // A form finds its field by the path.
    const rest = (one.path ?? '').replace(/^\.+/, '');
    one.path = rest === '' || rest.startsWith('[') ? `${path}${rest}` : `${path}.${rest}`;
  }
  return new ValidationError(inner);
}
