/** A number as a telephone dials it: what only makes it readable is left out. */
export const dials = (number: string): string => `tel:${number.replace(/[^\d+*#]/g, '')}`;
