/**
 * A number as it was typed, with comma or point. Nothing written is `whenEmpty`; words that are no number stay as they
 * are, so that the check of the field can say so.
 */
export function typedNumber(typed: unknown, whenEmpty: null | undefined): unknown {
  if (typeof typed !== 'string') return typed;
  const text = typed.trim().replace(',', '.');
  if (text === '') return whenEmpty;
  return Number.isNaN(Number(text)) ? typed : Number(text);
}
