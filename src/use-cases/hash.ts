import { createHash } from 'node:crypto';

/** A short mark of a text that changes with any letter of it. */
export const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex');
